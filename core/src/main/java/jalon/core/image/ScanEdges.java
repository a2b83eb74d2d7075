package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * Black strips along the sides of the image, where the scanner looked past the sheet. For each line across a side, how far
 * it is black from the side inwards; a strip counts from the depth that is reached along 15 mm of the side.
 */
final class ScanEdges {
    private static final double ALONG_MM = 15;
    private static final double LEAST_MM = 0.5;

    /** Deeper than this it is not an edge but a dark page. */
    private static final double DEEPEST_SHARE = 0.25;

    private ScanEdges() {}

    /** One side's strip. @param depth mm */
    record Edge(Box where, double depth) {}

    /** How deep the strips of the four sides mostly are, in pixels of the map: 0 where less than half a side is black. */
    static int[] usualDepths(InkMap map) {
        int[] usual = new int[4];
        for (int side = 0; side < 4; side++) {
            usual[side] = middle(depths(map, side));
        }
        return usual;
    }

    private static int[] depths(InkMap map, int side) {
        boolean upright = side < 2;
        int reach = (int) ((upright ? map.width : map.height) * DEEPEST_SHARE);
        int[] depth = new int[upright ? map.height : map.width];
        for (int i = 0; i < depth.length; i++) {
            depth[i] = depth(map, side, i, reach);
        }
        return depth;
    }

    /** @param corners whose black triangles are no edges */
    static List<Edge> in(InkMap map, List<Corners.Corner> corners) {
        List<Edge> edges = new ArrayList<>();
        for (int side = 0; side < 4; side++) {
            Edge edge = along(map, side, corners);
            if (edge != null) {
                edges.add(edge);
            }
        }
        return edges;
    }

    /** @param side 0 left, 1 right, 2 top, 3 bottom */
    private static Edge along(InkMap map, int side, List<Corners.Corner> corners) {
        boolean upright = side < 2;
        int length = upright ? map.height : map.width;
        int reach = (int) ((upright ? map.width : map.height) * DEEPEST_SHARE);
        int[] depth = depths(map, side);
        int usual = middle(depth);
        for (Corners.Corner corner : corners) {
            Box box = corner.where();
            int from = (int) ((upright ? box.y() : box.x()) * map.pixelsPerMm) - 1;
            int to = (int) ((upright ? box.bottom() : box.right()) * map.pixelsPerMm) + 2;
            for (int i = Math.max(0, from); i < Math.min(length, to); i++) {
                depth[i] = Math.min(depth[i], usual);
            }
        }
        int[] sorted = depth.clone();
        java.util.Arrays.sort(sorted);
        int along = (int) Math.min(length, ALONG_MM * map.pixelsPerMm);
        int reached = sorted[length - along];
        if (map.mm(reached) < LEAST_MM || reached >= reach) {
            return null;
        }
        int least = Math.max(1, (int) (LEAST_MM * map.pixelsPerMm / 2));
        int first = 0;
        int last = length - 1;
        while (depth[first] < least) {
            first++;
        }
        while (depth[last] < least) {
            last--;
        }
        // A few lines may run on into print; the box reaches to where nearly all lines end.
        int deep = Math.max(reached, sorted[(int) ((length - 1) * 0.995)]);
        deep = Math.min(deep, reached + (int) (4 * map.pixelsPerMm));
        Box where = switch (side) {
            case 0 -> map.box(0, first, deep, last + 1);
            case 1 -> map.box(map.width - deep, first, map.width, last + 1);
            case 2 -> map.box(first, 0, last + 1, deep);
            default -> map.box(first, map.height - deep, last + 1, map.height);
        };
        return new Edge(where, map.mm(reached));
    }

    private static int middle(int[] depth) {
        int[] sorted = depth.clone();
        java.util.Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** How many pixels are black from the side inwards; the outermost one may be a grey rim. */
    private static int depth(InkMap map, int side, int i, int reach) {
        int black = map.paper / 2;
        int d = 0;
        while (d < reach) {
            int x = side == 0 ? d : side == 1 ? map.width - 1 - d : i;
            int y = side == 2 ? d : side == 3 ? map.height - 1 - d : i;
            if (map.plane.at(x, y) >= black && d > 0) {
                break;
            }
            d++;
        }
        return d == 1 ? 0 : d;
    }
}
