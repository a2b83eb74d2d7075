package jalon.core.image;

import jalon.core.page.Box;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Folded and torn corners, as they look before a dark background: a black triangle in a corner of the image. How far black
 * reaches from the corner along both sides gives its legs; it is a triangle when the half towards the corner is black and
 * the half away from it is not. Before a white background nothing can be seen of a missing corner, and nothing is said.
 */
final class Corners {
    private static final double LEAST_MM = 2.5;
    private static final double MOST_MM = 70;
    private static final double FULL = 0.85;
    private static final int SLOPE_OVER = 6;

    private Corners() {}

    /** @param leg the shorter of the two, mm */
    record Corner(Box where, double leg) {}

    static List<Corner> in(InkMap map) {
        List<Corner> found = new ArrayList<>();
        for (int corner = 0; corner < 4; corner++) {
            Corner c = at(map, corner);
            if (c != null) {
                found.add(c);
            }
        }
        return found;
    }

    private static Corner at(InkMap map, int corner) {
        int across = run(map, corner, true);
        int down = run(map, corner, false);
        double shorter = map.mm(Math.min(across, down));
        if (shorter < LEAST_MM || map.mm(Math.max(across, down)) > MOST_MM) {
            return null;
        }
        int inside = 0;
        int insideBlack = 0;
        int outside = 0;
        int outsideBlack = 0;
        for (int v = 0; v < down; v++) {
            for (int u = 0; u < across; u++) {
                double s = (u + 0.5) / across + (v + 0.5) / down;
                if (s < 0.9) {
                    inside++;
                    insideBlack += black(map, corner, u, v) ? 1 : 0;
                } else if (s > 1.1) {
                    outside++;
                    outsideBlack += black(map, corner, u, v) ? 1 : 0;
                }
            }
        }
        if (insideBlack < FULL * inside || outsideBlack > (1 - FULL) * outside) {
            return null;
        }
        boolean right = corner % 2 == 1;
        boolean low = corner > 1;
        Box where = map.box(
                right ? map.width - across : 0,
                low ? map.height - down : 0,
                right ? map.width : across,
                low ? map.height : down);
        return new Corner(where, shorter);
    }

    /** The missing part, in millimetres. */
    static Path2D triangle(Corner corner, double pageWidth, double pageHeight) {
        Box b = corner.where();
        boolean right = b.x() > pageWidth / 2;
        boolean low = b.y() > pageHeight / 2;
        double x = right ? b.right() : b.x();
        double y = low ? b.bottom() : b.y();
        Path2D path = new Path2D.Double();
        path.moveTo(x, y);
        path.lineTo(right ? b.x() : b.right(), y);
        path.lineTo(x, low ? b.y() : b.bottom());
        path.closePath();
        return path;
    }

    private static int run(InkMap map, int corner, boolean across) {
        // One pixel in from the side, since the outermost may be a grey rim; then back out along the slope.
        int near = run(map, corner, across, 1);
        int deeper = run(map, corner, across, 1 + SLOPE_OVER);
        int end = across ? map.width : map.height;
        return deeper == 0 ? near : Math.min(end, near + Math.max(0, (near - deeper) * 3 / (2 * SLOPE_OVER)));
    }

    private static int run(InkMap map, int corner, boolean across, int in) {
        int end = across ? map.width : map.height;
        int n = 0;
        while (n < end
                && in < (across ? map.height : map.width)
                && black(map, corner, across ? n : in, across ? in : n)) {
            n++;
        }
        return n;
    }

    private static boolean black(InkMap map, int corner, int u, int v) {
        int x = corner % 2 == 1 ? map.width - 1 - u : u;
        int y = corner > 1 ? map.height - 1 - v : v;
        return map.plane.at(x, y) < map.paper / 2;
    }
}
