package jalon.core.image;

/**
 * What was measured of a page image.
 *
 * @param widthMm of the upright page
 * @param heightMm of the upright page
 * @param dpi pixels per inch of the received image
 * @param dpiStated false when the resolution was worked out from the size
 * @param skewDegrees clockwise lean of the print on the upright page
 * @param rotation clockwise turn, a multiple of 90, that makes the received image upright
 * @param inkShare see {@link Ink}
 */
public record ImageFacts(
        double widthMm,
        double heightMm,
        double dpi,
        boolean dpiStated,
        double skewDegrees,
        int rotation,
        double inkShare) {}
