package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.index.FieldValue;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a changed stream makes of a batch that was filed, beside what the one before makes of it: for each place where a document may
 * begin, each type and each value, whether it does better, worse or the same by what people confirmed. The two are machines' views, in
 * which nobody decided anything.
 *
 * @param differences where the two do not do the same, in reading order
 */
public record Replay(List<Difference> differences, Map<What, Tally> before, Map<What, Tally> after) {

    /** What is compared. */
    public enum What {
        /** Whether a document begins with a page. */
        @JsonProperty("cut")
        CUT,
        @JsonProperty("type")
        TYPE,
        @JsonProperty("value")
        VALUE
    }

    /** How well a machine did by itself, from worst to best. */
    public enum Did {
        /** Nobody would have looked. */
        @JsonProperty("sureAndWrong")
        SURE_AND_WRONG,
        @JsonProperty("inDoubt")
        IN_DOUBT,
        @JsonProperty("sureAndRight")
        SURE_AND_RIGHT
    }

    /**
     * @param text what it said, or null where it said nothing; of a cut {@code begins}, {@code continues}, or {@code outside} of all
     *     documents
     */
    public record Said(String text, Did did) {}

    /**
     * Something that the two did not say alike.
     *
     * @param page where it is to be seen, by its number in the batch
     * @param field of a value, or null
     * @param confirmed by people; null for a field with no value
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Difference(What what, int page, String field, String confirmed, Said before, Said after) {
        @JsonProperty("better")
        public boolean better() {
            return after.did.compareTo(before.did) > 0;
        }

        @JsonProperty("worse")
        public boolean worse() {
            return after.did.compareTo(before.did) < 0;
        }
    }

    /** How often a machine did how well. */
    public record Tally(int sureAndRight, int inDoubt, int sureAndWrong) {
        public static final Tally NONE = new Tally(0, 0, 0);

        Tally and(Did did) {
            return new Tally(
                    sureAndRight + (did == Did.SURE_AND_RIGHT ? 1 : 0),
                    inDoubt + (did == Did.IN_DOUBT ? 1 : 0),
                    sureAndWrong + (did == Did.SURE_AND_WRONG ? 1 : 0));
        }

        Tally and(Tally other) {
            return new Tally(
                    sureAndRight + other.sureAndRight, inDoubt + other.inDoubt, sureAndWrong + other.sureAndWrong);
        }
    }

    /** Of all batches that were replayed. */
    public static Replay of(Collection<Replay> batches) {
        Map<What, Tally> before = new EnumMap<>(What.class);
        Map<What, Tally> after = new EnumMap<>(What.class);
        List<Difference> differences = new ArrayList<>();
        for (Replay batch : batches) {
            batch.before.forEach((what, tally) -> before.merge(what, tally, Tally::and));
            batch.after.forEach((what, tally) -> after.merge(what, tally, Tally::and));
            differences.addAll(batch.differences);
        }
        return new Replay(differences, before, after);
    }

    /** Whether something is worse than before: who puts the stream in force has to say why. */
    @JsonProperty("worse")
    public boolean worse() {
        return countWorse() > 0;
    }

    /** In how many places something is worse than before. */
    public int countWorse() {
        return (int) differences.stream().filter(Difference::worse).count();
    }

    /**
     * A document as people confirmed it.
     *
     * @param pages by their numbers in the batch, in reading order
     * @param values of all its fields, by name
     */
    public record Confirmed(List<Integer> pages, String type, Map<String, Value> values) {
        /** @param text null for none, @param page where it stands, 0 where that is on none */
        public record Value(String text, int page) {}

        /** The documents of a batch as it was filed. */
        public static List<Confirmed> of(BatchView filed) {
            return filed.documents().stream().map(Confirmed::of).toList();
        }

        private static Confirmed of(BatchView.DocumentView document) {
            Map<String, Value> values = new LinkedHashMap<>();
            document.fields().forEach((field, value) -> values.put(field, new Value(value.value(), value.page())));
            return new Confirmed(document.pages(), document.type().type(), values);
        }

        /** Number of the page that it begins with. */
        public int first() {
            return pages.get(0);
        }

        /** Its values as text, by field; null for none. */
        public Map<String, String> texts() {
            Map<String, String> texts = new LinkedHashMap<>();
            values.forEach((field, value) -> texts.put(field, value.text()));
            return texts;
        }
    }

    /** Beside what people confirmed, as if that had all been sure: what differs they would have to do again. */
    public static Replay of(List<Confirmed> confirmed, BatchView after) {
        return compared(confirmed, new People(), new Machine(after));
    }

    /** @param before and @param after what the stream in force and the changed one make of a batch's pages by themselves */
    public static Replay of(List<Confirmed> confirmed, BatchView before, BatchView after) {
        return compared(confirmed, new Machine(before), new Machine(after));
    }

