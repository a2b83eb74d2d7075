package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/** What one form has and another that it resembles has not: what tells lookalikes apart. */
final class Difference {
    private static final double FALSELY_THERE = 0.004;
    private static final double DRAWN_FALSELY = 0.06;

    /** How much of what a form has is told when nothing of it can be read. */
    private static final double UNREAD = -0.4;

    private static final double MOST = 9;

    private final List<Template.Print> words = new ArrayList<>();
    private final List<Template.Drawn> rules = new ArrayList<>();
    private final List<Template.Drawn> boxes = new ArrayList<>();

    /** What {@code has} has and {@code lacks} has not. */
    Difference(Template has, Template lacks) {
        Similarity map = WordFit.of(has.anchors, lacks.reference.byWord).map();
        for (Template.Print p : has.words) {
            if (p.stays() >= Laid.PRINTED && !lacksNot(lacks, p.plain(), map.of(p.box()))) {
                words.add(p);
            }
        }
        var other = lacks.reference.layout;
        if (other != null) {
            for (Template.Drawn r : has.rules) {
                if (r.stays() >= Laid.PRINTED && Template.covered(map.of(r.box()), other.rules()) < 0.3) {
                    rules.add(r);
                }
            }
            for (Template.Drawn b : has.boxes) {
                if (b.stays() >= Laid.PRINTED && !Template.isAmong(map.of(b.box()), other.boxes())) {
                    boxes.add(b);
                }
            }
        }
    }

    private static boolean lacksNot(Template other, String plain, Box there) {
        return Template.has(other.reference, plain, Similarity.NONE, there)
                || other.words.stream()
                        .anyMatch(w -> w.plain().equals(plain)
                                && Math.abs(w.box().centreX() - there.centreX()) < 4
                                && Math.abs(w.box().centreY() - there.centreY()) < 4);
    }

    /** Log odds, from what of it is on a page, that the page is of the form that has it. */
    double odds(Laid laid) {
        double sum = 0;
        for (Template.Print p : words) {
            double stays = Math.min(0.98, p.stays());
            sum += switch (laid.standing(p)) {
                case THERE -> Math.log(stays / FALSELY_THERE);
                case NEARLY -> 0.5 * Math.log(stays / FALSELY_THERE);
                case UNREAD -> UNREAD * stays;
                case OTHER -> Math.log1p(-0.95 * stays);
                case NOTHING -> Math.log1p(-stays);
            };
        }
        if (laid.isDrawnKnown()) {
            for (Template.Drawn r : rules) {
                sum += drawn(laid.hasRule(r.box()), r.stays());
            }
            for (Template.Drawn b : boxes) {
                sum += drawn(laid.hasBox(b.box()), b.stays());
            }
        }
        return Math.max(-MOST, Math.min(MOST, sum));
    }

    private static double drawn(boolean there, double stays) {
        double s = Math.min(0.95, stays);
        return there ? Math.log(s / DRAWN_FALSELY) : Math.log1p(-s);
    }
}
