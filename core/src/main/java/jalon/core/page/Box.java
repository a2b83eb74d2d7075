package jalon.core.page;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/**
 * A rectangle on the upright page: millimetres, origin at the top left corner, x to the right, y down.
 *
 * <p>In JSON it is the array {@code [x, y, width, height]}.
 */
public record Box(double x, double y, double width, double height) {

    @JsonCreator
    public static Box of(double[] xywh) {
        if (xywh == null || xywh.length != 4) {
            throw new IllegalArgumentException("a box is four numbers: x, y, width and height in millimetres");
        }
        return new Box(xywh[0], xywh[1], xywh[2], xywh[3]);
    }

    /** The box as {@code [x, y, width, height]}, rounded to hundredths of a millimetre: far below one pixel. */
    @JsonValue
    public double[] toArray() {
        return new double[] {hundredths(x), hundredths(y), hundredths(width), hundredths(height)};
    }

    private static double hundredths(double mm) {
        return Math.round(mm * 100) / 100.0;
    }

    /** Between the nearest edges of both; 0 where they overlap. */
    public double distanceTo(Box other) {
        return distanceTo(other, 1);
    }

    /** @param downCounts how many times as far a way down or up is as one to the side */
    public double distanceTo(Box other, double downCounts) {
        double across = Math.max(0, Math.max(other.x - right(), x - other.right()));
        double down = Math.max(0, Math.max(other.y - bottom(), y - other.bottom()));
        return Math.hypot(across, downCounts * down);
    }

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public double centreX() {
        return x + width / 2;
    }

    public double centreY() {
        return y + height / 2;
    }

    /** Whether the middle of {@code other} lies in this box: the test used for "stands in this place". */
    public boolean holdsCentreOf(Box other) {
        return other.centreX() >= x
                && other.centreX() <= right()
                && other.centreY() >= y
                && other.centreY() <= bottom();
    }

    /** Whether they have any area in common. */
    public boolean overlaps(Box other) {
        return x < other.right() && other.x < right() && y < other.bottom() && other.y < bottom();
    }

    public Box union(Box other) {
        double left = Math.min(x, other.x);
        double top = Math.min(y, other.y);
        return new Box(left, top, Math.max(right(), other.right()) - left, Math.max(bottom(), other.bottom()) - top);
    }

    /** The part of it that lies on a page of this size. */
    public Box within(double pageWidth, double pageHeight) {
        double left = Math.max(0, x);
        double top = Math.max(0, y);
        return new Box(
                left,
                top,
                Math.max(0, Math.min(pageWidth, right()) - left),
                Math.max(0, Math.min(pageHeight, bottom()) - top));
    }

    /** This box grown by {@code mm} on every side. */
    public Box grown(double mm) {
        return new Box(x - mm, y - mm, width + 2 * mm, height + 2 * mm);
    }

    /** This box on a page that is larger by a factor. */
    public Box scaled(double factor) {
        return new Box(x * factor, y * factor, width * factor, height * factor);
    }

    /** Where this box comes to lie when a page of the given size is turned clockwise by a multiple of 90 degrees. */
    public Box turned(int degrees, double pageWidth, double pageHeight) {
        return switch (Math.floorMod(degrees, 360)) {
            case 90 -> new Box(pageHeight - bottom(), x, height, width);
            case 180 -> new Box(pageWidth - right(), pageHeight - bottom(), width, height);
            case 270 -> new Box(y, pageWidth - right(), height, width);
            default -> this;
        };
    }
}
