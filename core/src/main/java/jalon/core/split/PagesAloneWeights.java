package jalon.core.split;

/**
 * What each trait of a pair of pages weighs in the log odds that a document begins with the second. Fitted on the training
 * worlds of {@code bench cut}, whose senders are in none of the worlds that it measures; what hardly occurs there keeps the
 * weight that it was given by hand (new files, numbers that jump). What samples say was fitted on batches most of whose kinds are
 * known by two samples.
 */
final class PagesAloneWeights {
    private static final double[] WEIGHTS = {
        0.27, // ALWAYS
        3.78, // FIRST_OF
        1.50, // FIRST
        -2.01, // GOES_ON
        0.80, // JUMPS
        -2.36, // LATER_NUMBER
        2.46, // AFTER_LAST
        -0.50, // AFTER_MORE_TO_COME
        0.30, // NUMBER_LOST
        2.83, // GREETS
        2.31, // CLOSED_BEFORE
        -0.15, // CLOSES_HERE
        -2.74, // LISTS_ON
        2.24, // DATED
        2.77, // LARGE_PRINT
        -1.22, // LARGE_PRINT_BEFORE
        1.44, // DARK_HEAD
        0.56, // DARK_HEAD_BEFORE
        0.88, // HEAD_GROWS
        1.25, // TOP
        0.14, // NOT_FULL_BEFORE
        -2.03, // FULL_BEFORE
        -1.91, // SENTENCE_BROKEN
        -0.22, // BEGINS_SMALL
        3.84, // SAME_HEAD
        -4.43, // SAME_FOOT
        -1.83, // SAME_BODY
        1.61, // OTHER_SIZE_OF_PRINT
        2.74, // OTHER_MARGIN
        3.31, // OTHER_PAPER
        -0.29, // OTHER_SCAN
        0.86, // OTHER_SKEW
        -5.73, // LIKE_TEXT
        0.23, // SAME_NUMBERS
        0.16, // OTHER_NUMBERS
        -4.11, // SAME_RULES
        0.33, // FEW_WORDS
        -0.03, // FEW_WORDS_BEFORE
        2.00, // NEW_FILE
        3.60, // LIKE_FIRST
        -2.30, // LIKE_INNER
        -5.50, // FOLLOWS_ITS_TYPE
        3.60, // SAME_FORM
        -0.50, // UNLIKE_ALL
        -0.41, // SAME_HEAD_AND_LARGE
        -1.44, // SAME_BODY_AND_LARGE
    };

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
