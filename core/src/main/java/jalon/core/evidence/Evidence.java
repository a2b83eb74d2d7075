package jalon.core.evidence;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.page.Box;

/**
 * Why something was decided.
 *
 * @param page page number in the batch, 0 where no page is meant
 * @param box where on the page, or null
 * @param why what was seen there
 * @param score certainty 0..1 that this piece gives
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Evidence(Rule rule, int page, Box box, Reason why, double score) {

    /** What spoke. */
    public enum Rule {
        @JsonProperty("barcode")
        BARCODE,
        @JsonProperty("patch")
        PATCH,
        @JsonProperty("words")
        WORDS,
        /** A document every so many pages. */
        @JsonProperty("pages")
        PAGES,
        @JsonProperty("file")
        FILE,
        /** The number that a page gives itself. */
        @JsonProperty("numbering")
        NUMBERING,
        /** A blank sheet. */
        @JsonProperty("blank")
        BLANK,
        /** A value that is another one than on the page before. */
        @JsonProperty("change")
        CHANGE,
        /** The page beside the one before. */
        @JsonProperty("pages-alone")
        PAGES_ALONE,
        /** A sample that a type is known by. */
        @JsonProperty("specimen")
        SPECIMEN,
        /** The first page of a batch, whatever is on it. */
        @JsonProperty("first")
        FIRST,
        /** What is taken when nothing else fits. */
        @JsonProperty("default")
        DEFAULT,
        @JsonProperty("person")
        PERSON
    }
}
