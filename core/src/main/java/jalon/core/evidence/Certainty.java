package jalon.core.evidence;

/**
 * The one place where evidence becomes a number. Certainties are 0..1; each weight says what it stands for.
 */
public final class Certainty {
    /** A barcode as a sign; one in a hundred is cut short or belongs to something else. */
    public static final double BARCODE = 0.99;

    /** A barcode whose kind carries a check of all of it. */
    public static final double CHECKED_BARCODE = 0.999;

    /** A kind that reads as something shorter when an end is covered, and the length it should have is not known. */
    public static final double OPEN_BARCODE = 0.9;

    /** Code 39 begins and ends with a sign of its own, and each of its characters checks itself. */
    public static final double GUARDED_BARCODE = 0.985;

    /** The same, of the length and form that the stream expects. */
    public static final double OPEN_BARCODE_OF_ITS_FORM = 0.995;

    /** A patch code whose reading direction is known. */
    public static final double PATCH = 0.97;

    /** With neither print nor place to tell the leading edge, 2 may be T and 3 may be 4. */
    public static final double PATCH_FROM_EITHER_END = 0.6;

    /** A batch begins with a document, and nothing on its first page says that the beginning lies in another tray. */
    public static final double BATCH_BEGINS = 0.97;

    /** A stream has rules, yet the batch begins with a page that none of them knows: somebody should look. */
    public static final double NO_SIGN = 0.5;

    /** A page inside of a document that looks like the first pages do: as often a sheet was forgotten as not. */
    public static final double OVERLOOKED = 0.5;

    /** "1 of 3" is a first page; few letters speak of one in their head or foot and are none. */
    public static final double NUMBERED_FIRST_OF = 0.98;

    /** A 1 that does not say of how many may be the number of a chapter or a list. */
    public static final double NUMBERED_FIRST = 0.9;

    /** The next page says that it is the second, as many letters do that say nothing on the first. */
    public static final double NUMBERED_FROM_HERE = 0.9;

    /** A page without a number behind the last of its document: mostly a document of its own, or an enclosure. */
    public static final double AFTER_LAST_PAGE = 0.65;

    /** Numbers that do not go on: a document whose first pages are missing, or a page that was misread. */
    public static final double NUMBER_JUMPS = 0.55;

    /** A sheet without anything on it is rarely part of a document where the stream parts documents by such sheets. */
    public static final double BLANK_SHEET = 0.95;

    /** Another value of the same form: what was read wrong would mostly come back to the old one. */
    public static final double NEW_VALUE = 0.97;

    /** A value that differs in one letter or digit, on one page only, may be the old one misread. */
    public static final double HARDLY_DIFFERS = 0.6;

    /** Of pages that have the value, so many have it where it cannot be read. */
    public static final double VALUE_NOT_READ = 0.04;

    /** A value that comes back after another one: the other one was misread, or a page lies in the wrong place. */
    public static final double VALUE_COMES_BACK = 0.4;

    /** A sign on the back of a sheet, where no document should begin. */
    public static final double ON_BACK = 0.3;

    /** A rule saw a document begin on a page that numbers itself as going on: one of the two is wrong. */
    public static final double CONTRADICTED = 0.5;

    /** None of the types' words are there: the default is a guess that a person should see. */
    public static final double ONLY_DEFAULT = 0.5;

    /** Two types claim the same page. */
    public static final double RIVAL_TYPE = 0.6;

    /** Odds from words that a type must have, all of them there. */
    public static final double ODDS_OF_TYPE_WORDS = 12;

    /** Odds for a type some of whose words are missing, or that has words it must not have. */
    public static final double ODDS_WITHOUT_TYPE_WORDS = 0.1;

    /** A second guess less likely than this is not told. */
    public static final double RIVAL_WORTH_TELLING = 0.05;

    /** Zones of a page less trusted than this are told: they may lie beside the values. */
    public static final double FIT_DOUBTED_BELOW = 0.9;

