package jalon.server.intake;

import jalon.server.JalonSettings;
import jalon.server.batch.Receiving;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Takes files from folders that copiers and programs drop them in: one file, one batch. A file is taken when its size and
 * time have been the same at two looks, and leaves the folder only when it is stored and recorded. One that cannot be read
 * is moved to {@code rejected} with the reason beside it.
 */
@Component
public class WatchedFolders implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(WatchedFolders.class);

    private final JalonSettings settings;
    private final Receiving receiving;
    private final Map<Path, Seen> seen = new ConcurrentHashMap<>();
    private final Map<String, State> states = new ConcurrentHashMap<>();
    private ScheduledExecutorService clock;

    WatchedFolders(JalonSettings settings, Receiving receiving) {
        this.settings = settings;
        this.receiving = receiving;
    }

    private record Seen(long size, long time) {}

    /** @param problem what is wrong with the folder and what to do, or null */
    public record State(String folder, String stream, Instant lookedAt, int taken, int rejected, String problem) {}

    public List<State> states() {
        return settings.watched().stream()
                .map(w -> states.getOrDefault(w.folder(), new State(w.folder(), w.stream(), null, 0, 0, null)))
                .toList();
    }

    /** Looks at a folder once. */
    public void look(JalonSettings.Watched watched) {
        State before =
                states.getOrDefault(watched.folder(), new State(watched.folder(), watched.stream(), null, 0, 0, null));
        int taken = before.taken();
        int rejected = before.rejected();
        String problem = null;
        try (DirectoryStream<Path> files =
                Files.newDirectoryStream(watched.path(), f -> Files.isRegularFile(f) && !hidden(f))) {
            for (Path file : files) {
                if (settled(file)) {
                    if (take(watched, file)) {
                        taken++;
                    } else {
                        rejected++;
                    }
                }
            }
        } catch (IOException | RuntimeException e) {
            problem = "The folder could not be looked at (" + e.getMessage() + "). Check that it is there and may be"
                    + " read and written by the server.";
            if (!problem.equals(before.problem())) {
                // Said once, not at every look.
                LOG.warn("watched folder {}: {}", watched.folder(), e.toString());
            }
        }
        states.put(
                watched.folder(),
                new State(watched.folder(), watched.stream(), Instant.now(), taken, rejected, problem));
    }

    private static boolean hidden(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(".") || name.endsWith(".part") || name.endsWith(".tmp");
    }

    private boolean settled(Path file) throws IOException {
        Seen now = new Seen(Files.size(file), Files.getLastModifiedTime(file).toMillis());
        Seen before = seen.put(file, now);
        return now.equals(before);
    }

    private boolean take(JalonSettings.Watched watched, Path file) throws IOException {
        String name = file.getFileName().toString();
        // The same file at the same moment is the same sending: after a crash it is not taken twice.
        String origin =
                file.toAbsolutePath() + "@" + Files.getLastModifiedTime(file).toMillis();
        Receiving.Received received;
        if (receiving.takenBefore(origin)) {
            received = null;
        } else {
            try (InputStream in = Files.newInputStream(file)) {
                received = receiving.wholeBatch(
                        watched.stream(), "folder " + watched.path().getFileName(), name, in, origin);
            }
        }
        seen.remove(file);
        if (received != null && received.rejected() != null) {
            Path aside = watched.path().resolve("rejected");
            Files.createDirectories(aside);
            Path kept = free(aside, name);
            Files.writeString(aside.resolve(kept.getFileName() + ".reason.txt"), received.rejected() + "\n");
            Files.move(file, kept);
            return false;
        }
        Files.delete(file);
        return true;
    }

    private static Path free(Path folder, String name) {
        Path wanted = folder.resolve(name);
        for (int n = 2; Files.exists(wanted); n++) {
            wanted = folder.resolve(n + " " + name);
        }
        return wanted;
    }

    @Override
    public void start() {
        clock = Executors.newSingleThreadScheduledExecutor(r -> {
            Thread t = new Thread(r, "watched-folders");
            t.setDaemon(true);
            return t;
        });
        if (settings.isWorker()) {
            for (JalonSettings.Watched w : settings.watched()) {
                clock.scheduleWithFixedDelay(() -> look(w), 1000, w.every().toMillis(), TimeUnit.MILLISECONDS);
            }
        }
    }

    @Override
    public void stop() {
        clock.shutdown();
        clock = null;
    }

    @Override
    public boolean isRunning() {
        return clock != null;
    }
}
