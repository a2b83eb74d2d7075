package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.text.Model;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The words in a rectangle of the form, laid on the pages at hand. */
record ZoneFinder(Finder.ByZone zone, Field field) implements FieldFinder {
    /** A word whose middle lies this far outside belongs to the zone still: writing does not keep to boxes. */
    private static final double REACH_MM = 0.8;

    /** What begins this far inside was begun in the zone, wherever it ends. */
    private static final double BEGUN_INSIDE_MM = 2;

    /** Between two words of one value there is no more than so much of their height. */
    private static final double ONE_BLANK = 0.8;

    /** A word that was begun inside stands behind the others no further than this; beyond it is the next column's. */
    private static final double SAME_WRITING = 2.5;

    @Override
    public Found find(Search search) {
        if (!zone.standsOn(search.document().variant())) {
            return Found.of(List.of());
        }
        return Found.of(search.document().pages(zone.page()).stream()
                .flatMap(page -> on(page, search).stream())
                .toList());
    }

    private Optional<Reading> on(PageFacts page, Search search) {
        Fit fit = Fit.of(search.type().layout(), search.document().variant(), page);
        Box straight = fit.onStraightPage(zone.boxMm());
        Box onPage = fit.tilt().fromStraight(straight);
        List<Word> inside = inside(page.words(), straight, fit);
        boolean stamped = page.image().coloured().stream().anyMatch(onPage::overlaps);
        boolean readAlone = inside.isEmpty() || stamped;
        if (readAlone) {
            List<Word> alone = search.zones().read(page, onPage, Model.SAME);
            inside = alone.isEmpty()
                    ? inside
                    : alone.stream().filter(w -> !w.isUnread()).toList();
        }
        if (holds() == Finder.Holds.LINE || holds() == Finder.Holds.WORD) {
            inside = nearestLine(inside, onPage, fit);
        }
        // What was read by itself is all that stands in the zone, whatever the page made of it.
        List<Word> others = readAlone ? outside(page.words(), straight, fit) : page.words();
        Overrun over = inside.isEmpty() ? new Overrun(inside, false) : overrun(inside, others, straight, fit, search);
        var held = new HeldText(holds(), fit.tilt());
        var limits = new ZoneLimits(zone.read());
        String text = limits.on(held.of(over.words()));
        if (text.isBlank()) {
            return Optional.empty();
        }
        // The print itself, not the box around it, whose lines would be read as letters.
        Box print = Line.boxOf(over.words());
        double trust = fit.trust(zone.boxMm());
        Reading reading = Reading.of(text, Line.certaintyOfValue(over.words()), page.no(), print, FoundBy.ZONE)
                .again(new Reading.Again(whole(onPage, print), List.of(), words -> limits.on(held.of(words))))
                .placed(trust);
        if (trust < Certainty.FIT_DOUBTED_BELOW) {
            reading = reading.doubted(Reason.Code.ANCHORS_MISSING.with());
        }
        if (over.goesOn()) {
            reading = reading.doubted(Reason.Code.RUNS_OVER.with());
        }
        String outside = limits.outside(text);
        return Optional.of(outside.isEmpty() ? reading : reading.doubted(Reason.Code.OUTSIDE_LIMITS.with(outside)));
    }

    private Finder.Holds holds() {
        return HeldText.meant(zone.holds(), field);
    }

    private static List<Word> inside(List<Word> words, Box straight, Fit fit) {
        Box reach = straight.grown(REACH_MM);
        return words.stream()
                .filter(w -> reach.holdsCentreOf(fit.tilt().toStraight(w.box())))
                .toList();
    }

    private static List<Word> outside(List<Word> words, Box straight, Fit fit) {
        return words.stream()
                .filter(w -> fit.tilt().toStraight(w.box()).x() >= straight.right() - BEGUN_INSIDE_MM)
                .toList();
    }

    private static List<Word> nearestLine(List<Word> words, Box onPage, Fit fit) {
        return PageRows.of(words, fit.tilt()).rows().stream()
                .map(row -> row.whole().words())
                .min(Comparator.comparingDouble(
                        line -> Math.abs(Line.boxOf(line).centreY() - onPage.centreY())))
                .orElse(List.of());
    }

    /** @param goesOn whether words behind the zone were taken that may be the value's */
    private record Overrun(List<Word> words, boolean goesOn) {}

    /** What was begun in the zone and ends outside; the zones of other fields keep what is theirs. */
    private Overrun overrun(List<Word> inside, List<Word> words, Box straight, Fit fit, Search search) {
        List<PageRows.Row> rows = PageRows.of(inside, fit.tilt()).rows();
        Box last = fit.tilt().toStraight(rows.get(rows.size() - 1).whole().box());
        List<Box> others = otherZones(search).map(fit::onStraightPage).toList();
        List<Word> behind = words.stream()
                .filter(w -> !inside.contains(w))
                .filter(w -> {
                    Box box = fit.tilt().toStraight(w.box());
                    return box.x() >= last.right()
                            && Math.abs(box.centreY() - last.centreY()) < last.height() / 2
                            && others.stream().noneMatch(other -> other.holdsCentreOf(box));
                })
                .sorted(Comparator.comparingDouble(w -> w.box().x()))
                .toList();
        List<Word> all = new ArrayList<>(inside);
        double end = last.right();
        boolean goesOn = false;
        for (Word w : behind) {
            Box box = fit.tilt().toStraight(w.box());
            boolean begun = box.x() < straight.right() - BEGUN_INSIDE_MM;
            boolean crossed = end > straight.right();
            double most = begun ? SAME_WRITING : crossed ? ONE_BLANK : 0;
            if (box.x() - end > most * last.height()) {
                break;
            }
            all.add(w);
            goesOn |= !begun;
            end = box.right();
        }
        return new Overrun(List.copyOf(all), goesOn);
    }

    private Stream<Box> otherZones(Search search) {
        return search.type().fields().stream()
                .flatMap(field -> field.finders().stream())
                .filter(Finder.ByZone.class::isInstance)
                .map(Finder.ByZone.class::cast)
                .filter(other -> !other.equals(zone) && other.page().equals(zone.page()))
                .map(Finder.ByZone::boxMm);
    }

    /** The place that is read again: of several lines only the one that is meant. */
    private Box whole(Box zone, Box print) {
        boolean oneOfThem = holds() == Finder.Holds.LINE || holds() == Finder.Holds.WORD;
        Box place = oneOfThem ? new Box(zone.x(), print.y(), zone.width(), print.height()).grown(REACH_MM) : zone;
        return place.right() >= print.right() ? place : place.union(print);
    }
}
