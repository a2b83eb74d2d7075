package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;

/**
 * Print that runs into the edge of the image, so that some of it must lie outside: how many millimetres of the edge have
 * ink on them, where no black scan edge or missing corner is, and the ink is no ruled line.
 *
 * @param along mm, over all four sides
 * @param where the ink that is cut, or null
 */
record CutOff(double along, Box where) {
    private static final double REACH_MM = 0.6;

    /** Cut print reaches inwards; a rim of shadow does not. */
    private static final double LEAST_INWARD_MM = 1.2;

    private static final double MOST_INWARD_MM = 40;
    private static final double LINE_MM = 20;

    static CutOff of(InkMap map, List<ScanEdges.Edge> edges, List<Corners.Corner> corners) {
        Blobs blobs = map.blobs;
        int reach = Math.max(1, (int) Math.round(REACH_MM * map.pixelsPerMm));
        boolean[] cut = new boolean[blobs.count];
        Box where = null;
        for (int b = 0; b < blobs.count; b++) {
            Box box = map.box(blobs.left[b], blobs.top[b], blobs.right[b] + 1, blobs.bottom[b] + 1);
            boolean sideways = blobs.left[b] < reach || blobs.right[b] >= map.width - reach;
            boolean upDown = blobs.top[b] < reach || blobs.bottom[b] >= map.height - reach;
            double inward = sideways ? box.width() : box.height();
            double along = sideways ? box.height() : box.width();
            cut[b] = (sideways || upDown)
                    && inward >= LEAST_INWARD_MM
                    && inward <= MOST_INWARD_MM
                    && along < LINE_MM
                    && !(inward > 8 && along < 1)
                    && edges.stream().noneMatch(e -> e.where().grown(1).overlaps(box))
                    && corners.stream().noneMatch(c -> c.where().grown(1).overlaps(box));
            if (cut[b]) {
                where = where == null ? box : where.union(box);
            }
        }
        double[] along = {0};
        blobs.eachRun(cut, (blob, row, left, right) -> {
            boolean edgeRow = row < reach || row >= map.height - reach;
            if (edgeRow) {
                along[0] += (right - left + 1.0) / reach;
            } else if (left < reach || right >= map.width - reach) {
                along[0] += 1;
            }
        });
        return new CutOff(map.mm(along[0]), where);
    }
}
