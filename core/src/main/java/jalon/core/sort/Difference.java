package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import java.util.ArrayList;
import java.util.List;

/** What one form has and another that it resembles has not: what tells lookalikes apart. */
final class Difference {
    private static final double FALSELY_THERE = 0.004;
    private static final double DRAWN_FALSELY = 0.06;

    /** How much of what a form has is told when nothing of it can be read. */
    private static final double UNREAD = -0.4;

    /** Less surely absent from the other form than this, a word tells nothing. */
    private static final double TELLING = 0.25;

    private static final double MOST = 9;

    private final List<Word> words = new ArrayList<>();
    private final List<Template.Drawn> rules = new ArrayList<>();
    private final List<Template.Drawn> boxes = new ArrayList<>();

    /** @param lacking 0..1: how surely the other form has it not */
    record Word(Template.Print print, double lacking) {}

    /** What {@code has} has and {@code lacks} has not. */
    Difference(Template has, Template lacks) {
        Similarity map = WordFit.of(has.anchors, lacks.reference().byWord).map();
        for (Template.Print p : has.words) {
            double lacking = p.isPrinted() ? lacks.lacks(p, map) : 0;
            if (lacking >= TELLING) {
                words.add(new Word(p, lacking));
            }
        }
        for (Template.Drawn r : has.rules) {
            if (r.stays() >= Template.PRINTED && lacks.lacksDrawn(r, map, SeenPage::hasSomeOfRule)) {
                rules.add(r);
            }
        }
        for (Template.Drawn b : has.boxes) {
            if (b.stays() >= Template.PRINTED && lacks.lacksDrawn(b, map, SeenPage::hasBox)) {
                boxes.add(b);
            }
        }
    }

    List<Word> words() {
        return words;
    }

    /** Log odds, from what of it is on a page, that the page is of the form that has it. */
    double odds(Laid laid) {
        double sum = 0;
        for (Word w : words) {
            double stays = Math.min(0.98, w.print.stays());
            double its = switch (laid.standing(w.print)) {
                case THERE -> Math.log(stays / FALSELY_THERE);
                case NEARLY -> 0.6 * Math.log(stays / FALSELY_THERE);
                case UNREAD -> UNREAD * stays;
                case OTHER -> Math.log1p(-0.95 * stays);
                case NOTHING -> Math.log1p(-stays);
            };
            sum += w.lacking * its;
        }
        if (laid.isDrawnKnown()) {
            for (Template.Drawn r : rules) {
                double s = Math.min(0.95, r.stays());
                sum += laid.hasRule(r.box())
                        ? Math.log(s / DRAWN_FALSELY)
                        : laid.hasSomeOfRule(r.box()) ? 0 : Math.log1p(-s);
            }
            for (Template.Drawn b : boxes) {
                double s = Math.min(0.9, b.stays());
                sum += laid.hasBox(b.box()) ? Math.log(s / DRAWN_FALSELY) : Math.log1p(-s);
            }
        }
        return Math.max(-MOST, Math.min(MOST, sum));
    }
}
