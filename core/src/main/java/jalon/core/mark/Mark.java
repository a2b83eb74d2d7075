package jalon.core.mark;

import jalon.core.page.Box;

/**
 * A barcode or patch code found on a page.
 *
 * @param symbology a barcode's kind, such as {@code CODE_128}; {@code PATCH} for a patch code
 * @param value what it says; for a patch code one of 1, 2, 3, 4, 6, T
 * @param box on the upright page
 * @param how for a patch code, how its reading direction was known; otherwise empty
 */
public record Mark(Kind kind, String symbology, String value, Box box, String how) {
    public enum Kind {
        @com.fasterxml.jackson.annotation.JsonProperty("barcode")
        BARCODE,
        @com.fasterxml.jackson.annotation.JsonProperty("patch")
        PATCH
    }
}
