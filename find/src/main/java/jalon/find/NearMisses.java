package jalon.find;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.FieldInfo;
import org.apache.lucene.index.FieldInfos;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FuzzyTermsEnum;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;

/** Words and values that are one letter off what was asked for: one wrong, missing or too much, or two exchanged. */
final class NearMisses {
    private static final int LETTERS_OFF = 1;
    /** Shorter ones are one letter off too much. */
    private static final int SHORTEST = 4;

    private static final int MOST = 5;

    private final IndexSearcher searcher;
    private final IndexReader reader;
    private final Kinds kinds;

    /** @param kinds that may be seen */
    NearMisses(IndexSearcher searcher, Kinds kinds) {
        this.kinds = kinds;
        this.searcher = searcher;
        this.reader = searcher.getIndexReader();
    }

    /** What to look for in place of parts that nothing matches, by their numbers, and how that is told. */
    record Instead(Map<Integer, Query> queries, List<Answer.Near> near) {}

    Instead instead(Search search, Queries queries) throws IOException {
        Map<Integer, Query> instead = new HashMap<>();
        List<Answer.Near> near = new ArrayList<>();
        List<SearchLine.Part> parts = search.line().parts();
        for (int i = 0; i < parts.size(); i++) {
            if (searcher.count(kinds.of(queries.of(parts.get(i)))) > 0) {
                continue;
            }
            BooleanQuery.Builder any = new BooleanQuery.Builder();
            List<String> said = new ArrayList<>();
            for (Term term : of(parts.get(i))) {
                if (searcher.count(kinds.of(new TermQuery(term))) > 0) {
                    any.add(new TermQuery(term), Occur.SHOULD);
                    said.add(asFiled(term));
                }
            }
            if (!said.isEmpty()) {
                instead.put(i, any.build());
                near.add(new Answer.Near(i, said));
            }
        }
        return new Instead(instead, near);
    }

    /** A value as it was filed; a word as it is compared. */
    private String asFiled(Term term) throws IOException {
        if (term.field().startsWith(Indexed.WHOLE)) {
            String field = Indexed.KNOWN + term.field().substring(Indexed.WHOLE.length());
            for (String known : KnownTerms.beginning(reader, field, term.text() + " ", 1)) {
                return known.substring(known.indexOf(' ') + 1);
            }
        }
        return term.text();
    }

    /** Terms to look for instead of a part, the most frequent first. */
    private List<Term> of(SearchLine.Part part) throws IOException {
        String whole = Plain.whole(part.text());
        if (part.not() || whole.length() < SHORTEST) {
            return List.of();
        }
        return switch (part.kind()) {
            case WORD -> {
                List<Term> words = near(Indexed.WORDS, whole);
                yield words.isEmpty() ? inFields(whole) : words;
            }
            case JOINED, PHRASE -> inFields(whole);
            case IN_FIELD, WHOLE -> near(Indexed.WHOLE + part.field(), whole);
            case RANGE, NOTHING -> List.of();
        };
    }

    private List<Term> inFields(String whole) throws IOException {
        List<Term> all = new ArrayList<>();
        for (FieldInfo field : FieldInfos.getMergedFieldInfos(reader)) {
            if (field.name.startsWith(Indexed.WHOLE)) {
                all.addAll(near(field.name, whole));
            }
        }
        return all.stream().limit(MOST).toList();
    }

    private record Candidate(Term term, int documents) {}

    private List<Term> near(String field, String word) throws IOException {
        Terms terms = MultiTerms.getTerms(reader, field);
        if (terms == null) {
            return List.of();
        }
        List<Candidate> found = new ArrayList<>();
        // The first letter is nearly always right, and spares looking at all the others.
        TermsEnum near = new FuzzyTermsEnum(terms, new Term(field, word), LETTERS_OFF, 1, true);
        while (near.next() != null) {
            if (!near.term().utf8ToString().equals(word)) {
                found.add(new Candidate(new Term(field, BytesRef.deepCopyOf(near.term())), near.docFreq()));
            }
        }
        return found.stream()
                .sorted(Comparator.comparingInt(Candidate::documents).reversed())
                .limit(MOST)
                .map(Candidate::term)
                .toList();
    }
}
