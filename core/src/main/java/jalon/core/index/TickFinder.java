package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.image.Ticked;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which of a form's boxes are ticked. All of them count for the certainty: a value is as sure as it is that this box is
 * ticked and the others are not.
 */
record TickFinder(Finder.ByTicks wanted, Field field) implements FieldFinder {
    /** A hand that fills its boxes fills all of them about alike; a stroke has less than this share of their ink. */
    private static final double STROKE_BESIDE_FULL = 0.65;

    /** Boxes that stand in a row, the page leaning a little, are no higher than this together. */
    private static final double ROW_MM = 12;

    /** A box and what was seen of it. */
    private record Seen(Finder.TickPlace place, Ticked mark) {
        boolean is(Ticked.State state) {
            return mark.state() == state;
        }

        boolean chosen() {
            return mark.state().chosen();
        }
    }

    @Override
    public Found find(Search search) {
        if (!wanted.standsOn(search.document().variant())) {
            return Found.of(List.of());
        }
        Optional<TicksOfDocument.Seen> looked = search.ticks().on(wanted.page());
        if (looked.isEmpty()) {
            return Found.nothing(Reason.Code.BOXES_NOT_SEEN.with());
        }
        List<Seen> seen = new ArrayList<>();
        double placed = 1;
        for (Finder.TickPlace place : wanted.boxes()) {
            Ticked mark = looked.get().of(place);
            if (mark == null) {
                return Found.nothing(Reason.Code.BOX_OFF_PAGE.with());
            }
            seen.add(new Seen(place, mark));
            placed = Math.min(placed, looked.get().fit().trust(place.boxMm()));
        }
        return found(seen, looked.get().page(), placed);
    }

    private Found found(List<Seen> seen, PageFacts page, double placed) {
        List<Seen> struck =
                seen.stream().filter(s -> s.is(Ticked.State.STRUCK_OUT)).toList();
        List<Seen> chosen = seen.stream().filter(Seen::chosen).toList();
        List<Reason> doubts = new ArrayList<>();
        List<Seen> undone = undone(chosen);
        if (!undone.isEmpty()) {
            chosen = chosen.stream().filter(s -> !undone.contains(s)).toList();
            doubts.add(Reason.Code.STRUCK_OUT.with(meanings(undone)));
        }
        boolean alone = seen.size() == 1 || field.several();
        if (alone && chosen.size() == 1 && chosen.get(0).is(Ticked.State.FILLED)) {
            doubts.add(Reason.Code.FILLED_BOX.with(meanings(chosen)));
        }
        if (!struck.isEmpty()) {
            doubts.add(Reason.Code.STRUCK_OUT.with(meanings(struck)));
        }
        if (seen.stream().anyMatch(s -> !s.mark().framed())) {
            doubts.add(Reason.Code.NO_FRAME.with());
        }
        if (placed < Certainty.FIT_DOUBTED_BELOW) {
            doubts.add(Reason.Code.ANCHORS_MISSING.with());
        }
        double certainty = seen.stream().mapToDouble(s -> s.mark().certainty()).reduce(1, (a, b) -> a * b);
        if (chosen.isEmpty()) {
            return wanted.none() == null
                    ? new Found(List.of(), also(doubts, Reason.Code.NOTHING_TICKED.with()), List.of())
                    : Found.of(List.of(reading(wanted.none(), certainty, seen, page, placed, doubts)));
        }
        if (chosen.size() > 1 && !field.several()) {
            doubts.add(Reason.Code.SEVERAL_TICKED.with(meanings(chosen)));
        }
        List<Reading> readings = new ArrayList<>();
        for (Seen one : chosen) {
            readings.add(reading(one.place().means(), certainty, shown(one, seen), page, placed, doubts));
        }
        return Found.of(readings);
    }

    /** A row of boxes is looked at as a whole: which one is ticked is seen beside those that are not. */
    private static List<Seen> shown(Seen one, List<Seen> all) {
        Box row = all.stream().map(s -> s.mark().boxMm()).reduce(Box::union).orElseThrow();
        return row.height() <= ROW_MM ? all : List.of(one);
    }

    /** Where another box has but a stroke in it, one that is full was made so to undo its stroke. */
    private static List<Seen> undone(List<Seen> chosen) {
        double least = chosen.stream().mapToDouble(s -> s.mark().ink()).min().orElse(0);
        return chosen.stream()
                .filter(s -> s.is(Ticked.State.FILLED)
                        && least < STROKE_BESIDE_FULL * s.mark().ink())
                .toList();
    }

    private static Reading reading(
            String value, double certainty, List<Seen> where, PageFacts page, double placed, List<Reason> doubts) {
        Box box = where.stream().map(s -> s.mark().boxMm()).reduce(Box::union).orElseThrow();
        Reading reading =
                Reading.of(value, certainty, page.no(), box, FoundBy.TICKS).placed(placed);
        for (Reason doubt : doubts) {
            reading = reading.doubted(doubt);
        }
        return reading;
    }

    private static List<Reason> also(List<Reason> some, Reason one) {
        List<Reason> all = new ArrayList<>(some);
        all.add(0, one);
        return all;
    }

    private static String meanings(List<Seen> seen) {
        return String.join(", ", seen.stream().map(s -> s.place().means()).toList());
    }
}
