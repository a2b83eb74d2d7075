package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.page.Box;
import java.util.Arrays;
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
    @JsonSubTypes.Type(value = StakeRule.ByNumbering.class, name = "numbering"),
    @JsonSubTypes.Type(value = StakeRule.ByBlank.class, name = "blank"),
    @JsonSubTypes.Type(value = StakeRule.BySpecimen.class, name = "specimen"),
    @JsonSubTypes.Type(value = StakeRule.ByChange.class, name = "change"),
    @JsonSubTypes.Type(value = StakeRule.PagesAlone.class, name = "pages-alone")
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

        R blank(ByBlank blank);

        R specimen(BySpecimen specimen);

        R change(ByChange change);

        R pagesAlone(PagesAlone pagesAlone);
    }

    <R> R match(Cases<R> cases);

    /**
     * Tells what is at fault beyond what the schema can say; most kinds have nothing to tell.
     *
     * @param at JSON pointer of the rule
     */
    default void examine(String at, Faults faults) {}

    /** Whether it says of every place whether a document begins there, so that none can be overlooked. */
    default boolean placesAll() {
        return false;
    }

    /** Whether it knows pages by samples of the types. */
    default boolean knowsBySamples() {
        return false;
    }

    /** Whether it may open more than a document. */
    default boolean opensMore() {
        return false;
    }

    /** What begins where a sign stands. Each level begins all those below it too. */
    enum Opens {
        @JsonProperty("document")
        DOCUMENT,
        /** A person's file, a case: its documents inherit its fields. */
        @JsonProperty("group")
        GROUP,
        /** What one feeding brought in is parted here. */
        @JsonProperty("batch")
        BATCH
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
     * @param kind see {@link BarcodeForm}, as for the others
     */
    record ByBarcode(
            String kind, String like, String pattern, Box where, Integer hit, Double quality, Sheet sheet, Opens opens)
            implements StakeRule {
        public ByBarcode {
            opens = opens == null ? Opens.DOCUMENT : opens;
            sheet = sheet == null ? Sheet.KEPT : sheet;
        }

        public BarcodeForm form() {
            return new BarcodeForm(kind, like, pattern, where, hit, quality);
        }

        @Override
        public boolean opensMore() {
            return opens != Opens.DOCUMENT;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.barcode(this);
        }

        @Override
        public void examine(String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
            faults.shape(like, at + "/like");
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
            DOCUMENT(Opens.DOCUMENT),
            @JsonProperty("group")
            GROUP(Opens.GROUP),
            @JsonProperty("batch")
            BATCH(Opens.BATCH),
            /** Nothing begins; whoever works on the batch is told. */
            @JsonProperty("flag")
            FLAG(null),
            /** The sheet is known, and says nothing here. */
            @JsonProperty("nothing")
            NOTHING(null);

            private final Opens opens;

            Meaning(Opens opens) {
                this.opens = opens;
            }

            /** The one by which that begins. */
            public static Meaning of(Opens what) {
                return Arrays.stream(values())
                        .filter(m -> m.opens == what)
                        .findFirst()
                        .orElseThrow();
            }

            /** Null where nothing begins. */
            public Opens opens() {
                return opens;
            }
        }

        @Override
        public boolean opensMore() {
            return codes.values().stream().anyMatch(m -> m == Meaning.GROUP || m == Meaning.BATCH);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.patch(this);
        }
    }

    /**
     * Words or patterns on first or last pages.
     *
     * @param must phrases that must all be there
     * @param mustNot phrases of which none may be there
     * @param pattern a regular expression (RE2) that one line must match, or null
     * @param where the part of the page looked at, or null for all of it
     * @param on whether they stand on first pages, or on last ones, behind which the next document begins
     */
    record ByWords(List<String> must, List<String> mustNot, String pattern, Box where, On on, Sheet sheet, Opens opens)
            implements StakeRule {
        /** Which page of a document carries the sign. */
        public enum On {
            @JsonProperty("first")
            FIRST,
            @JsonProperty("last")
            LAST
        }

        public ByWords {
            on = on == null ? On.FIRST : on;
            opens = opens == null ? Opens.DOCUMENT : opens;
            must = must == null ? List.of() : List.copyOf(must);
            mustNot = mustNot == null ? List.of() : List.copyOf(mustNot);
            sheet = sheet == null ? Sheet.KEPT : sheet;
        }

        @Override
        public boolean opensMore() {
            return opens != Opens.DOCUMENT;
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
        public boolean placesAll() {
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
        public boolean placesAll() {
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

    /** A blank sheet between two documents: with duplex both its sides. It is dropped. */
    record ByBlank() implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.blank(this);
        }
    }

    /** A page that is like the first pages of the stream's samples: what follows belongs to it until the next one. */
    record BySpecimen() implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.specimen(this);
        }

        @Override
        public boolean knowsBySamples() {
            return true;
        }
    }

    /**
     * A value that changes: pages with the same value belong together, a new one begins a document, a page without one follows
     * the page before.
     *
     * @param finder how each page's value is found
     */
    record ByChange(Finder finder) implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.change(this);
        }

        @Override
        public void examine(String at, Faults faults) {
            finder.examine(StreamDefinition.DocumentType.of("page", null, List.of()), at + "/finder", faults);
        }
    }

    /** No sign of any kind: the pages themselves, each beside the one before. */
    record PagesAlone() implements StakeRule {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pagesAlone(this);
        }

        @Override
        public boolean knowsBySamples() {
            return true;
        }

        @Override
        public boolean placesAll() {
            return true;
        }
    }
}