    /** Odds from a form, that many misreadings keep: a digit is mostly read for another digit. */
    public static final double OF_ITS_FORM = 2;

    /** Odds from a pattern, length or range that most misreadings pass as well. */
    public static final double LOOSE_CHECK = 1.3;

    /** Odds from being a date of the time in question: of misread ones about half are. */
    public static final double DATE_CHECK = 2;

    /** Odds from a list of allowed values: a misreading is rarely another of them. */
    public static final double OF_A_LIST = 10;

    /** No register makes more certain than this: it may have the faults of the paper. */
    private static final double MOST_FROM_REGISTER = 200;

    /** Odds from other values of the document that stand in the same row. */
    public static final double SAME_ROW = 50;

    /** Odds from a sum that is right: a misread figure in any of its parts makes it wrong. */
    public static final double SUM_IS_RIGHT = 50;

    /** Odds from the same value in two places, each read by itself. */
    public static final double SAME_IN_TWO_PLACES = 50;

    /** Three of four changes of a letter for what can stand there are right. */
    private static final double MENDED = 1 / 3.0;

    /** What stands beside a printed label at the start of its cell is that value. */
    private static final double AT_A_LABEL = 0.998;

    /** The label's words in the middle of a sentence may speak of something else. */
    private static final double AT_A_MENTION = 0.85;

    /** A default type that the stream means to be one, and that no words were to claim. */
    private static final double MEANT_DEFAULT = 0.75;

    private Certainty() {}

    /** @param checkBelow from where the stream takes the type without a look */
    public static double chosenDefault(double checkBelow) {
        return Math.max(checkBelow, MEANT_DEFAULT);
    }

    /** @param names whether it stands as labels do */
    public static double label(boolean names) {
        return names ? AT_A_LABEL : AT_A_MENTION;
    }

    /** What a second reading by another way says of the first. */
    public enum Look {
        /** There was none. */
        NONE(0.2),
        SAME(7),
        /** The other has accents on the same letters, and has them again when the place is cut wider. */
        ACCENTS(3),
        /** It has other ones then. */
        ACCENTS_ONCE(0.2),
        /** Two of three agree. */
        MOSTLY(0.25),
        /** All differ. */
        OTHER(0.02);

        private final double odds;

        Look(double odds) {
            this.odds = odds;
        }
    }

    /**
     * Posterior odds of a value read from print: those of the reading, times those of each piece of evidence.
     *
     * @param seen 0..1: the engine's own figure for the worst word
     * @param placed 0..1: that the value meant stands there
     * @param mended whether letters were changed for what can stand there
     * @param checks product of the odds of all passed checks
     */
    public static double print(double seen, double placed, Look look, boolean mended, double checks) {
        double read = reading(seen) * look.odds * (mended ? MENDED : 1) * checks;
        double place = placed >= 1 ? Double.POSITIVE_INFINITY : placed / (1 - placed) * checks;
        return share(read) * share(place);
    }

    /** A certainty after one more piece of evidence. */
    public static double raised(double certainty, double odds) {
        return certainty >= 1 ? 1 : share(certainty / (1 - certainty) * odds);
    }

    /** The engine's figure is no share: fitted on the values of {@code bench values}. */
    private static double reading(double seen) {
        double clamped = Math.max(0.02, Math.min(0.98, seen));
        return Math.pow(clamped / (1 - clamped), 2);
    }

    private static double share(double odds) {
        return Double.isInfinite(odds) ? 1 : odds / (1 + odds);
    }

    /**
     * Odds from a register that has the value: how many values a letter away a misreading could have become, for each of
     * them that the register has too. Much where numbers are sparse, little where they are dense.
     *
     * @param neighbours values that differ in one letter or digit
     * @param known how many of those the register has
     */
    public static double inRegister(int neighbours, int known) {
        return Math.max(1, Math.min(MOST_FROM_REGISTER, neighbours / (known + 0.5)));
    }
}
