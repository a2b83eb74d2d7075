package jalon.server.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.apart.MakePictures;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.image.Repair;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.server.JalonSettings;
import jalon.server.Problem;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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
    private static final Pattern PREVIEW = Pattern.compile("[0-9a-f]{64}-\\d+-\\d+-[0-9a-f-]{36}-\\d+\\.jpg");

    private static final Through AS_RECEIVED = new Through(List.of(), 0);

    private final FileStore store;
    private final PageWorkers quickWork;
    private final Path root;

    /** Pictures that could not be made, for a while: a screen asks for them again and again. */
    private final Cache<Path, Failed> failed = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    private record Failed(int times, String reason) {}

    PageRenditions(FileStore store, PageWorkers quickWork, JalonSettings settings) {
        this.store = store;
        this.quickWork = quickWork;
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
                new Through(recipe, page.image().skewDegrees()));
    }

    /** @param rotation the clockwise turn that makes the page upright */
    public Path picture(int no, String sha256, int filePage, int rotation, int width) {
        return picture(no, sha256, filePage, rotation, width, AS_RECEIVED);
    }

    /** Repairs, and the lean they may have to take away. */
    private record Through(List<Repair> recipe, double skew) {
        String name() {
            // Recipes are plain records: the same one has the same text, in any process.
            return recipe.isEmpty()
                    ? ""
                    : "-" + UUID.nameUUIDFromBytes((recipe + " " + skew).getBytes(StandardCharsets.UTF_8));
        }
    }

    private Path picture(int no, String sha256, int filePage, int rotation, int width, Through through) {
        Integer size = WIDTHS.ceiling(width);
        int chosen = size == null ? WIDTHS.last() : size;
        Path file = file(sha256, filePage, rotation, chosen, through);
        if (Files.exists(file)) {
            return file;
        }
        Failed before = failed.get(file, f -> new Failed(0, ""));
        String reason = before.times() >= PageWorkers.MOST_ATTEMPTS
                ? before.reason()
                : make(store.path(sha256), filePage, wanted(rotation, chosen, through, file));
        if (reason != null) {
            failed.put(file, new Failed(before.times() + 1, reason));
            throw Problem.PAGE_NOT_SHOWN.with(no, reason);
        }
        failed.invalidate(file);
        return file;
    }

    /** @return why it cannot be made, or null */
    private String make(Path received, int filePage, MakePictures.Picture picture) {
        try {
            quickWork.ask(new MakePictures(received, filePage, List.of(picture)));
            return null;
        } catch (WorkFailed | UnreadableFile e) {
            return e.getMessage();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return "stopped";
        }
    }

    private static MakePictures.Picture wanted(int rotation, int width, Through through, Path file) {
        return new MakePictures.Picture(rotation, width, through.recipe(), through.skew(), file);
    }

    /** Makes the pictures that the desks show first, while the worker has the page decoded anyway. */
    public void makeUsual(PageFacts page, Path received, List<Repair> recipe, PageWorkers.Lent worker) {
        int rotation = page.image().rotation();
        List<MakePictures.Picture> usual = new ArrayList<>();
        for (int width : List.of(BESIDE, THUMBNAIL)) {
            Path file = file(page.sha256(), page.filePage(), rotation, width, AS_RECEIVED);
            usual.add(wanted(rotation, width, AS_RECEIVED, file));
        }
        if (!recipe.isEmpty()) {
            Through through = new Through(recipe, page.image().skewDegrees());
            usual.add(
                    wanted(rotation, BESIDE, through, file(page.sha256(), page.filePage(), rotation, BESIDE, through)));
        }
        try {
            worker.ask(new MakePictures(received, page.filePage(), usual));
        } catch (WorkFailed | UnreadableFile e) {
            // They are made when they are asked for, or it is said then why they cannot be.
        }
    }

    /** Throws away all pictures of a received file. */
    public void erase(String sha256) throws IOException {
        Path folder = root.resolve(sha256.substring(0, 2));
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, sha256 + "-*")) {
            for (Path file : all) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** Throws away pictures of pages seen through repairs that were made before then; they are made again when needed. */
    void clearPreviews(Instant madeBefore) throws IOException {
        if (!Files.isDirectory(root)) {
            return;
        }
        try (Stream<Path> all = Files.walk(root)) {
            for (Path file : (Iterable<Path>) all::iterator) {
                if (PREVIEW.matcher(file.getFileName().toString()).matches()
                        && Files.getLastModifiedTime(file).toInstant().isBefore(madeBefore)) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    private Path file(String sha256, int filePage, int rotation, int width, Through through) {
        return root.resolve(sha256.substring(0, 2))
                .resolve(sha256 + "-" + filePage + "-" + rotation + through.name() + "-" + width + ".jpg");
    }
}
