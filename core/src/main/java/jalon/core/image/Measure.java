package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/**
 * What is measured of a page's image, in units that do not depend on resolution or colour mode, with the limit that holds
 * when a stream sets none.
 */
public enum Measure {
    /** PageTilt of the print, degrees either way; see {@link Skew}. */
    SKEW("skew", "°", true, 8),
    /** How certain it is which way is up, 0..1: the certainty of the words read the way the page is turned. */
    UPRIGHT("upright", "", false, 0.5),
    /** Width over which ink turns to paper, mm; see {@link Blur}. */
    BLUR("blur", "mm", true, 0.34),
    /** How far ink is darker than its paper, as a share of the paper's brightness; see {@link Contrast}. */
    CONTRAST("contrast", "", false, 0.3),
    /** How dark the paper is, 0 white to 1 black; see {@link PaperBrightness}. */
    DARKNESS("darkness", "", true, 0.45),
    /** How much the paper's brightness differs over the page, 0..1; see {@link PaperBrightness}. */
    UNEVEN("uneven", "", true, 0.3),
    /** Specks to a square centimetre; see {@link Specks}. */
    SPECKS("specks", "/cm²", true, 1),
    /** Depth of black scan edges, mm; see {@link ScanEdges}. */
    EDGE("edge", "mm", true, 12),
    /** Punch holes, how many; see {@link PunchHoles}. */
    HOLES("holes", "", true, Double.POSITIVE_INFINITY),
    /** Shorter side of a corner that is folded or torn off, mm; see {@link Corners}. */
    CORNER("corner", "mm", true, 4),
    /** Print that runs into the edge of the image, mm along the edge; see {@link CutOff}. */
    CUT_OFF("cutOff", "mm", true, 1.5),
    /** Ripples that a lossy codec left beside print, as a share of black to white; see {@link Ripples}. */
    COMPRESSION("compression", "", true, 0.08),
    /** Pixels per inch: too few. */
    RESOLUTION("resolution", "dpi", false, 145),
    /** Pixels per inch: more than is of use. */
    FINENESS("fineness", "dpi", true, 1250),
    /** Shorter side of the page, mm. */
    SHORT_SIDE("shortSide", "mm", false, 20),
    /** Longer side of the page, mm. */
    LONG_SIDE("longSide", "mm", true, 1300),
    /** How much longer a sheet is than its neighbours, mm: two fed at once, one behind the other. */
    LENGTH("length", "mm", true, 15),
    /** Share of words that stand in the same places on the page before, 0..1: the same side scanned twice. */
    REPEAT("repeat", "", true, 0.94);

    private final String json;
    private final String unit;
    private final boolean tooMuch;
    private final double usual;

    Measure(String json, String unit, boolean tooMuch, double usual) {
        this.json = json;
        this.unit = unit;
        this.tooMuch = tooMuch;
        this.usual = usual;
    }

    @JsonValue
    public String json() {
        return json;
    }

    /** What the figure is counted in; empty for a share or a number. */
    public String unit() {
        return unit;
    }

    /** The limit where a stream sets none; infinite for none at all. */
    public double usualLimit() {
        return usual;
    }

    /** Whether a figure is on the wrong side of a limit: above it, or below for what there can be too little of. */
    public boolean breaks(double figure, double limit) {
        return tooMuch ? figure > limit : figure < limit;
    }

    /** Whether there can be too much of it; otherwise too little. */
    public boolean tooMuch() {
        return tooMuch;
    }

    /** The figure as people read it, with its unit. */
    public String format(double figure) {
        int places = Math.abs(figure) >= 20 ? 0 : Math.abs(figure) >= 2 ? 1 : 2;
        String number = String.format(Locale.ROOT, "%." + places + "f", figure);
        return unit.isEmpty() || unit.startsWith("°") || unit.startsWith("/") ? number + unit : number + " " + unit;
    }
}
