package jalon.core.sort;

/**
 * What each piece of evidence weighs in a conditional logit over the candidate layouts and "none of these", whose utility is
 * 0. Fitted on the training worlds of {@code bench sort} ({@code jalon bench sort fit}), whose forms are in none of the worlds
 * that it measures.
 */
final class SortWeights {
    /** Beyond these log odds nothing more is gained. */
    private static final double MOST = 9;

    static final int COUNT = 12;
    private static final int COMPARED = 8;

    /** The constant, then as in {@link #features}. */
    private static final double[] WEIGHTS = {-6.64, 7.9, 1.52, -0.3, -2.82, -2.51, 1.75, 1.77, 1.43, 0.5, -2.08, -0.95};

    private SortWeights() {}

    static double[] inForce() {
        return WEIGHTS.clone();
    }

    /** What is known of one layout on a page; the place of what tells it from its rivals is still empty. */
    static double[] features(double likeness, Laid laid, Laid.Shares shares, double explained) {
        double drawn = laid.drawn();
        double here = laid.drawnOnlyHere();
        return new double[] {
            1,
            likeness,
            shares.there(),
            shares.other(),
            shares.nothing(),
            explained,
            drawn < 0 ? 0.6 : drawn,
            here < 0 ? 0.6 : here,
            0,
            Math.log1p(laid.fit.agreeing()),
            0,
            0
        };
    }

    /** Only what speaks against a layout counts: that it beats its rivals does not make it fit. */
    static void compared(double[] features, double logOdds, int gainsaid) {
        gainsaid(features, gainsaid);
        features[COMPARED] = Math.max(-MOST, Math.min(0, logOdds));
    }

    /** One word may be chance; each further one is none. */
    static void gainsaid(double[] features, int words) {
        features[COUNT - 2] = Math.min(1, words);
        features[COUNT - 1] = Math.min(3, Math.max(0, words - 1));
    }

    /** Without comparing it with others. */
    static double alone(double[] features) {
        return dot(features) - WEIGHTS[COMPARED] * features[COMPARED];
    }

    static double utility(double[] features) {
        return dot(features);
    }

    private static double dot(double[] features) {
        double sum = 0;
        for (int i = 0; i < COUNT; i++) {
            sum += WEIGHTS[i] * features[i];
        }
        return sum;
    }
}
