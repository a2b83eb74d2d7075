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
        int[] strips = ScanEdges.usualDepths(map);
        for (int corner = 0; corner < 4; corner++) {
            Corner c = at(new Inside(map, corner, strips));
            if (c != null) {
                found.add(c);
            }
        }
        return found;
    }

    /** The map seen from a corner, inside the scan edges: u along the top or bottom, v along the side. */
    private record Inside(InkMap map, int corner, int[] strips) {
        int width() {
            return map.width - strips[0] - strips[1];
        }

        int height() {
            return map.height - strips[2] - strips[3];
        }

        int x(int u) {
            return corner % 2 == 1 ? map.width - 1 - strips[1] - u : strips[0] + u;
        }

        int y(int v) {
            return corner > 1 ? map.height - 1 - strips[3] - v : strips[2] + v;
        }

        boolean black(int u, int v) {
            return map.plane.at(x(u), y(v)) < map.paper / 2;
        }
    }

    private static Corner at(Inside in) {
        InkMap map = in.map();
        if (in.width() < 10 || in.height() < 10) {
            return null;
        }
        int across = run(in, true);
        int down = run(in, false);
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
                    insideBlack += in.black(u, v) ? 1 : 0;
                } else if (s > 1.1) {
                    outside++;
                    outsideBlack += in.black(u, v) ? 1 : 0;
                }
            }
        }
        if (insideBlack < FULL * inside || outsideBlack > (1 - FULL) * outside) {
            return null;
        }
        int u = Math.min(in.x(0), in.x(across - 1));
        int v = Math.min(in.y(0), in.y(down - 1));
        return new Corner(map.box(u, v, u + across, v + down), shorter);
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

    private static int run(Inside in, boolean across) {
        // One pixel in from the side, since the outermost may be a grey rim; then back out along the slope.
        int near = run(in, across, 1);
        int deeper = run(in, across, 1 + SLOPE_OVER);
        int end = across ? in.width() : in.height();
        return deeper == 0 ? near : Math.min(end, near + Math.max(0, (near - deeper) * 3 / (2 * SLOPE_OVER)));
    }

    private static int run(Inside in, boolean across, int depth) {
        int end = across ? in.width() : in.height();
        int n = 0;
        while (n < end
                && depth < (across ? in.height() : in.width())
                && in.black(across ? n : depth, across ? depth : n)) {
            n++;
        }
        return n;
    }
}
