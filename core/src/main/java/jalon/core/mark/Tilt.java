package jalon.core.mark;

import jalon.core.image.GrayPlane;

/** How far the edges that stand most upright lean: the main direction of brightness steps, by their second moments. */
final class Tilt {
    private static final double LEAST_TURN = 0.5;
    private static final double MOST_TURN = 14;

    private Tilt() {}

    /** @return degrees clockwise; 0 where it is too little to matter or too much to be believed */
    static double of(GrayPlane p) {
        double xx = 0;
        double yy = 0;
        double xy = 0;
        for (int y = 1; y < p.height() - 1; y += 2) {
            for (int x = 1; x < p.width() - 1; x++) {
                double gx = p.at(x + 1, y) - p.at(x - 1, y);
                double gy = p.at(x, y + 1) - p.at(x, y - 1);
                // Edges that run the other way have nothing to say.
                if (Math.abs(gx) > 2 * Math.abs(gy)) {
                    xx += gx * gx;
                    yy += gy * gy;
                    xy += gx * gy;
                }
            }
        }
        double tilt = Math.toDegrees(0.5 * Math.atan2(2 * xy, xx - yy));
        return Math.abs(tilt) > LEAST_TURN && Math.abs(tilt) < MOST_TURN ? tilt : 0;
    }
}
