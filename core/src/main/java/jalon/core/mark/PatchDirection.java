package jalon.core.mark;

import jalon.core.page.Box;
import java.util.List;

/**
 * Settles from which end a patch code is read. Bars alone cannot say, since 2 and T, and 3 and 4, are each other upside
 * down. In order of trust: the print on the sheet is upright in one direction only; a code stands near the leading edge;
 * else the sheet is taken to lie as it was fed, top first.
 */
final class PatchDirection {
    /** A code in the middle third says nothing about which edge led. */
    private static final double NEAR_SHARE = 0.4;

    private PatchDirection() {}

    /**
     * A code that is printed along two opposite edges, each to be read from its own edge: it says the same whichever went
     * first.
     *
     * @return the one at the top or left and the one at the other end, as received; none when there are no such two
     */
    static List<PatchBars> alongBothEdges(List<PatchBars> found, double receivedWidth, double receivedHeight) {
        for (PatchBars one : found) {
            for (PatchBars other : found) {
                double length = one.standing() ? receivedWidth : receivedHeight;
                if (one.standing() == other.standing()
                        && other.bars().equals(PatchTable.reversed(one.bars()))
                        && end(one) < length * EDGE_SHARE
                        && start(other) > length * (1 - EDGE_SHARE)) {
                    return List.of(one, other);
                }
            }
        }
        return List.of();
    }

    private static final double EDGE_SHARE = 0.25;

    private static double start(PatchBars p) {
        return p.standing() ? p.box().x() : p.box().y();
    }

    private static double end(PatchBars p) {
        return p.standing() ? p.box().right() : p.box().bottom();
    }

    static Mark eitherWay(List<PatchBars> both, int rotation, double receivedWidth, double receivedHeight) {
        PatchBars first = both.get(0);
        String code = PatchTable.code(first.bars()).orElseThrow();
        Box upright = first.box().turned(rotation, receivedWidth, receivedHeight);
        return new Mark(Mark.Kind.PATCH, "PATCH", code, upright, new Mark.Direction(Mark.KnownBy.EITHER_WAY, 0), null);
    }

    /**
     * @param rotation the clockwise turn that makes the page upright
     * @param fromPrint whether the page's print says so
     */
    static Mark settle(PatchBars found, int rotation, boolean fromPrint, double receivedWidth, double receivedHeight) {
        Box box = found.box();
        double length = found.standing() ? receivedWidth : receivedHeight;
        double fromStart = found.standing() ? box.x() : box.y();
        double fromEnd = length - (found.standing() ? box.right() : box.bottom());
        boolean backwards;
        Mark.KnownBy by;
        double edge = 0;
        int across = found.standing() ? 90 : 0;
        if (PatchTable.reversed(found.bars()).equals(found.bars())) {
            backwards = false;
            by = Mark.KnownBy.EITHER_WAY;
        } else if (fromPrint && Math.floorMod(rotation, 180) == across) {
            // Turned 90 clockwise the left side comes to the top; turned 270 the right side does.
            backwards = rotation == 180 || rotation == 270;
            by = Mark.KnownBy.PRINT;
        } else if (Math.min(fromStart, fromEnd) < NEAR_SHARE * length && Math.abs(fromStart - fromEnd) > 0.1 * length) {
            backwards = fromEnd < fromStart;
            by = Mark.KnownBy.EDGE;
            edge = Math.min(fromStart, fromEnd);
        } else {
            backwards = false;
            by = Mark.KnownBy.AS_RECEIVED;
        }
        String bars = backwards ? PatchTable.reversed(found.bars()) : found.bars();
        String code = PatchTable.code(bars).orElseThrow();
        Box upright = box.turned(rotation, receivedWidth, receivedHeight);
        return new Mark(Mark.Kind.PATCH, "PATCH", code, upright, new Mark.Direction(by, Math.round(edge)), null);
    }
}
