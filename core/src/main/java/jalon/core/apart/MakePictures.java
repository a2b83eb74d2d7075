package jalon.core.apart;

import jalon.core.image.Downscaler;
import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.page.Pixels;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import javax.imageio.ImageIO;

/**
 * Makes pictures of one page for the screens. They appear whole under their names or not at all.
 *
 * @param filePage page in the file, from 1
 * @param pictures of one and the same page; one that follows a larger one seen alike is made from that
 */
public record MakePictures(Path file, int filePage, List<Picture> pictures) implements OneFileWork<MakePictures.Made> {
    /**
     * @param rotation the clockwise turn that makes the page upright
     * @param width at most, in pixels
     * @param recipe repairs to look at the page through, @param skew the lean they may have to take away, in degrees
     * @param target a JPEG; its folder is made
     */
    public record Picture(int rotation, int width, List<Repair> recipe, double skew, Path target) {
        boolean seenLike(Picture other) {
            return rotation == other.rotation && recipe.equals(other.recipe) && skew == other.skew;
        }
    }

    public record Made() {}

    @Override
    public Class<Made> answer() {
        return Made.class;
    }

    @Override
    public Made done(Tools tools) throws IOException, UnreadableFile {
        Scan scan = tools.decoded(file, filePage);
        Picture before = null;
        BufferedImage last = null;
        for (Picture p : pictures) {
            boolean smaller = before != null && p.seenLike(before) && p.width <= before.width;
            last = smaller
                    ? upright(last, 0, p.width)
                    : upright(
                            Repaired.of(scan.image(), scan.dpi(), p.recipe, p.skew)
                                    .image(),
                            p.rotation,
                            p.width);
            before = p;
            write(last, p.target);
        }
        return new Made();
    }

    private static BufferedImage upright(BufferedImage image, int rotation, int width) {
        int full = rotation % 180 == 0 ? image.getWidth() : image.getHeight();
        double factor = Math.min(1, (double) width / full);
        int w = Math.max(1, (int) Math.round(image.getWidth() * factor));
        int h = Math.max(1, (int) Math.round(image.getHeight() * factor));
        return Pixels.turned(Downscaler.of(image, w, h), rotation);
    }

    private static void write(BufferedImage picture, Path file) throws IOException {
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(file.getParent(), ".", ".part");
        try {
            try (var out = Files.newOutputStream(part)) {
                ImageIO.write(picture, "jpeg", out);
            }
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
