package jalon.core.image;

/**
 * The brightness that parts ink from paper for a whole page: Otsu's method (N. Otsu, "A threshold selection method from
 * gray-level histograms", 1979), held within sane bounds because a nearly empty page has only one peak to part.
 */
public final class Threshold {
    private static final int DARKEST = 90;
    private static final int BRIGHTEST = 190;

    private Threshold() {}

    /** Which pixels of a plane are ink. */
    static boolean[] ink(GrayPlane plane) {
        int threshold = of(plane);
        byte[] px = plane.pixels();
        boolean[] ink = new boolean[px.length];
        for (int i = 0; i < px.length; i++) {
            ink[i] = (px[i] & 0xFF) < threshold;
        }
        return ink;
    }

    /** @return a brightness 0..255; pixels below it are ink */
    public static int of(GrayPlane plane) {
        int[] counts = plane.histogram();
        long total = plane.pixels().length;
        double sum = 0;
        for (int i = 0; i < 256; i++) {
            sum += (double) i * counts[i];
        }
        double sumDark = 0;
        long dark = 0;
        double best = -1;
        int at = (DARKEST + BRIGHTEST) / 2;
        for (int i = 0; i < 256; i++) {
            dark += counts[i];
            if (dark == 0 || dark == total) {
                continue;
            }
            sumDark += (double) i * counts[i];
            double meanDark = sumDark / dark;
            double meanBright = (sum - sumDark) / (total - dark);
            double between = (double) dark * (total - dark) * (meanDark - meanBright) * (meanDark - meanBright);
            if (between > best) {
                best = between;
                at = i + 1;
            }
        }
        return Math.max(DARKEST, Math.min(BRIGHTEST, at));
    }
}
