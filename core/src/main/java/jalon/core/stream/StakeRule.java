package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.page.Box;
import java.util.List;
import java.util.Map;

/** A rule that says where a document begins. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "by")
@JsonSubTypes({
    @JsonSubTypes.Type(value = StakeRule.ByBarcode.class, name = "barcode"),
    @JsonSubTypes.Type(value = StakeRule.ByPatch.class, name = "patch"),
    @JsonSubTypes.Type(value = StakeRule.ByWords.class, name = "words"),
    @JsonSubTypes.Type(value = StakeRule.EveryPages.class, name = "pages"),
    @JsonSubTypes.Type(value = StakeRule.ByFile.class, name = "file"),
    @JsonSubTypes.Type(value = StakeRule.ByNumbering.class, name = "numbering")
})
public sealed interface StakeRule {
    /** One answer for each kind of rule. */
    interface Cases<R> {
        R barcode(ByBarcode barcode);

        R patch(ByPatch patch);

        R words(ByWords words);

        R everyPages(EveryPages everyPages);

        R file(ByFile file);

        R numbering(ByNumbering numbering);
    }

    <R> R match(Cases<R> cases);

    /**
     * Tells what is at fault beyond what the schema can say; most kinds have nothing to tell.
     *
     * @param at JSON pointer of the rule
     */
    default void examine(String at, Faults faults) {}

    /** Whether it counts, whatever stands on the pages. */
    default boolean counts() {
        return false;
    }

    /** What becomes of the sheet that carries the sign. */
    enum Sheet {
        @JsonProperty("kept")
        KEPT,
        @JsonProperty("dropped")
        DROPPED
    }

    /**
     * A barcode.
     *
     * @param kind any kind when null
     * @param like a {@linkplain Shape shape} the whole value must have, or null
     * @param pattern a regular expression (RE2) the whole value must match, or null
     * @param where the part of the page its middle must lie in, or null
     */
    record ByBarcode(String kind, String like, String pattern, Box where, Sheet sheet) implements StakeRule {
        public ByBarcode {
            sheet = sheet == null ? Sheet.KEPT : sheet;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.barcode(this);
        }

        @Override
        public void examine(String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
        }
    }

    /** Patch code sheets, each code with its own meaning; codes not named mean nothing. */
    record ByPatch(Map<String, Meaning> codes, Sheet sheet) implements StakeRule {
        public ByPatch {
            codes = codes == null ? Map.of("2", Meaning.DOCUMENT) : Map.copyOf(codes);
            sheet = sheet == null ? Sheet.DROPPED : sheet;
        }

        public enum Meaning {
            @JsonProperty("document")
            DOCUMENT,
            @JsonProperty("flag")
            FLAG
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.patch(this);
        }
    }

    /**
     * Words or patterns on first pages.
     *
     * @param must phrases that must all be there
     * @param mustNot phrases of which none may be there
     * @param pattern a regular expression (RE2) that one line must match, or null
     * @param where the part of the page looked at, or null for all of it
     */
    record ByWords(List<String> must, List<String> mustNot, String pattern, Box where, Sheet sheet)
            implements StakeRule {
        public ByWords {
            must = must == null ? List.of() : List.copyOf(must);
            mustNot = mustNot == null ? List.of() : List.copyOf(mustNot);
            sheet = sheet == null ? Sheet.KEPT : sheet;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.words(this);
        }

        @Override
        public void examine(String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
        }
    }

    /** A document every so many pages, blank ones set aside not counted. */
    record EveryPages(int every) implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.everyPages(this);
        }

        @Override
        public boolean counts() {
            return true;
        }
    }

    /** A document begins with every received file. */
    record ByFile() implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.file(this);
        }

        @Override
        public boolean counts() {
            return true;
        }
    }

    /** The numbers that pages give themselves, in the usual spellings. */
    record ByNumbering() implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.numbering(this);
        }
    }
}
