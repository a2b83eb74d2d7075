package jalon.core.evidence;

/**
 * The one place where evidence becomes a number. Certainties are 0..1; each weight says what it stands for.
 */
public final class Certainty {
    /** A barcode has check digits or guards of its own; one in a hundred is cut short or belongs to something else. */
    public static final double BARCODE = 0.99;

    /** A patch code whose reading direction is known. */
    public static final double PATCH = 0.97;

    /** With neither print nor place to tell the leading edge, 2 may be T and 3 may be 4. */
    public static final double PATCH_FROM_EITHER_END = 0.6;

    /** A stream has rules, yet the batch begins with a page that none of them knows: somebody should look. */
    public static final double NO_SIGN = 0.5;

    /** None of the types' words are there: the default is a guess that a person should see. */
    public static final double ONLY_DEFAULT = 0.5;

    /** Two types claim the same page. */
    public static final double RIVAL_TYPE = 0.6;

    /** A zone read less certainly than this is read once more by itself. */
    public static final double READ_AGAIN_BELOW = 0.8;

    /** Zones of a page less trusted than this are told: they may lie beside the values. */
    public static final double FIT_DOUBTED_BELOW = 0.9;

    /** What was mended is sure only where something outside the value backs it this much. */
    public static final double MENDED_NEEDS = 0.8;

    /** A register row that has the value: much, since other values are rarely there by chance. */
    public static final double IN_REGISTER = 0.8;

    /** A form, or a list of values, that a misreading would mostly have broken. */
    public static final double OF_ITS_FORM = 0.4;

    /** A pattern, length, range or date that many misreadings pass as well. */
    public static final double LOOSE_CHECK = 0.2;

    /** A label that itself was poorly read is still mostly that label. */
    private static final double LABEL_LEAST = 0.7;

    /** Letters were changed for what can stand there: three of four such changes are right. */
    private static final double LOOKALIKES = 0.75;

    /** Two readings of the same zone differ. */
    private static final double DISAGREEING = 0.8;

    /** A default type that the stream means to be one, and that no words were to claim. */
    private static final double MEANT_DEFAULT = 0.75;

    private Certainty() {}

    /** @param checkBelow from where the stream takes the type without a look */
    public static double chosenDefault(double checkBelow) {
        return Math.max(checkBelow, MEANT_DEFAULT);
    }

    /**
     * How far zones laid on a page can be trusted: two printed words that agree fix them, one leaves the scale open, none
     * leaves them as drawn.
     *
     * @param found anchors that agree
     * @param wanted anchors of the layout; a layout without any is taken as it is
     */
    public static double fit(int found, int wanted) {
        return wanted == 0 || found >= 2 ? 1 : found == 1 ? 0.85 : 0.6;
    }

    /** Two readings agree: what is left of the doubt is a third. */
    public static double agreeing(double first, double second) {
        return 1 - (1 - Math.max(first, second)) / 3;
    }

    public static double differing(double first, double second) {
        return Math.min(first, second) * DISAGREEING;
    }

    public static double lookalikesMended(double read) {
        return read * LOOKALIKES;
    }

    /** @param label how alike the label is to what was wanted */
    public static double beside(double value, double label) {
        return value * Math.max(LABEL_LEAST, label);
    }

    /** A check that could have failed and did not takes its share of the doubt away. */
    public static double backed(double certainty, double backing) {
        return 1 - (1 - certainty) * (1 - backing);
    }
}
