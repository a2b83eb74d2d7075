package jalon.find;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.apache.lucene.document.DoublePoint;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.MultiPhraseQuery;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;

/** The search line as the library's queries. */
final class Queries {
    /** Words that the last one of joined words may begin. */
    private static final int ENDINGS = 200;

    private final IndexReader reader;

    Queries(IndexReader reader) {
        this.reader = reader;
    }

    /**
     * @param instead what is looked for in place of a part, by its number
     */
    Query of(SearchLine line, Map<Integer, Query> instead) throws IOException {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        all.add(new MatchAllDocsQuery(), Occur.FILTER);
        List<SearchLine.Part> parts = line.parts();
        int i = 0;
        while (i < parts.size()) {
            int end = i + 1;
            while (end < parts.size() && parts.get(end).or()) {
                end++;
            }
            BooleanQuery.Builder any = new BooleanQuery.Builder();
            int asked = 0;
            for (int p = i; p < end; p++) {
                SearchLine.Part part = parts.get(p);
                if (part.kind() != SearchLine.Kind.NOTHING) {
                    Query wanted = instead.containsKey(p) ? instead.get(p) : of(part);
                    any.add(part.not() ? without(wanted) : wanted, Occur.SHOULD);
                    asked++;
                }
            }
            if (asked > 0) {
                all.add(any.build(), Occur.FILTER);
            }
            i = end;
        }
        return new ConstantScoreQuery(all.build());
    }

    private static Query without(Query query) {
        return new BooleanQuery.Builder()
                .add(new MatchAllDocsQuery(), Occur.FILTER)
                .add(query, Occur.MUST_NOT)
                .build();
    }

    Query of(SearchLine.Part part) throws IOException {
        List<String> words = part.words();
        return switch (part.kind()) {
            case WORD -> any(beginning(Indexed.WORDS, words.get(0)), inAnyField(part.text()));
            case PHRASE -> phrase(Indexed.WORDS, words);
            case JOINED -> any(joined(Indexed.WORDS, words), inAnyField(part.text()));
            case IN_FIELD -> inField(part.field(), part.text());
            case WHOLE -> new TermQuery(new Term(Indexed.WHOLE + part.field(), Plain.whole(part.text())));
            case RANGE -> range(part.field(), Range.of(part.text()).orElseThrow());
            case NOTHING -> new MatchNoDocsQuery();
        };
    }

    private static Query any(Query... queries) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        Arrays.stream(queries).filter(q -> !(q instanceof MatchNoDocsQuery)).forEach(q -> any.add(q, Occur.SHOULD));
        return any.build();
    }

    /** One letter is a word of its own: as a beginning it is half of all words. */
    private static Query beginning(String field, String word) {
        Term term = new Term(field, word);
        return word.length() < 2 ? new TermQuery(term) : new PrefixQuery(term);
    }

    private static Query phrase(String field, List<String> words) {
        return words.size() == 1
                ? new TermQuery(new Term(field, words.get(0)))
                : new PhraseQuery(field, words.toArray(String[]::new));
    }

    private Query joined(String field, List<String> words) throws IOException {
        if (words.size() == 1) {
            return beginning(field, words.get(0));
        }
        List<String> last = KnownTerms.beginning(reader, field, words.get(words.size() - 1), ENDINGS);
        if (last.isEmpty()) {
            return new MatchNoDocsQuery();
        }
        MultiPhraseQuery.Builder phrase = new MultiPhraseQuery.Builder();
        words.subList(0, words.size() - 1).forEach(w -> phrase.add(new Term(field, w)));
        phrase.add(last.stream().map(t -> new Term(field, t)).toArray(Term[]::new));
        return phrase.build();
    }

    /** Numbers and the like are remembered by any part of them; a word without a digit by its beginning. */
    private static Query inAnyField(String text) {
        String whole = Plain.whole(text);
        boolean number = whole.codePoints().anyMatch(Character::isDigit);
        List<String> threes = Indexed.threes(whole);
        return number && !threes.isEmpty() ? phrase(Indexed.IN_ANY, threes) : new MatchNoDocsQuery();
    }

    private Query inField(String field, String text) throws IOException {
        List<String> threes = Indexed.threes(Plain.whole(text));
        return threes.isEmpty()
                ? joined(Indexed.BEGINNINGS + field, Plain.words(text))
                : phrase(Indexed.IN + field, threes);
    }

    private static Query range(String field, Range range) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        if (range.days() != null) {
            long low = range.days().low() == null
                    ? Long.MIN_VALUE
                    : range.days().low().toEpochDay();
            long high = range.days().high() == null
                    ? Long.MAX_VALUE
                    : range.days().high().toEpochDay();
            any.add(LongPoint.newRangeQuery(Indexed.DAY + field, low, high), Occur.SHOULD);
        }
        if (range.numbers() != null) {
            double low = range.numbers().low() == null
                    ? Double.NEGATIVE_INFINITY
                    : range.numbers().low().doubleValue();
            double high = range.numbers().high() == null
                    ? Double.POSITIVE_INFINITY
                    : range.numbers().high().doubleValue();
            any.add(DoublePoint.newRangeQuery(Indexed.NUMBER + field, low, high), Occur.SHOULD);
        }
        return any.build();
    }
}
