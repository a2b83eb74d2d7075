package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import jalon.core.stream.Lookalikes;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** The words in a rectangle of the form, laid on the page at hand. */
record ZoneFinder(Finder.ByZone zone) implements FieldFinder {
    /** A word whose middle lies this far outside belongs to the zone still: writing does not keep to boxes. */
    private static final double REACH_MM = 0.8;

    @Override
    public Found find(Search search) {
        PageFacts page = search.document().pages(zone.page()).get(0);
        Fit fit = Fit.of(search.type().layout(), page);
        Box straight = fit.onStraightPage(zone.boxMm());
        Box reach = straight.grown(REACH_MM);
        List<Word> inside = page.words().stream()
                .filter(w -> reach.holdsCentreOf(fit.tilt().toStraight(w.box())))
                .toList();
        UnaryOperator<String> limit = limit(zone.read());
        String text = limit.apply(Line.textOf(inside));
        double certainty = Line.certaintyOf(inside) * fit.trust();
        Box placed = inside.isEmpty() ? fit.tilt().fromStraight(straight) : Line.boxOf(inside);
        List<Reason> doubts = new ArrayList<>();
        List<String> others = new ArrayList<>();
        if (fit.trust() < Certainty.FIT_DOUBTED_BELOW) {
            doubts.add(Reason.Code.ANCHORS_MISSING.with());
        }
        boolean limitBroken = !text.equals(Line.textOf(inside));
        boolean stamped = page.image().coloured().stream().anyMatch(placed::overlaps);
        if (inside.isEmpty() || limitBroken || certainty < Certainty.READ_AGAIN_BELOW || stamped) {
            // Missing, doubtful or against its limits: the one case in which a zone is looked at again by itself.
            List<Word> again = search.zones().read(page, fit.tilt().fromStraight(straight));
            String second = limit.apply(Line.textOf(again));
            double secondCertainty = Line.certaintyOf(again) * fit.trust();
            if (text.isEmpty()) {
                text = second;
                certainty = secondCertainty;
                placed = again.isEmpty() ? placed : Line.boxOf(again);
            } else if (second.equals(text)) {
                certainty = Certainty.agreeing(certainty, secondCertainty);
            } else if (!second.isEmpty()) {
                boolean better = secondCertainty > certainty || stamped;
                others.add(better ? text : second);
                doubts.add(Reason.Code.READ_TWO_WAYS.with(second, text));
                text = better ? second : text;
                certainty = Certainty.differing(certainty, secondCertainty);
            }
        }
        return Found.of(
                text.isEmpty()
                        ? List.of()
                        : List.of(new Reading(text, certainty, page.no(), placed, FoundBy.ZONE, doubts, others)));
    }

    /** What the limits make of a reading: lookalikes become what can stand there, the rest is left for the checks. */
    private static UnaryOperator<String> limit(Finder.Limits limits) {
        if (limits == null || limits.only() == null) {
            return UnaryOperator.identity();
        }
        return switch (limits.only()) {
            case DIGITS -> text -> mapped(text, Lookalikes::digit);
            case CAPITALS -> text -> mapped(text, Lookalikes::capital);
            case CAPITALS_AND_DIGITS -> text -> mapped(text, Character::toUpperCase);
        };
    }

    private interface CharMap {
        char apply(char c);
    }

    private static String mapped(String text, CharMap map) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            out.append(map.apply(text.charAt(i)));
        }
        return out.toString();
    }
}
