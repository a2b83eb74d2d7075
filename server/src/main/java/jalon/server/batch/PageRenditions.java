package jalon.server.batch;

import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.page.Pixels;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.ReceivedFiles;
import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.store.FileStore;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Pictures of pages for the screens, upright, in a few widths; made once and kept beside the store. */
@Component
public class PageRenditions {
    /** Thumbnail, page beside fields, page at full width. */
    private static final TreeSet<Integer> WIDTHS = new TreeSet<>(Set.of(200, 900, 1700));

    private final FileStore store;
    private final Path root;

    PageRenditions(FileStore store, JalonSettings settings) {
        this.store = store;
        this.root = settings.dataFolder().resolve("renditions");
    }

    /** @param width wanted at least, in pixels; the next size kept is given */
    public Path picture(PageFacts page, int width) {
        return picture(page, width, List.of());
    }

    /** @param recipe repairs to look at the page through */
    public Path picture(PageFacts page, int width, List<Repair> recipe) {
        return picture(
                page.no(),
                page.sha256(),
                page.filePage(),
                page.image().rotation(),
                width,
                new Look(recipe, page.image().skewDegrees()));
    }

    /** @param rotation the clockwise turn that makes the page upright */
    public Path picture(int no, String sha256, int filePage, int rotation, int width) {
        return picture(no, sha256, filePage, rotation, width, new Look(List.of(), 0));
    }

    /** Repairs, and the lean they may have to take away. */
    private record Look(List<Repair> recipe, double skew) {
        String name() {
            // Recipes are plain records: the same one has the same text, in any process.
            return recipe.isEmpty()
                    ? ""
                    : "-" + UUID.nameUUIDFromBytes((recipe + " " + skew).getBytes(StandardCharsets.UTF_8));
        }
    }

    private Path picture(int no, String sha256, int filePage, int rotation, int width, Look look) {
        Integer size = WIDTHS.ceiling(width);
        int chosen = size == null ? WIDTHS.last() : size;
        Path file = root.resolve(sha256.substring(0, 2))
                .resolve(sha256 + "-" + filePage + "-" + rotation + look.name() + "-" + chosen + ".jpg");
        if (!Files.exists(file)) {
            make(no, store.path(sha256), filePage, rotation, chosen, look, file);
        }
        return file;
    }

    private static void make(int no, Path received, int filePage, int rotation, int width, Look look, Path file) {
        try (var files = new ReceivedFiles(p -> received)) {
            Scan page = files.scan(received, filePage - 1);
            BufferedImage scan = Repaired.of(page.image(), page.dpi(), look.recipe(), look.skew())
                    .image();
            int full = rotation % 180 == 0 ? scan.getWidth() : scan.getHeight();
            BufferedImage small = Pixels.turned(scaled(scan, Math.min(1, (double) width / full)), rotation);
            Files.createDirectories(file.getParent());
            Path part = Files.createTempFile(file.getParent(), ".", ".part");
            try (var out = Files.newOutputStream(part)) {
                ImageIO.write(small, "jpeg", out);
            }
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException | UnreadableFile e) {
            throw NotPossible.now("Page " + no + " cannot be shown: " + e.getMessage());
        }
    }

    /** Halved until near, then once smoothly: quick, and thin strokes do not break up. */
    private static BufferedImage scaled(BufferedImage image, double factor) {
        BufferedImage current = image;
        int w = Math.max(1, (int) Math.round(image.getWidth() * factor));
        int h = Math.max(1, (int) Math.round(image.getHeight() * factor));
        do {
            int nextW = Math.max(w, current.getWidth() / 2);
            int nextH = Math.max(h, current.getHeight() / 2);
            boolean grey = image.getType() == BufferedImage.TYPE_BYTE_BINARY
                    || image.getType() == BufferedImage.TYPE_BYTE_GRAY;
            var next =
                    new BufferedImage(nextW, nextH, grey ? BufferedImage.TYPE_BYTE_GRAY : BufferedImage.TYPE_3BYTE_BGR);
            Graphics2D g = next.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
            g.drawImage(current, 0, 0, nextW, nextH, null);
            g.dispose();
            current = next;
        } while (current.getWidth() > w);
        return current;
    }
}
