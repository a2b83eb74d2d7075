package jalon.core.evidence;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.words.Parts;
import jalon.core.words.Words;
import java.util.List;
import java.util.Map;

/**
 * Why, as a code with its values: screens and reports word it in their language, and causes can be
 * counted.
 *
 * @param with the values of the code's parts, by their names
 */
public record Reason(Code code, Map<String, String> with) {
    public Reason {
        with = with == null ? Map.of() : Map.copyOf(with);
    }

    /** In English, such as {@code not of the form PM-9999-A}. */
    public String words() {
        return Words.of("reason", code, with);
    }

    /** What is said of cuts and types, and what speaks against a field's value; each with the names of its parts. */
    public enum Code {
        @JsonProperty("barcode")
        BARCODE("value"),
        @JsonProperty("patchEitherWay")
        PATCH_EITHER_WAY("code"),
        @JsonProperty("patchByPrint")
        PATCH_BY_PRINT("code"),
        @JsonProperty("patchByEdge")
        PATCH_BY_EDGE("code", "mm"),
        @JsonProperty("patchAsReceived")
        PATCH_AS_RECEIVED("code"),
        @JsonProperty("words")
        WORDS("text"),
        @JsonProperty("everyPages")
        EVERY_PAGES("every"),
        @JsonProperty("file")
        FILE("name"),
        @JsonProperty("numberedFirst")
        NUMBERED_FIRST,
        @JsonProperty("numberedFirstOf")
        NUMBERED_FIRST_OF("of"),
        @JsonProperty("numberedFromHere")
        NUMBERED_FROM_HERE("next"),
        @JsonProperty("noPageNumber")
        NO_PAGE_NUMBER,
        @JsonProperty("numbersEnd")
        NUMBERS_END("before"),
        @JsonProperty("afterLastPage")
        AFTER_LAST_PAGE("of"),
        @JsonProperty("numberJumps")
        NUMBER_JUMPS("before", "here"),
        /** Speaks against a stake. */
        @JsonProperty("numberGoesOn")
        NUMBER_GOES_ON("page"),
        /** The page before has the words of last pages. */
        @JsonProperty("lastPageWords")
        LAST_PAGE_WORDS("text"),
        @JsonProperty("blankSheet")
        BLANK_SHEET,
        @JsonProperty("newValue")
        NEW_VALUE("before", "here"),
        @JsonProperty("firstValue")
        FIRST_VALUE("here"),
        /** Speaks against a stake where the value changes. */
        @JsonProperty("valueBeginsBehind")
        VALUE_BEGINS_BEHIND("value"),
        @JsonProperty("valueUnread")
        VALUE_UNREAD("text"),
        @JsonProperty("valueComesBack")
        VALUE_COMES_BACK("value"),
        /** Speaks against a stake where the value changes. */
        @JsonProperty("hardlyDiffers")
        HARDLY_DIFFERS("before", "here"),
        /** Speaks against a stake. */
        @JsonProperty("onBack")
        ON_BACK,
        @JsonProperty("newHead")
        NEW_HEAD("words"),
        @JsonProperty("letterBegins")
        LETTER_BEGINS("words"),
        @JsonProperty("letterEnded")
        LETTER_ENDED("words"),
        @JsonProperty("otherPaper")
        OTHER_PAPER,
        @JsonProperty("pageBeforeNotFull")
        PAGE_BEFORE_NOT_FULL,
        @JsonProperty("otherText")
        OTHER_TEXT,
        @JsonProperty("likeFirstPages")
        LIKE_FIRST_PAGES,
        @JsonProperty("batchBegins")
        BATCH_BEGINS,
        @JsonProperty("strayed")
        STRAYED("type"),
        /** Speaks against a stake, as do those below. */
        @JsonProperty("likeLaterPages")
        LIKE_LATER_PAGES,
        @JsonProperty("sameHead")
        SAME_HEAD("words"),
        @JsonProperty("sameNumber")
        SAME_NUMBER("number"),
        @JsonProperty("textGoesOn")
        TEXT_GOES_ON,
        @JsonProperty("wholeBatch")
        WHOLE_BATCH,
        @JsonProperty("firstWithoutSign")
        FIRST_WITHOUT_SIGN,
        /** No rule saw its sign, but the page has what first pages have. */
        @JsonProperty("looksLikeFirst")
        LOOKS_LIKE_FIRST("words"),
        @JsonProperty("firstOfBatch")
        FIRST_OF_BATCH,
        @JsonProperty("byHand")
        BY_HAND,
        @JsonProperty("namedBy")
        NAMED_BY("who"),
        @JsonProperty("typeWords")
        TYPE_WORDS("text"),
        @JsonProperty("alsoWordsOf")
        ALSO_WORDS_OF("type"),
        @JsonProperty("likeSamples")
        LIKE_SAMPLES("found", "wanted", "words"),
        @JsonProperty("likeFirstOf")
        LIKE_FIRST_OF("type"),
        @JsonProperty("alsoLike")
        ALSO_LIKE("type"),
        @JsonProperty("onlyType")
        ONLY_TYPE,
        @JsonProperty("noTypeClaims")
        NO_TYPE_CLAIMS("type"),

