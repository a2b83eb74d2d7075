package jalon.find;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;

/**
 * The documents of an index that somebody may see. One in which something is confidential lies there twice, whole and without
 * that; of the two everybody sees one.
 */
final class Kinds {
    /** Behind the kind of a document of which there is another without what is confidential. */
    static final String WHOLE = "#whole";

    /** Behind the kind of a document without what is confidential. */
    static final String OPEN = "#open";

    private static final int MOST = 100_000;

    /** Null for all that there are. */
    private final Query these;

    private Kinds(Query these) {
        this.these = these;
    }

    static Kinds of(IndexReader reader, Seen seen) throws IOException {
        List<String> all = KnownTerms.beginning(reader, Indexed.KIND, "", MOST);
        List<BytesRef> these = new ArrayList<>();
        for (String key : all) {
            if (isSeen(key, seen)) {
                these.add(new BytesRef(key));
            }
        }
        return new Kinds(these.size() == all.size() ? null : new TermInSetQuery(Indexed.KIND, these));
    }

    private static boolean isSeen(String key, Seen seen) {
        int mark = key.indexOf('#');
        String kind = mark < 0 ? key : key.substring(0, mark);
        int slash = kind.indexOf('/');
        Seen.How how = seen.of(kind.substring(0, slash), kind.substring(slash + 1));
        return how == Seen.How.WHOLE && !key.endsWith(OPEN) || how == Seen.How.OPEN && !key.endsWith(WHOLE);
    }

    /** What of it may be seen. */
    Query of(Query query) {
        return these == null
                ? query
                : new BooleanQuery.Builder()
                        .add(query, Occur.FILTER)
                        .add(these, Occur.FILTER)
                        .build();
    }
}
