package jalon.core.mark;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.page.Box;

/**
 * A barcode or patch code found on a page.
 *
 * @param symbology a barcode's kind, such as {@code CODE_128}; {@code PATCH} for a patch code
 * @param value what it says; for a patch code one of 1, 2, 3, 4, 6, T
 * @param box on the upright page
 * @param direction how a patch code's reading direction was known; null for a barcode
 * @param agreement the share of the looks across a barcode that read the same, 0..1; null where it is not known
 */
public record Mark(Kind kind, String symbology, String value, Box box, Direction direction, Double agreement) {
    public enum Kind {
        @JsonProperty("barcode")
        BARCODE,
        @JsonProperty("patch")
        PATCH
    }

    /**
     * From which end a patch code was read, and why.
     *
     * @param edgeMm how far away the edge is that was taken for the leading one; 0 where no edge decided
     */
    public record Direction(KnownBy by, long edgeMm) {}

    public enum KnownBy {
        /** It reads the same from both ends. */
        @JsonProperty("eitherWay")
        EITHER_WAY,
        /** The print on the sheet is upright in one direction only. */
        @JsonProperty("print")
        PRINT,
        /** A code stands near the leading edge. */
        @JsonProperty("edge")
        EDGE,
        /** Nothing tells: the sheet is taken to lie as it was fed, top first. */
        @JsonProperty("asReceived")
        AS_RECEIVED
    }
}
