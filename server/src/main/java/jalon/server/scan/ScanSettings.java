package jalon.server.scan;

import jalon.core.stream.IntakeRules;
import jalon.server.Problem;
import java.util.Map;

/**
 * How a stack is scanned.
 *
 * @param size {@code A4}, {@code A5} or {@code Letter}
 */
public record ScanSettings(
        Source source, Integer dpi, IntakeRules.Colour colour, boolean duplex, String size, Integer showEvery) {
    private static final Map<String, double[]> SIZES =
            Map.of("A4", new double[] {210, 297}, "A5", new double[] {148, 210}, "Letter", new double[] {215.9, 279.4});

    /** Where the paper lies. */
    public enum Source {
        feeder,
        flatbed
    }

    public ScanSettings {
        source = source == null ? Source.feeder : source;
        dpi = dpi == null ? 300 : dpi;
        colour = colour == null ? IntakeRules.Colour.GREY : colour;
        size = size == null ? "A4" : size;
        showEvery = showEvery == null || showEvery < 1 ? 1 : showEvery;
        if (!SIZES.containsKey(size)) {
            throw Problem.NO_SUCH_SIZE.with(size);
        }
    }

    /** These settings with what a stream does not leave to the operator. */
    ScanSettings under(IntakeRules.ScanRules fixed) {
        return new ScanSettings(
                source,
                fixed.dpi() == null ? dpi : fixed.dpi(),
                fixed.colour() == null ? colour : fixed.colour(),
                fixed.duplex() == null ? duplex : fixed.duplex(),
                fixed.size() == null ? size : fixed.size(),
                showEvery);
    }

    /** Of each sheet, that come as pages. */
    int sides() {
        return duplex && source == Source.feeder ? 2 : 1;
    }

    double widthMm() {
        return SIZES.get(size)[0];
    }

    double heightMm() {
        return SIZES.get(size)[1];
    }
}
