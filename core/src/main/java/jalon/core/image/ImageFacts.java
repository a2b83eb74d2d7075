package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;
import java.util.OptionalDouble;

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
 * @param measured the page's figures, boxes on the upright page; what could not be measured is not there
 * @param coloured where coloured ink is, on the upright page
 * @param readThrough repairs that the page was read through
 */
public record ImageFacts(
        double widthMm,
        double heightMm,
        double dpi,
        boolean dpiStated,
        double skewDegrees,
        int rotation,
        double inkShare,
        List<Measured> measured,
        List<Box> coloured,
        List<Repair> readThrough) {
    public ImageFacts {
        measured = measured == null ? List.of() : List.copyOf(measured);
        coloured = coloured == null ? List.of() : List.copyOf(coloured);
        readThrough = readThrough == null ? List.of() : List.copyOf(readThrough);
    }

    public ImageFacts leaning(double degrees) {
        return new ImageFacts(
                widthMm, heightMm, dpi, dpiStated, degrees, rotation, inkShare, measured, coloured, readThrough);
    }

    public OptionalDouble figure(Measure what) {
        return measured.stream()
                .filter(m -> m.what() == what)
                .mapToDouble(Measured::figure)
                .findFirst();
    }
}