        @JsonProperty("required")
        REQUIRED,
        @JsonProperty("hardToRead")
        HARD_TO_READ,
        @JsonProperty("anchorsMissing")
        ANCHORS_MISSING,
        @JsonProperty("readTwoWays")
        READ_TWO_WAYS("alone", "withPage"),
        @JsonProperty("lookalikesMended")
        LOOKALIKES_MENDED("read", "taken"),
        /** Words behind a zone that its value seems to go on with. */
        @JsonProperty("runsOver")
        RUNS_OVER,
        /** Print beside it that no reading made a word of. */
        @JsonProperty("printLeft")
        PRINT_LEFT,
        /** A character that the field's limits do not let stand there. */
        @JsonProperty("outsideLimits")
        OUTSIDE_LIMITS("character"),
        /** Another way to find the value found something else. */
        @JsonProperty("foundOtherwise")
        FOUND_OTHERWISE("others"),
        /** What it was made of is in doubt itself. */
        @JsonProperty("ofADoubt")
        OF_A_DOUBT("field"),
        @JsonProperty("noPart")
        NO_PART("text", "pattern"),
        /** What was found stands for nothing that the stream names. */
        @JsonProperty("standsForNothing")
        STANDS_FOR_NOTHING("text"),
        /** A form of no fixed length takes one of its characters for a letter and for a digit. */
        @JsonProperty("formTwoWays")
        FORM_TWO_WAYS("taken", "other"),
        /** Other values of the same form, and nothing says which is meant. */
        @JsonProperty("rivals")
        RIVALS("others"),
        /** What should have been taken could not be read. */
        @JsonProperty("lostBefore")
        LOST_BEFORE("text"),
        @JsonProperty("onlyReadOnce")
        ONLY_READ_ONCE,
        @JsonProperty("otherRow")
        OTHER_ROW("register"),
        @JsonProperty("severalRows")
        SEVERAL_ROWS("register"),
        @JsonProperty("rowAgrees")
        ROW_AGREES("columns"),
        @JsonProperty("rowNearly")
        ROW_NEARLY("columns"),
        @JsonProperty("rowInPart")
        ROW_IN_PART("columns"),
        @JsonProperty("rowLacks")
        ROW_LACKS("columns"),
        @JsonProperty("rowOfAFamily")
        ROW_OF_A_FAMILY,
        @JsonProperty("noRowOnPaper")
        NO_ROW_ON_PAPER("register"),
        @JsonProperty("boxesNotSeen")
        BOXES_NOT_SEEN,
        @JsonProperty("boxOffPage")
        BOX_OFF_PAGE,
        @JsonProperty("nothingTicked")
        NOTHING_TICKED,
        @JsonProperty("severalTicked")
        SEVERAL_TICKED("values"),
        @JsonProperty("struckOut")
        STRUCK_OUT("values"),
        /** A box that is full may be meant or undone. */
        @JsonProperty("filledBox")
        FILLED_BOX("values"),
        /** No printed frame is where the box should be. */
        @JsonProperty("noFrame")
        NO_FRAME,
        @JsonProperty("circle")
        CIRCLE,
        @JsonProperty("noRegister")
        NO_REGISTER("register"),
        @JsonProperty("nothingOfGroup")
        NOTHING_OF_GROUP,
        @JsonProperty("noBarcode")
        NO_BARCODE("pages"),
        @JsonProperty("noRow")
        NO_ROW("register", "column", "value"),
        @JsonProperty("notInRegister")
        NOT_IN_REGISTER("register"),
        @JsonProperty("notOfForm")
        NOT_OF_FORM("form"),
        @JsonProperty("doesNotMatch")
        DOES_NOT_MATCH("pattern"),
        @JsonProperty("length")
        LENGTH("characters"),
        @JsonProperty("notADate")
        NOT_A_DATE("text"),
        @JsonProperty("notATime")
        NOT_A_TIME("text"),
        @JsonProperty("inTheFuture")
        IN_THE_FUTURE,
        @JsonProperty("tooLongAgo")
        TOO_LONG_AGO("years"),
        @JsonProperty("notANumber")
        NOT_A_NUMBER,
        @JsonProperty("notAnAmount")
        NOT_AN_AMOUNT("text"),
        @JsonProperty("lessThan")
        LESS_THAN("least"),
        @JsonProperty("moreThan")
        MORE_THAN("most"),
        @JsonProperty("notOneOf")
        NOT_ONE_OF("values"),
        @JsonProperty("checkDigitFails")
        CHECK_DIGIT_FAILS,
        @JsonProperty("sumDiffers")
        SUM_DIFFERS("fields", "sum"),
        @JsonProperty("tooSoonAfter")
        TOO_SOON_AFTER("field", "date"),
        @JsonProperty("tooLongAfter")
        TOO_LONG_AFTER("field", "date", "days"),
        @JsonProperty("differsFrom")
        DIFFERS_FROM("field", "value"),
        @JsonProperty("twiceInBatch")
        TWICE_IN_BATCH("document"),
        @JsonProperty("filedBefore")
        FILED_BEFORE("on", "batch", "page"),

        /** Kept from before reasons had codes: the words as they were written down. */
        @JsonProperty("asWritten")
        AS_WRITTEN("text");

        private final List<String> parts;

        Code(String... parts) {
            this.parts = List.of(parts);
        }

        /** Names of the values that belong to it. */
        public List<String> parts() {
            return parts;
        }

        /**
         * @param values one for each part, in their order
         * @throws IllegalArgumentException when there are more or fewer
         */
        public Reason with(Object... values) {
            return new Reason(this, Parts.of(this, parts, values));
        }
    }
}
