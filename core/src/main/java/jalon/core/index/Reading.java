package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What a finder found, before tidying.
 *
 * @param seen 0..1: how sure the engine was of the worst word; 1 for what was not read from print
 * @param placed 0..1: how sure it is that the value meant stands at this place
 * @param doubts what already speaks against it
 * @param alternatives other readings of the same place
 * @param again how its place is read another time
 */
record Reading(
        String text,
        double seen,
        double placed,
        FieldValue.Source source,
        List<Reason> doubts,
        List<String> alternatives,
        Again again) {

    /**
     * @param zone the whole place a value has, wider than its print; null when there is no such place
     * @param parts that it is printed in, each read by itself; none where it stands in one place
     * @param said the value that words read there say
     */
    record Again(Box zone, List<Box> parts, Function<List<Word>, String> said) {
        static final Again ANYWHERE = new Again(null, List.of(), words -> Line.value(Line.textOf(words)));
    }

    static Reading of(String text, double seen, int page, Box box, FoundBy finder) {
        return new Reading(
                text, seen, 1, new FieldValue.Source(page, box, finder), List.of(), List.of(), Again.ANYWHERE);
    }

    /** Whether it was read from print, and could be read again. */
    boolean printed() {
        return switch (source.finder()) {
            case ZONE, SHAPE, LABEL -> true;
            case BARCODE, REGISTER, TICKS, INHERITED, FIELDS, FIXED, PERSON, NONE -> false;
        };
    }

    Reading placed(double certainty) {
        return new Reading(text, seen, placed * certainty, source, doubts, alternatives, again);
    }

    Reading again(Again how) {
        return new Reading(text, seen, placed, source, doubts, alternatives, how);
    }

    Reading doubted(Reason why) {
        return new Reading(text, seen, placed, source, with(doubts, why), alternatives, again);
    }

    /** Taken for something else than what was read. */
    Reading mended(String taken, Reason why) {
        return new Reading(taken, seen, placed, source, with(doubts, why), with(alternatives, text), again);
    }

    Reading others(List<String> values) {
        return new Reading(text, seen, placed, source, doubts, values, again);
    }

    Reading alternative(String other) {
        return new Reading(text, seen, placed, source, doubts, with(alternatives, other), again);
    }

    /** Without a doubt that is none any more. */
    Reading without(Reason.Code doubt) {
        return new Reading(
                text,
                seen,
                placed,
                source,
                doubts.stream().filter(d -> d.code() != doubt).toList(),
                alternatives,
                again);
    }

    Reading seen(double certainty) {
        return new Reading(text, certainty, placed, source, doubts, alternatives, again);
    }

    /** The same place, read as something else. */
    Reading reread(String other, double certainty) {
        return new Reading(other, certainty, placed, source, doubts, with(alternatives, text), again);
    }

    private static <T> List<T> with(List<T> all, T one) {
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return List.copyOf(more);
    }
}
