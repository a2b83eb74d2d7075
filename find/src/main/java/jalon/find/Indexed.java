package jalon.find;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.DoublePoint;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetField;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.NumericUtils;

/** How a document lies in the index: which of its parts is looked for in which way. */
final class Indexed {
    /** Number of a document. */
    static final String ID = "id";
    /** Stream and type, for what may be seen. */
    static final String KIND = "kind";
    /** When it was filed, in seconds, and its day as days since 1970. */
    static final String FILED = "filed";

    /** Words of pages and values in their order. */
    static final String WORDS = "words";
    /** Parts of the values of all fields. */
    static final String IN_ANY = "in";

    // Of single fields, before the field's name.
    /** Threes of letters that follow each other: those of a part of a value stand side by side in the value's. */
    static final String IN = "in.";

    static final String BEGINNINGS = "words.";
    static final String WHOLE = "whole.";
    /** The value as it is compared and, after a blank, as it is. */
    static final String KNOWN = "known.";

    static final String DAY = "day.";
    static final String NUMBER = "number.";
    static final String SORT = "sort.";

    static final String TYPE = "type";
    static final String STREAM = "stream";
    static final String BATCH = "batch";
    static final String BY = "by";
    static final String YEAR = "year";
    /** What is known of a document that does not stand on it. */
    static final Set<String> OF_FILING = Set.of(TYPE, STREAM, BATCH, BY, YEAR, FILED);

    /** Letters of a part of a value that are looked for together. */
    static final int TOGETHER = 3;

    private static final int LONGEST_WHOLE = 200;
    private static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern DECIMAL = Pattern.compile("-?\\d{1,15}(\\.\\d{1,10})?");

    private Indexed() {}

    /** The document, and where something in it is confidential what it is without that. */
    static List<Document> of(Searchable found, ZoneId zone) {
        return found.isParted()
                ? List.of(of(found, Kinds.WHOLE, zone), of(found.open(), Kinds.OPEN, zone))
                : List.of(of(found, "", zone));
    }

    private static Document of(Searchable found, String part, ZoneId zone) {
        Document d = new Document();
        d.add(new StringField(ID, Long.toString(found.id()), Field.Store.YES));
        d.add(new NumericDocValuesField(ID, found.id()));
        d.add(new StringField(KIND, found.kind().key() + part, Field.Store.NO));
        d.add(new NumericDocValuesField(FILED, found.filedAt().getEpochSecond()));
        LocalDate day = day(found.filedAt(), zone);
        d.add(new LongPoint(DAY + FILED, day.toEpochDay()));
        found.pages().forEach(page -> d.add(new TextField(WORDS, words(page), Field.Store.NO)));
        found.fields().forEach((name, value) -> {
            add(d, name, value);
            d.add(new TextField(WORDS, words(value), Field.Store.NO));
            d.add(new TextField(IN_ANY, together(value), Field.Store.NO));
        });
        add(d, TYPE, found.kind().title());
        add(d, STREAM, found.kind().streamTitle());
        add(d, BATCH, found.batch());
        add(d, BY, found.filedBy());
        add(d, FILED, day.toString());
        add(d, YEAR, Integer.toString(day.getYear()));
        d.add(new SortedSetDocValuesFacetField(TYPE, found.kind().title()));
        d.add(new SortedSetDocValuesFacetField(STREAM, found.kind().streamTitle()));
        d.add(new SortedSetDocValuesFacetField(YEAR, Integer.toString(day.getYear())));
        d.add(new SortedSetDocValuesFacetField(BY, found.filedBy()));
        return d;
    }

    private static LocalDate day(Instant at, ZoneId zone) {
        return LocalDate.ofInstant(at, zone);
    }

    private static void add(Document d, String field, String value) {
        String whole = Plain.whole(value);
        if (whole.isEmpty() || d.getField(WHOLE + field) != null) {
            return;
        }
        d.add(new TextField(IN + field, together(value), Field.Store.NO));
        d.add(new TextField(BEGINNINGS + field, words(value), Field.Store.NO));
        if (whole.length() <= LONGEST_WHOLE) {
            d.add(new StringField(WHOLE + field, whole, Field.Store.NO));
            d.add(new StringField(KNOWN + field, whole + " " + value, Field.Store.NO));
        }
        Optional<LocalDate> day = date(value);
        Optional<BigDecimal> number = day.isEmpty() && DECIMAL.matcher(value).matches()
                ? Optional.of(new BigDecimal(value))
                : Optional.empty();
        if (day.isPresent() && !field.equals(FILED)) {
            d.add(new LongPoint(DAY + field, day.get().toEpochDay()));
        }
        number.ifPresent(n -> d.add(new DoublePoint(NUMBER + field, n.doubleValue())));
        d.add(new SortedDocValuesField(
                SORT + field,
                number.map(n -> sortable(n.doubleValue()))
                        .orElseGet(() ->
                                new BytesRef(" " + whole.substring(0, Math.min(whole.length(), LONGEST_WHOLE))))));
    }

    private static Optional<LocalDate> date(String value) {
        try {
            return DATE.matcher(value).matches() ? Optional.of(LocalDate.parse(value)) : Optional.empty();
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private static BytesRef sortable(double number) {
        byte[] bytes = new byte[Long.BYTES];
        NumericUtils.longToSortableBytes(NumericUtils.doubleToSortableLong(number), bytes, 0);
        return new BytesRef(bytes);
    }

    private static String words(String text) {
        return String.join(" ", Plain.words(text));
    }

    private static String together(String value) {
        return String.join(" ", threes(Plain.whole(value)));
    }

    /** All threes of letters that follow each other; none where there are fewer. */
    static List<String> threes(String whole) {
        int[] letters = whole.codePoints().toArray();
        List<String> threes = new ArrayList<>();
        for (int i = 0; i + TOGETHER <= letters.length; i++) {
            threes.add(new String(letters, i, TOGETHER));
        }
        return threes;
    }
}
