package jalon.core.propose;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.page.Box;
import jalon.core.words.Parts;
import jalon.core.words.Words;
import java.util.List;
import java.util.Map;

/**
 * Something that a stream could have, from its samples alone; a person takes it or leaves it.
 *
 * @param type name of the type that it belongs to; null for a cut, and for what holds for the whole stream
 * @param part as it stands in the stream's JSON: parts of the stream itself, a cutting rule, a type without fields, or a field
 * @param seen where the samples show it
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Proposal(What what, String type, Map<String, Object> part, Why why, List<Spotted> seen) {

    /** What is proposed. */
    public enum What {
        @JsonProperty("stream")
        STREAM,
        @JsonProperty("cut")
        CUT,
        @JsonProperty("type")
        TYPE,
        @JsonProperty("field")
        FIELD
    }

    /**
     * @param page number of the sample page, @param box where on it, or null for all of it
     * @param value what would be read there, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Spotted(int page, Box box, String value) {}

    /** Why it is proposed, as a code with its values. */
    public record Why(Code code, Map<String, String> with) {
        /** In English. */
        public String words() {
            return Words.of("proposal", code, with);
        }

        /** Each with the names of its parts. */
        public enum Code {
            @JsonProperty("patchSheets")
            PATCH_SHEETS("n", "codes"),
            @JsonProperty("separatorSheets")
            SEPARATOR_SHEETS("n", "text"),
            @JsonProperty("barcodeSheets")
            BARCODE_SHEETS("n", "value"),
            @JsonProperty("barcodes")
            BARCODES("n", "of", "value"),
            @JsonProperty("blankSheets")
            BLANK_SHEETS("n"),
            @JsonProperty("numbered")
            NUMBERED("n", "of"),
            @JsonProperty("changes")
            CHANGES("n", "of", "value", "values"),
            @JsonProperty("firstWords")
            FIRST_WORDS("n", "of", "text"),
            @JsonProperty("eachFile")
            EACH_FILE("n"),
            @JsonProperty("eachPage")
            EACH_PAGE("n"),
            @JsonProperty("pagesThemselves")
            PAGES_THEMSELVES,
            @JsonProperty("language")
            LANGUAGE("language", "share", "words"),
            @JsonProperty("paperSize")
            PAPER_SIZE("n", "size"),
            @JsonProperty("tickBoxes")
            TICK_BOXES("n", "text", "on", "of"),
            @JsonProperty("alike")
            ALIKE("n", "text"),
            @JsonProperty("allPapers")
            ALL_PAPERS("n"),
            @JsonProperty("label")
            LABEL("text", "n", "of", "value"),
            @JsonProperty("barcodeField")
            BARCODE_FIELD("n", "of", "value");

            private final List<String> parts;

            Code(String... parts) {
                this.parts = List.of(parts);
            }

            /** @param values of its parts, in their order */
            public Why with(Object... values) {
                return new Why(this, Parts.of(this, parts, values));
            }
        }
    }
}
