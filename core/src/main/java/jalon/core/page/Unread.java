package jalon.core.page;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.words.Parts;
import jalon.core.words.Words;
import java.util.List;
import java.util.Map;

/**
 * Why a file, or a page of one, was not read: a code with its values.
 *
 * @param with the values of the code's parts, by their names
 * @param attempts that failed; 0 where trying again would change nothing
 */
public record Unread(Code code, Map<String, String> with, int attempts) {
    public Unread {
        with = with == null ? Map.of() : Map.copyOf(with);
    }

    /** The same after so many attempts. */
    public Unread after(int failed) {
        return new Unread(code, with, failed);
    }

    /** In English, for an operator: what, and what to do. */
    public String words() {
        String said = Words.of("unread", code, with);
        return attempts == 0 ? said : attempts + " attempts failed; " + said;
    }

    /** What is wrong; each with the names of its parts. */
    public enum Code {
        @JsonProperty("emptyFile")
        EMPTY_FILE,
        @JsonProperty("unknownKind")
        UNKNOWN_KIND,
        @JsonProperty("notOpened")
        NOT_OPENED("why"),
        @JsonProperty("noFile")
        NO_FILE("file"),
        @JsonProperty("tooManyPages")
        TOO_MANY_PAGES("most"),
        @JsonProperty("noPage")
        NO_PAGE,
        @JsonProperty("tiffDamaged")
        TIFF_DAMAGED,
        @JsonProperty("tiffPageCutShort")
        TIFF_PAGE_CUT_SHORT("page"),
        @JsonProperty("tiffPageDamaged")
        TIFF_PAGE_DAMAGED("page"),
        @JsonProperty("tiffCircle")
        TIFF_CIRCLE("page"),
        @JsonProperty("tiffCutShortAfter")
        TIFF_CUT_SHORT_AFTER("page"),
        @JsonProperty("pdfLocked")
        PDF_LOCKED,
        @JsonProperty("pdfDamaged")
        PDF_DAMAGED,
        @JsonProperty("pdfPageDamaged")
        PDF_PAGE_DAMAGED("page"),
        @JsonProperty("noSize")
        NO_SIZE("width", "height"),
        @JsonProperty("tooLarge")
        TOO_LARGE("width", "height", "most"),
        @JsonProperty("pictureEnds")
        PICTURE_ENDS,
        @JsonProperty("pictureDamaged")
        PICTURE_DAMAGED,
        @JsonProperty("timeUp")
        TIME_UP("seconds"),
        @JsonProperty("tooMuchMemory")
        TOO_MUCH_MEMORY,
        @JsonProperty("tooDeep")
        TOO_DEEP,
        @JsonProperty("died")
        DIED("how"),
        @JsonProperty("unexpected")
        UNEXPECTED("what"),
        @JsonProperty("noAnswer")
        NO_ANSWER,
        @JsonProperty("disk")
        DISK("what"),
        @JsonProperty("notInstalled")
        NOT_INSTALLED("what"),
        @JsonProperty("notStarted")
        NOT_STARTED("why"),
        @JsonProperty("stopped")
        STOPPED,
        @JsonProperty("machineStopped")
        MACHINE_STOPPED,

        /** Kept from before there were codes: the words as they were written down. */
        @JsonProperty("asWritten")
        AS_WRITTEN("text");

        private final List<String> parts;

        Code(String... parts) {
            this.parts = List.of(parts);
        }

        public List<String> parts() {
            return parts;
        }

        /** @param values one for each part, in their order */
        public Unread with(Object... values) {
            return new Unread(this, Parts.of(this, parts, values), 0);
        }
    }
}
