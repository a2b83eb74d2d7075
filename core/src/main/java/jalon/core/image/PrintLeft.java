package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;

/** Print outside of what is known already. */
public final class PrintLeft {
    /** Letters of print from 5 to 40 points, and what touches to a short word. */
    private static final double LEAST_TALL_MM = 0.9;

    private static final double MOST_TALL_MM = 14;
    private static final double MOST_WIDE_MM = 30;

    /** What the box of a word leaves out: tails, accents. */
    private static final double AROUND_MM = 1;

    private PrintLeft() {}

    /**
     * How many things of the size of letters stand outside.
     *
     * @param small the page at about 100 dpi, see {@link GrayPlane#small}
     * @param known places in mm on it
     */
    public static int letters(GrayPlane small, List<Box> known) {
        var map = new InkMap(small);
        List<Box> covered = known.stream().map(b -> b.grown(AROUND_MM)).toList();
        int letters = 0;
        for (int b = 0; b < map.blobs.count; b++) {
            double tall = map.mm(map.blobs.height(b));
            double wide = map.mm(map.blobs.width(b));
            boolean letter = tall >= LEAST_TALL_MM && tall <= MOST_TALL_MM && wide <= MOST_WIDE_MM;
            if (letter) {
                Box box = map.box(map.blobs.left[b], map.blobs.top[b], map.blobs.right[b] + 1, map.blobs.bottom[b] + 1);
                letters += covered.stream().anyMatch(c -> c.holdsCentreOf(box)) ? 0 : 1;
            }
        }
        return letters;
    }
}