    private static Replay compared(List<Confirmed> confirmed, Answers before, Answers after) {
        var comparison = new Comparison(before, after);
        for (Confirmed document : confirmed) {
            document.pages().forEach(page -> comparison.cut(page, page == document.first()));
            comparison.document(document);
        }
        return new Replay(comparison.differences, comparison.tallies(0), comparison.tallies(1));
    }

    /** What is to be compared, to be asked by pages. */
    private interface Answers {
        /** @param begins whether a document begins with the page */
        Said cut(int page, boolean begins);

        Said type(Confirmed confirmed);

        Said value(Confirmed confirmed, String field);
    }

    /** What people confirmed, as if it had been sure. */
    private static final class People implements Answers {
        private static Said right(String text) {
            return new Said(text, Did.SURE_AND_RIGHT);
        }

        @Override
        public Said cut(int page, boolean begins) {
            return right(begins ? "begins" : "continues");
        }

        @Override
        public Said type(Confirmed confirmed) {
            return right(confirmed.type());
        }

        @Override
        public Said value(Confirmed confirmed, String field) {
            return right(confirmed.values().get(field).text());
        }
    }

    /** What one machine made of a batch. */
    private static final class Machine implements Answers {
        private static final Said NOTHING = new Said(null, Did.IN_DOUBT);

        private final Map<Integer, BatchView.DocumentView> beginning = new LinkedHashMap<>();
        private final Set<Integer> doubted;
        private final Set<Integer> content;

        Machine(BatchView view) {
            view.documents().forEach(d -> beginning.put(d.pages().get(0), d));
            doubted = view.places().stream().map(BatchView.PlaceView::page).collect(Collectors.toSet());
            content = view.documents().stream().flatMap(d -> d.pages().stream()).collect(Collectors.toSet());
        }

        @Override
        public Said cut(int page, boolean begins) {
            BatchView.DocumentView document = beginning.get(page);
            String said = document != null ? "begins" : content.contains(page) ? "continues" : "outside";
            boolean doubt = document != null ? document.stake().doubtful() : doubted.contains(page);
            boolean right = document != null ? begins : !begins && content.contains(page);
            return said(said, doubt, right);
        }

        @Override
        public Said type(Confirmed confirmed) {
            BatchView.DocumentView document = beginning.get(confirmed.first());
            return document == null
                    ? NOTHING
                    : said(
                            document.type().type(),
                            document.type().doubtful(),
                            document.type().type().equals(confirmed.type()));
        }

        /** Of a document that it did not see as what it is no value is judged. */
        @Override
        public Said value(Confirmed confirmed, String field) {
            BatchView.DocumentView document = beginning.get(confirmed.first());
            boolean seen = document != null && document.type().type().equals(confirmed.type());
            FieldValue value = seen ? document.fields().get(field) : null;
            return value == null
                    ? NOTHING
                    : said(
                            value.value(),
                            BatchView.DocumentView.isDoubt(value),
                            Objects.equals(
                                    blankless(value.value()),
                                    blankless(confirmed.values().get(field).text())));
        }

        private static String blankless(String value) {
            return value == null || value.isBlank() ? null : value;
        }

        private static Said said(String text, boolean doubt, boolean right) {
            return new Said(text, doubt ? Did.IN_DOUBT : right ? Did.SURE_AND_RIGHT : Did.SURE_AND_WRONG);
        }
    }

    private static final class Comparison {
        private final List<Answers> answers;
        private final List<Difference> differences = new ArrayList<>();
        private final List<Map<What, Tally>> tallies = List.of(new EnumMap<>(What.class), new EnumMap<>(What.class));

        Comparison(Answers before, Answers after) {
            answers = List.of(before, after);
        }

        Map<What, Tally> tallies(int machine) {
            return tallies.get(machine);
        }

        void cut(int page, boolean begins) {
            said(
                    What.CUT,
                    page,
                    null,
                    begins ? "begins" : "continues",
                    answers.get(0).cut(page, begins),
                    answers.get(1).cut(page, begins));
        }

        void document(Confirmed confirmed) {
            said(
                    What.TYPE,
                    confirmed.first(),
                    null,
                    confirmed.type(),
                    answers.get(0).type(confirmed),
                    answers.get(1).type(confirmed));
            confirmed
                    .values()
                    .forEach((field, value) -> said(
                            What.VALUE,
                            value.page() > 0 ? value.page() : confirmed.first(),
                            field,
                            value.text(),
                            answers.get(0).value(confirmed, field),
                            answers.get(1).value(confirmed, field)));
        }

        private void said(What what, int page, String field, String confirmed, Said before, Said after) {
            tallies.get(0).merge(what, Tally.NONE.and(before.did), Tally::and);
            tallies.get(1).merge(what, Tally.NONE.and(after.did), Tally::and);
            if (!before.equals(after)) {
                differences.add(new Difference(what, page, field, confirmed, before, after));
            }
        }
    }
}
