package jalon.core.evidence;

/** Bounds of a share that was seen in a sample (Clopper and Pearson 1934), by halving on the binomial's own sum. */
public final class Bounds {
    private Bounds() {}

    /**
     * The largest share that still gives so few with a chance of 2.5 %.
     *
     * @param few how many were seen
     * @param of among how many; 1 is the bound of none
     */
    public static double upper(int few, int of) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < 60 && of > 0; i++) {
            double p = (low + high) / 2;
            if (atMost(few, of, p) > 0.025) {
                low = p;
            } else {
                high = p;
            }
        }
        return high;
    }

    private static double atMost(int few, int of, double p) {
        double sum = 0;
        double log = of * Math.log1p(-p);
        for (int k = 0; k <= few; k++) {
            sum += Math.exp(log);
            log += Math.log((of - k) / (k + 1.0)) + Math.log(p) - Math.log1p(-p);
        }
        return sum;
    }
}
