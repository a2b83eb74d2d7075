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
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Pictures of pages for the screens, upright, in a few widths; made once and kept beside the store. */
@Component
public class PageRenditions {
    private static final int THUMBNAIL = 200;

    /** Beside fields or the strip. */
    private static final int BESIDE = 900;

    private static final int LARGE = 1700;
    private static final TreeSet<Integer> WIDTHS = new TreeSet<>(Set.of(THUMBNAIL, BESIDE, LARGE));

    /** As {@link #file} names a picture with a recipe. */
    private static final Pattern LOOK = Pattern.compile("[0-9a-f]{64}-\\d+-\\d+-[0-9a-f-]{36}-\\d+\\.jpg");

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
        Path file = file(sha256, filePage, rotation, chosen, look);
        if (!Files.exists(file)) {
            make(no, store.path(sha256), filePage, rotation, chosen, look, file);
        }
        return file;
    }

    /** Makes the pictures that the desks show first, while the page is decoded anyway. */
    void makeUsual(PageFacts page, Scan scan, List<Repair> recipe) {
        int rotation = page.image().rotation();
        try {
            Look received = new Look(List.of(), 0);
            BufferedImage beside = made(scan.image(), rotation, BESIDE);
            write(beside, file(page.sha256(), page.filePage(), rotation, BESIDE, received));
            write(made(beside, 0, THUMBNAIL), file(page.sha256(), page.filePage(), rotation, THUMBNAIL, received));
            if (!recipe.isEmpty()) {
                Look look = new Look(recipe, page.image().skewDegrees());
                BufferedImage repaired = Repaired.of(scan.image(), scan.dpi(), recipe, look.skew())
                        .image();
                write(made(repaired, rotation, BESIDE), file(page.sha256(), page.filePage(), rotation, BESIDE, look));
            }
        } catch (IOException e) {
            // They are made when they are asked for, or it is said then why they cannot be.
        }
    }

    /** Throws away pictures of pages seen through repairs that were made before then; they are made again when needed. */
    void clearLooks(Instant madeBefore) throws IOException {
        if (!Files.isDirectory(root)) {
            return;
        }
        try (Stream<Path> all = Files.walk(root)) {
            for (Path file : (Iterable<Path>) all::iterator) {
                if (LOOK.matcher(file.getFileName().toString()).matches()
                        && Files.getLastModifiedTime(file).toInstant().isBefore(madeBefore)) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    private Path file(String sha256, int filePage, int rotation, int width, Look look) {
        return root.resolve(sha256.substring(0, 2))
                .resolve(sha256 + "-" + filePage + "-" + rotation + look.name() + "-" + width + ".jpg");
    }

    private static void make(int no, Path received, int filePage, int rotation, int width, Look look, Path file) {
        try (var files = new ReceivedFiles(p -> received)) {
            Scan page = files.scan(received, filePage - 1);
            BufferedImage scan = Repaired.of(page.image(), page.dpi(), look.recipe(), look.skew())
                    .image();
            write(made(scan, rotation, width), file);
        } catch (IOException | UnreadableFile e) {
            throw NotPossible.now("Page " + no + " cannot be shown: " + e.getMessage());
        }
    }

    private static BufferedImage made(BufferedImage scan, int rotation, int width) {
        int full = rotation % 180 == 0 ? scan.getWidth() : scan.getHeight();
        double factor = Math.min(1, (double) width / full);
        int w = Math.max(1, (int) Math.round(scan.getWidth() * factor));
        int h = Math.max(1, (int) Math.round(scan.getHeight() * factor));
        return Pixels.turned(Smaller.of(scan, w, h), rotation);
    }

    private static void write(BufferedImage small, Path file) throws IOException {
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(file.getParent(), ".", ".part");
        try (var out = Files.newOutputStream(part)) {
            ImageIO.write(small, "jpeg", out);
        }
        Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
    }
}
