package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What was measured of a page image.
 *
 * @param inkShare see {@link Ink}
 * @param measured the page's figures, boxes on the upright page; what could not be measured is not there
 * @param coloured where coloured ink is, on the upright page
 * @param readThrough repairs that the page was read through
 * @param layout what the page looks like beside its words, or null where that was not kept
 */
public record ImageFacts(
        Size size,
        Density density,
        Pose pose,
        double inkShare,
        List<Measured> measured,
        List<Box> coloured,
        List<Repair> readThrough,
        PageLayout layout) {
    public ImageFacts {
        measured = measured == null ? List.of() : List.copyOf(measured);
        coloured = coloured == null ? List.of() : List.copyOf(coloured);
        readThrough = readThrough == null ? List.of() : List.copyOf(readThrough);
    }

    /** Of the upright page. */
    public record Size(double widthMm, double heightMm) {}

    /**
     * @param dpi pixels per inch of the received image
     * @param stated false when it was worked out from the size
     */
    public record Density(double dpi, boolean stated) {}

    /**
     * How the page lay.
     *
     * @param skewDegrees clockwise skew of the print on the upright page
     * @param rotation clockwise turn, a multiple of 90, that makes the received image upright
     */
    public record Pose(double skewDegrees, int rotation) {}

    public double widthMm() {
        return size.widthMm();
    }

    public double heightMm() {
        return size.heightMm();
    }

    public double dpi() {
        return density.dpi();
    }

    public double skewDegrees() {
        return pose.skewDegrees();
    }

    public int rotation() {
        return pose.rotation();
    }

    /** The same page with its print at another skew. */
    public ImageFacts skewed(double degrees) {
        return new ImageFacts(
                size, density, new Pose(degrees, pose.rotation()), inkShare, measured, coloured, readThrough, layout);
    }

    public OptionalDouble figure(Measure what) {
        return measured.stream()
                .filter(m -> m.what() == what)
                .mapToDouble(Measured::figure)
                .findFirst();
    }
}
