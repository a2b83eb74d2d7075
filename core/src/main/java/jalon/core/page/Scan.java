package jalon.core.page;

import java.awt.image.BufferedImage;
import java.util.List;

/**
 * One page, decoded: shown the way the file asks for (orientation applied), pixels square.
 *
 * @param image the picture
 * @param dpi pixels per inch, the same in both directions
 * @param dpiStated whether the file said so; otherwise {@code dpi} was worked out from the size
 * @param ownWords words that came with the page and are seen on it; empty for a scan
 */
public record Scan(BufferedImage image, double dpi, boolean dpiStated, List<OwnWord> ownWords) {

    public double widthMm() {
        return Millimetres.of(image.getWidth(), dpi);
    }

    public double heightMm() {
        return Millimetres.of(image.getHeight(), dpi);
    }
}
