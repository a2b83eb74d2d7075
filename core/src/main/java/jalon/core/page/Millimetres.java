package jalon.core.page;

/** Between millimetres and the measures of pictures and of print. */
public final class Millimetres {
    private static final double PER_INCH = 25.4;

    /** A point of print is a 72nd of an inch. */
    public static final double PER_POINT = PER_INCH / 72;

    private Millimetres() {}

    /** @param dpi pixels per inch */
    public static double of(double pixels, double dpi) {
        return pixels * PER_INCH / dpi;
    }

    /** @param dpi pixels per inch */
    public static double pixels(double millimetres, double dpi) {
        return millimetres * dpi / PER_INCH;
    }

    public static double inches(double millimetres) {
        return millimetres / PER_INCH;
    }

    /** Pixels per inch of pixels that are so large. */
    public static double dpi(double pixelMm) {
        return PER_INCH / pixelMm;
    }
}
