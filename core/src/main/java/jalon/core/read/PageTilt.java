package jalon.core.read;

import jalon.core.page.Box;

/**
 * Between a skewed page and the same page made straight about its middle. Boxes keep their width and height, which run
 * along the print; their centres move.
 *
 * @param degrees clockwise lean of the print
 */
public record PageTilt(double degrees, double widthMm, double heightMm) {

    public static PageTilt of(PageFacts page) {
        var image = page.image();
        return new PageTilt(image.skewDegrees(), image.widthMm(), image.heightMm());
    }

    public Box fromStraight(Box straight) {
        return moved(straight, degrees);
    }

    public Box toStraight(Box onPage) {
        return moved(onPage, -degrees);
    }

    private Box moved(Box box, double clockwise) {
        double cos = Math.cos(Math.toRadians(clockwise));
        double sin = Math.sin(Math.toRadians(clockwise));
        double dx = box.centreX() - widthMm / 2;
        double dy = box.centreY() - heightMm / 2;
        double cx = widthMm / 2 + dx * cos - dy * sin;
        double cy = heightMm / 2 + dx * sin + dy * cos;
        return new Box(cx - box.width() / 2, cy - box.height() / 2, box.width(), box.height());
    }
}
