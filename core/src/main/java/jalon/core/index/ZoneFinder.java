package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import jalon.core.stream.Lookalikes;
import jalon.core.text.Model;
import java.util.List;
import java.util.function.UnaryOperator;

/** The words in a rectangle of the form, laid on the page at hand. */
record ZoneFinder(Finder.ByZone zone) implements FieldFinder {
    /** A word whose middle lies this far outside belongs to the zone still: writing does not keep to boxes. */
    private static final double REACH_MM = 0.8;

    @Override
    public Found find(Search search) {
        PageFacts page = search.document().pages(zone.page()).get(0);
        String variant = search.document().variant();
        if (zone.variant() != null && !zone.variant().equals(variant)) {
            return Found.of(List.of());
        }
        Fit fit = Fit.of(search.type().layout(), variant, page);
        Box straight = fit.onStraightPage(zone.boxMm());
        Box reach = straight.grown(REACH_MM);
        Box onPage = fit.tilt().fromStraight(straight);
        List<Word> inside = page.words().stream()
                .filter(w -> reach.holdsCentreOf(fit.tilt().toStraight(w.box())))
                .toList();
        boolean stamped = page.image().coloured().stream().anyMatch(onPage::overlaps);
        if (inside.isEmpty() || stamped) {
            List<Word> alone = search.zones().read(page, onPage, Model.SAME);
            inside = alone.isEmpty() ? inside : alone;
        }
        UnaryOperator<String> limit = limit(zone.read());
        String text = limit.apply(Line.value(Line.textOf(inside)));
        if (text.isBlank()) {
            return Found.of(List.of());
        }
        // The print itself, not the box around it, whose lines would be read as letters.
        Reading reading = Reading.of(text, Line.certaintyOfValue(inside), page.no(), Line.boxOf(inside), FoundBy.ZONE)
                .again(new Reading.Again(onPage, limit))
                .placed(fit.trust(zone.boxMm()));
        return Found.of(List.of(
                fit.trust(zone.boxMm()) < Certainty.FIT_DOUBTED_BELOW
                        ? reading.doubted(Reason.Code.ANCHORS_MISSING.with())
                        : reading));
    }

    /** What the limits make of a reading: lookalikes become what can stand there, the rest is left for the checks. */
    private static UnaryOperator<String> limit(Finder.Limits limits) {
        if (limits == null || limits.only() == null) {
            return UnaryOperator.identity();
        }
        return switch (limits.only()) {
            case DIGITS -> Lookalikes::digits;
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
