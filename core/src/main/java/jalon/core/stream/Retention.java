package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * For how long documents of a type are kept.
 *
 * @param from the field with the date that is counted from; null for the day of filing
 * @param years at least 0, and @param months at least 0; one of them more than that
 * @param ends when it ends, counted so far
 */
public record Retention(String from, int years, int months, Ends ends) {
    /** The day on which a time counted in years or months is over. */
    public enum Ends {
        /** That many years and months later to the day. */
        @JsonProperty("day")
        DAY,
        /** With the last day of the year in which that is: how times for keeping books and records are usually counted. */
        @JsonProperty("yearEnd")
        YEAR_END
    }

    public Retention {
        ends = ends == null ? Ends.DAY : ends;
    }

    /**
     * How long a document is kept.
     *
     * @param field name of the field that was counted from; null for the day of filing
     * @param counted the day counted from, @param last on which it has to be there
     */
    public record Kept(String field, LocalDate counted, LocalDate last) {
        /** Whether it may be erased on a day. */
        public boolean isOver(LocalDate today) {
            return today.isAfter(last);
        }
    }

    /**
     * The last day on which a document has to be kept. One without a date to count from is counted from the day it was filed;
     * of several dates the latest counts.
     *
     * @param values of the document by field name, dates as {@code 2026-03-31}
     * @param filed the day on which it was filed
     */
    public Kept of(Map<String, String> values, LocalDate filed) {
        return Optional.ofNullable(from)
                .map(values::get)
                .flatMap(Retention::latest)
                .map(date -> new Kept(from, date, last(date)))
                .orElseGet(() -> new Kept(null, filed, last(filed)));
    }

    private LocalDate last(LocalDate counted) {
        LocalDate day = counted.plusYears(years).plusMonths(months);
        return ends == Ends.DAY ? day : day.with(TemporalAdjusters.lastDayOfYear());
    }

    private static Optional<LocalDate> latest(String value) {
        return Arrays.stream(value.split(Field.JOINED_BY.strip()))
                .map(String::strip)
                .flatMap(part -> date(part).stream())
                .max(Comparator.naturalOrder());
    }

    private static Optional<LocalDate> date(String text) {
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    void examine(DocumentType type, String at, Faults faults) {
        if (years == 0 && months == 0) {
            faults.add(at, "say for how many years or months");
        }
        if (from != null
                && type.field(from)
                        .map(Field::kind)
                        .filter(kind -> kind == Field.Kind.DATE)
                        .isEmpty()) {
            faults.add(at + "/from", "the type has no field '" + from + "' that is a date");
        }
    }
}
