package jalon.find;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;

/** Terms that are in the index. */
final class KnownTerms {
    private KnownTerms() {}

    /** The first ones of a field that begin so, in their order. */
    static List<String> beginning(IndexReader reader, String field, String beginning, int most) throws IOException {
        List<String> found = new ArrayList<>();
        Terms terms = MultiTerms.getTerms(reader, field);
        if (terms == null) {
            return found;
        }
        TermsEnum all = terms.iterator();
        BytesRef prefix = new BytesRef(beginning);
        if (all.seekCeil(prefix) != TermsEnum.SeekStatus.END) {
            for (BytesRef t = all.term(); t != null && found.size() < most; t = all.next()) {
                if (!StringHelper.startsWith(t, prefix)) {
                    break;
                }
                found.add(t.utf8ToString());
            }
        }
        return found;
    }
}
