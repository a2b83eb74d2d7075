package jalon.core.mark;

import jalon.core.page.Box;

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
        return new Mark(Mark.Kind.PATCH, "PATCH", code, upright, new Mark.Direction(by, Math.round(edge)));
    }
}
