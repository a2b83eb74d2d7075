package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What one form has and another that it resembles has not: what tells lookalikes apart. */
final class Difference {
    private static final double FALSELY_THERE = 0.004;
    private static final double DRAWN_FALSELY = 0.06;

    /** How much of what a form has is told when nothing of it can be read. */
    private static final double UNREAD = -0.4;

    /** Less surely absent from the other form than this, a word tells nothing. */
    private static final double TELLING = 0.25;

    private static final double MOST = 9;
    private static final double MOST_DRAWN = 4.5;

    private final List<Word> words = new ArrayList<>();
    /** What stands where the other form is filled in. */
    private final Set<Template.Print> filledIn = new HashSet<>();

    private final List<SmallPrint> small = new ArrayList<>();
    private final List<Template.Drawn> rules = new ArrayList<>();
    private final List<Template.Drawn> boxes = new ArrayList<>();

    /** @param lacking 0..1: how surely the other form has it not */
    record Word(Template.Print print, double lacking) {}

    /** Print that each scan reads otherwise, such as a form's code in its corner: what each form's samples have there. */
    record SmallPrint(Box box, List<String> its, List<String> others) {}

    /** What {@code has} has and {@code lacks} has not. */
    Difference(Template has, Template lacks) {
        Similarity map = WordFit.of(has.anchors, lacks.reference().byWord).map();
        for (Template.Print p : has.words) {
            double lacking = p.isPrinted() ? lacks.lacks(p, map) : 0;
            if (p.isPrinted() && lacks.isFilledIn(p, map)) {
                filledIn.add(p);
            } else if (lacking >= TELLING) {
                words.add(new Word(p, lacking));
            } else if (!p.isPrinted()) {
                smallPrint(has, lacks, p, map);
            }
        }
        for (Template.Drawn r : has.rules) {
            if (r.stays() >= Template.PRINTED && lacks.lacksDrawn(r, map, has, SeenPage::isClearOfRule)) {
                rules.add(r);
            }
        }
        for (Template.Drawn b : has.boxes) {
            if (b.stays() >= Template.PRINTED && lacks.lacksDrawn(b, map, has, SeenPage::isClearOfBox)) {
                boxes.add(b);
            }
        }
    }

    private void smallPrint(Template has, Template lacks, Template.Print p, Similarity map) {
        List<String> its = has.readAt(p.box());
        List<String> others = lacks.readAt(map.of(p.box()));
        boolean alike = its.size() > 1 && Misread.likeness(its.get(0), its.get(1)) >= ALIKE;
        boolean told = !others.isEmpty()
                && its.stream().allMatch(i -> others.stream().allMatch(o -> Misread.likeness(i, o) < TOLD_APART));
        if (alike && told && p.plain().length() >= SHORTEST) {
            small.add(new SmallPrint(p.box(), its, others));
        }
    }

    private static final double ALIKE = 0.5;
    private static final double TOLD_APART = 0.8;
    private static final int SHORTEST = 4;

    /** Log odds from a reading that is like the one form's and not at all like the other's; half of it in each direction. */
    private static final double SMALL_PRINT = 3;

    Set<Template.Print> filledIn() {
        return filledIn;
    }

    /** Log odds, from what of it is on a page, that the page is of the form that has it. */
    double odds(Laid laid) {
        double sum = 0;
        for (Word w : words) {
            double stays = Math.min(0.98, w.print.stays());
            double its = switch (laid.standing(w.print)) {
                case THERE -> Math.log(stays / FALSELY_THERE);
                case NEARLY -> 0.6 * Math.log(stays / FALSELY_THERE);
                case NEARLY_NUMBER -> 0.25 * Math.log(stays / FALSELY_THERE);
                case UNREAD -> UNREAD * stays;
                case OTHER -> Math.log1p(-0.95 * stays);
                case NOTHING -> Math.log1p(-stays);
            };
            sum += w.lacking * its;
        }
        for (SmallPrint p : small) {
            sum += laid.readAt(p.box)
                    .map(read -> SMALL_PRINT * (Misread.most(read, p.its) - Misread.most(read, p.others)))
                    .orElse(0.0);
        }
        if (laid.isDrawnKnown()) {
            // The sides of one frame are one piece of evidence.
            double drawn = 0;
            for (Template.Drawn r : rules) {
                drawn += drawn(laid.hasRule(r.box()), laid.isClearOfRule(r.box()), r.stays());
            }
            for (Template.Drawn b : boxes) {
                drawn += drawn(laid.hasBox(b.box()), laid.isClearOfBox(b.box()), b.stays());
            }
            sum += Math.max(-MOST_DRAWN, Math.min(MOST_DRAWN, drawn));
        }
        return Math.max(-MOST, Math.min(MOST, sum));
    }

    /** What is neither there nor is its place clear tells nothing. */
    private static double drawn(boolean there, boolean clear, double stays) {
        double s = Math.min(0.95, stays);
        return there ? Math.log(s / DRAWN_FALSELY) : clear ? Math.log1p(-s) : 0;
    }
}
