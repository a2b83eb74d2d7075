package jalon.core.propose;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is printed around a box that somebody drew: rules that its sides lie on, and small frames that it is drawn around. */
final class PrintedBoxes {
    /** A side is drawn so near to a rule that is meant. */
    private static final double NEAR_MM = 2.5;

    /** So much of a side must have the rule beside it. */
    private static final double ALONG = 0.6;

    /** What is written in a cell keeps off its rules. */
    private static final double INSIDE_MM = 0.4;

    /** What is drawn around a box to tick is no larger. */
    private static final double LARGEST_AROUND_MM = 16;

    private PrintedBoxes() {}

    /**
     * A box with each side that lies along a printed rule put just inside of it; the other sides stay.
     *
     * @param drawn on the page made straight
     * @param layout of the page, or null where it is not known
     */
    static Box snapped(Box drawn, PageLayout layout) {
        if (layout == null) {
            return drawn;
        }
        List<Box> rules = Stream.concat(
                        layout.rules().stream(), layout.boxes().stream().flatMap(PrintedBoxes::sides))
                .toList();
        double left = side(drawn.x(), drawn.y(), drawn.bottom(), rules, false)
                .map(r -> r.right() + INSIDE_MM)
                .orElse(drawn.x());
        double right = side(drawn.right(), drawn.y(), drawn.bottom(), rules, false)
                .map(r -> r.x() - INSIDE_MM)
                .orElse(drawn.right());
        double top = side(drawn.y(), drawn.x(), drawn.right(), rules, true)
                .map(r -> r.bottom() + INSIDE_MM)
                .orElse(drawn.y());
        double bottom = side(drawn.bottom(), drawn.x(), drawn.right(), rules, true)
                .map(r -> r.y() - INSIDE_MM)
                .orElse(drawn.bottom());
        return right - left < 1 || bottom - top < 1 ? drawn : new Box(left, top, right - left, bottom - top);
    }

    private static Stream<Box> sides(Box box) {
        return Stream.of(
                new Box(box.x(), box.y(), box.width(), 0),
                new Box(box.x(), box.bottom(), box.width(), 0),
                new Box(box.x(), box.y(), 0, box.height()),
                new Box(box.right(), box.y(), 0, box.height()));
    }

    /** The rule nearest to a side. @param at where the side is, @param from and @param to how far it goes */
    private static Optional<Box> side(double at, double from, double to, List<Box> rules, boolean across) {
        Box best = null;
        double nearest = NEAR_MM;
        for (Box rule : rules) {
            boolean isAcross = rule.width() > rule.height();
            double off = Math.abs((across ? rule.centreY() : rule.centreX()) - at);
            double along = across
                    ? Math.min(rule.right(), to) - Math.max(rule.x(), from)
                    : Math.min(rule.bottom(), to) - Math.max(rule.y(), from);
            if (isAcross == across && off <= nearest && along >= ALONG * (to - from)) {
                best = rule;
                nearest = off;
            }
        }
        return Optional.ofNullable(best);
    }

    /** The box to tick that somebody drew around, or into. */
    static Optional<Box> tick(Box drawn, PageLayout layout) {
        if (Math.max(drawn.width(), drawn.height()) > LARGEST_AROUND_MM) {
            return Optional.empty();
        }
        List<Box> inside = TickSheet.frames(layout).stream()
                .filter(b -> drawn.holdsCentreOf(b) || b.holdsCentreOf(drawn))
                .toList();
        return inside.size() == 1 ? Optional.of(inside.get(0)) : Optional.empty();
    }
}
