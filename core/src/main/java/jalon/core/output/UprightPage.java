package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.page.Pixels;
import jalon.core.page.Scan;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.util.List;

/** A page's image as it is filed. */
final class UprightPage {
    private UprightPage() {}

    /** Repaired, and turned so that its print stands upright. */
    static BufferedImage of(Scan scan, PageFacts page, List<Repair> recipe) {
        BufferedImage filed = recipe.isEmpty()
                ? scan.image()
                : Repaired.of(scan.image(), scan.dpi(), recipe, page.image().skewDegrees())
                        .image();
        return Pixels.turned(filed, page.image().rotation());
    }
}
