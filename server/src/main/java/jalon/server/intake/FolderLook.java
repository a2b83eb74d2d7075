package jalon.server.intake;

import jalon.server.NotPossible;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Looks into a folder that copiers and programs drop files in. A file is taken when its size and time have settled, and
 * not while it is hidden or named {@code .part} or {@code .tmp}; it leaves the folder only when it is stored and recorded. One that cannot be read is moved to {@code rejected} with the reason beside it.
 */
@Component
class FolderLook {
    private static final String REJECTED = "rejected";

    private final Receiving receiving;
    private final Map<Path, Seen> seen = new ConcurrentHashMap<>();

    FolderLook(Receiving receiving) {
        this.receiving = receiving;
    }

    private record Seen(long size, long time, Instant since) {
        boolean same(Seen other) {
            return other != null && size == other.size && time == other.time;
        }
    }

    Looked look(ChannelRows.Row channel, ChannelSettings.Folder settings) throws ChannelProblem {
        Path root = settings.path();
        try {
            if (Files.isDirectory(root) && !(Files.isReadable(root) && Files.isExecutable(root))) {
                throw new ChannelProblem(
                        "The folder " + root + " cannot be looked into. Give the server the right to read it.");
            }
            if (Files.isDirectory(root) && !Files.isWritable(root)) {
                throw new ChannelProblem("Files in " + root
                        + " can be read but not taken out. Give the server the right to write there.");
            }
            if (!settings.byStream()) {
                return look(channel, settings, root, channel.stream());
            }
            int taken = 0;
            int rejected = 0;
            Duration again = null;
            String problem = null;
            for (Path sub : folders(root)) {
                String stream = sub.getFileName().toString();
                Looked looked = look(channel, settings, sub, stream);
                taken += looked.taken();
                rejected += looked.rejected();
                again = again == null ? looked.again() : again;
                problem = problem == null ? looked.problem() : problem;
            }
            return new Looked(taken, rejected, again, problem);
        } catch (NoSuchFileException | NotDirectoryException e) {
            throw new ChannelProblem(
                    "There is no folder " + e.getFile() + " any more. Make it again, or connect its disk.", e);
        } catch (AccessDeniedException e) {
            throw new ChannelProblem(deniedFile(e), e);
        } catch (FileSystemException e) {
            throw new ChannelProblem(
                    "Files could not be taken from " + root + " (" + e.getReason()
                            + "). Make room on the disk or mend it; nothing was lost.",
                    e);
        } catch (IOException e) {
            throw new ChannelProblem("The folder " + root + " could not be looked at (" + e.getMessage() + ").", e);
        } catch (NotPossible e) {
            throw new ChannelProblem(e.getMessage(), e);
        }
    }

    private static List<Path> folders(Path root) throws IOException {
        List<Path> subs = new ArrayList<>();
        try (DirectoryStream<Path> all = Files.newDirectoryStream(root, Files::isDirectory)) {
            all.forEach(subs::add);
        }
        subs.removeIf(s -> s.getFileName().toString().equals(REJECTED));
        subs.sort(Comparator.naturalOrder());
        return subs;
    }

    private Looked look(ChannelRows.Row channel, ChannelSettings.Folder settings, Path folder, String stream)
            throws IOException {
        List<Path> files = new ArrayList<>();
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, f -> Files.isRegularFile(f) && !hidden(f))) {
            all.forEach(files::add);
        }
        files.sort(Comparator.comparing(f -> f.getFileName().toString()));
        seen.keySet().removeIf(f -> f.getParent().equals(folder) && !files.contains(f));
        boolean gathers = settings.gatherSeconds() > 0;
        int taken = 0;
        int rejected = 0;
        boolean unsettled = false;
        String problem = null;
        for (Path file : files) {
            if (!settled(file, settings.settleSeconds())) {
                unsettled = true;
                continue;
            }
            try {
                if (take(channel, folder, stream, file, gathers)) {
                    taken++;
                } else {
                    rejected++;
                }
            } catch (AccessDeniedException e) {
                // The others need not wait for this one.
                problem = deniedFile(e);
            }
        }
        Optional<String> open = gathers ? receiving.gathering(channel.id()) : Optional.empty();
        if (open.isPresent() && !unsettled) {
            Instant last = receiving.lastReceived(open.get());
            if (last != null && last.plusSeconds(settings.gatherSeconds()).isBefore(Instant.now())) {
                receiving.complete(open.get(), "channel " + channel.name());
                open = Optional.empty();
            }
        }
        boolean soon = unsettled || open.isPresent();
        return new Looked(
                taken,
                rejected,
                soon ? Duration.ofMillis(Math.max(250, settings.settleSeconds() * 500L)) : null,
                problem);
    }

    private static String deniedFile(AccessDeniedException e) {
        return e.getFile() + " may not be read by the server. Give it the right to read and write.";
    }

    private static boolean hidden(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(".") || name.endsWith(".part") || name.endsWith(".tmp");
    }

    private boolean settled(Path file, int seconds) throws IOException {
        Seen now = new Seen(Files.size(file), Files.getLastModifiedTime(file).toMillis(), Instant.now());
        Seen before = seen.get(file);
        if (!now.same(before)) {
            seen.put(file, now);
            return false;
        }
        return before.since().plusSeconds(seconds).isBefore(Instant.now()) || seconds == 0;
    }

    /** @return false when it could not be read and was moved aside */
    private boolean take(ChannelRows.Row channel, Path folder, String stream, Path file, boolean gathers)
            throws IOException {
        String name = file.getFileName().toString();
        // The same file at the same moment is the same sending: after a crash it is not taken twice.
        String origin =
                file.toAbsolutePath() + "@" + Files.getLastModifiedTime(file).toMillis();
        Receiving.Received received = null;
        if (!receiving.takenBefore(origin)) {
            String by = "channel " + channel.name();
            var wanted = new NewBatch(
                    stream, "folder " + channel.name(), "folder", gathers ? channel.id() : null, by, null, null, null);
            try (InputStream in = Files.newInputStream(file)) {
                received = gathers
                        ? receiving.addGathered(channel.id(), wanted, name, in, origin)
                        : receiving.wholeBatch(wanted, name, in, origin);
            }
        }
        seen.remove(file);
        if (received != null && received.rejected() != null) {
            Path aside = folder.resolve(REJECTED);
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
}
