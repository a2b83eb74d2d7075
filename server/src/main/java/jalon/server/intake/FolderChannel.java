package jalon.server.intake;

import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.CameBy;
import jalon.server.batch.GatheredBatches;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Looks into a folder that copiers and programs drop files in. A file is taken when its size and times have settled, and
 * not while it is hidden or named {@code .part} or {@code .tmp}; it leaves the folder only when it is stored and recorded.
 * Each is its own try: one that cannot be read is moved to {@code rejected} with the reason beside it, and so is one that
 * failed three times. Links are told and not followed.
 */
@Component
class FolderChannel {
    private static final Logger LOG = LoggerFactory.getLogger(FolderChannel.class);
    private static final String REJECTED = "rejected";

    private final Receiving receiving;
    private final GatheredBatches gathered;
    private final StreamLibrary streams;
    private final WatchedFolders watched;
    private final TakenFile taken;
    private final ChannelTries tries;
    private final Times times;
    private final Map<Path, Seen> seen = new ConcurrentHashMap<>();

    FolderChannel(
            Receiving receiving,
            GatheredBatches gathered,
            StreamLibrary streams,
            WatchedFolders watched,
            TakenFile taken,
            ChannelTries tries,
            Times times) {
        this.times = times;
        this.receiving = receiving;
        this.gathered = gathered;
        this.streams = streams;
        this.watched = watched;
        this.taken = taken;
        this.tries = tries;
    }

    private record Seen(FileState state, Instant since) {}

    ChannelVisit visit(ChannelRows.Row channel, ChannelSettings.Folder settings) throws ChannelProblem {
        Path root = settings.path();
        try {
            root = watched.allowed(channel.id(), channel.name(), settings);
            if (Files.isDirectory(root) && !(Files.isReadable(root) && Files.isExecutable(root))) {
                throw new ChannelProblem(Problem.FOLDER_NOT_READABLE.with(root));
            }
            if (Files.isDirectory(root) && !Files.isWritable(root)) {
                throw new ChannelProblem(Problem.FOLDER_NOT_WRITABLE.with(root));
            }
            var visit = new FolderVisit(channel, settings, root);
            if (settings.byStream()) {
                for (Path sub : folders(visit)) {
                    lookIntoStream(visit, sub);
                }
            } else {
                look(visit, root, channel.stream());
            }
            return visit.done(gathered, receiving, times.now());
        } catch (NoSuchFileException | NotDirectoryException e) {
            throw new ChannelProblem(Problem.FOLDER_GONE.with(e.getFile()), e);
        } catch (AccessDeniedException e) {
            throw new ChannelProblem(Problem.FOLDER_DENIED.with(e.getFile()), e);
        } catch (FileSystemException e) {
            throw new ChannelProblem(Problem.FOLDER_DISK.with(root, e.getReason()), e);
        } catch (IOException e) {
            throw new ChannelProblem(Problem.FOLDER_NOT_LOOKED_AT.with(root, e.getMessage()), e);
        } catch (NotPossible e) {
            throw new ChannelProblem(e);
        }
    }

    private static List<Path> folders(FolderVisit visit) throws IOException {
        List<Path> subs = new ArrayList<>();
        try (DirectoryStream<Path> all = Files.newDirectoryStream(visit.root, Files::isDirectory)) {
            for (Path sub : all) {
                if (Files.isSymbolicLink(sub)) {
                    visit.tell(Problem.LINK_NOT_FOLLOWED.with(sub));
                } else if (!sub.getFileName().toString().equals(REJECTED)) {
                    subs.add(sub);
                }
            }
        }
        subs.sort(Comparator.naturalOrder());
        return subs;
    }

    /** What is wrong with one sub-folder keeps no other waiting. */
    private void lookIntoStream(FolderVisit visit, Path sub) {
        String stream = sub.getFileName().toString();
        try {
            if (!streams.has(stream)) {
                visit.tell(Problem.SUB_FOLDER_UNNAMED.with(sub));
                return;
            }
            look(visit, sub, stream);
        } catch (AccessDeniedException e) {
            visit.tell(Problem.FOLDER_DENIED.with(e.getFile()));
        } catch (IOException e) {
            visit.tell(Problem.FOLDER_NOT_LOOKED_AT.with(sub, e.getMessage()));
        }
    }

    private void look(FolderVisit visit, Path folder, String stream) throws IOException {
        taken.settleLeft(folder, visit::tell);
        List<Path> files = new ArrayList<>();
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, f -> !hidden(f))) {
            for (Path file : all) {
                if (Files.isSymbolicLink(file)) {
                    visit.tell(Problem.LINK_NOT_FOLLOWED.with(file));
                } else if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
                    files.add(file);
                }
            }
        }
        files.sort(Comparator.comparing(f -> f.getFileName().toString()));
        Set<Path> here = new HashSet<>(files);
        seen.keySet().removeIf(f -> f.getParent().equals(folder) && !here.contains(f));
        for (Path file : files) {
            if (settled(file, visit.settings.settleSeconds())) {
                takeOnItsOwn(visit, folder, stream, file);
            } else {
                visit.unsettled.add(stream);
            }
        }
    }

    private static boolean hidden(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(".") || name.endsWith(".part") || name.endsWith(".tmp");
    }

    private boolean settled(Path file, int seconds) throws IOException {
        FileState now;
        try {
            now = FileState.of(file);
        } catch (NoSuchFileException e) {
            return false;
        }
        Seen before = seen.get(file);
        if (before == null || !now.equals(before.state())) {
            seen.put(file, new Seen(now, times.now()));
            return false;
        }
        return before.since().plusSeconds(seconds).isBefore(times.now()) || seconds == 0;
    }

    /** One file that cannot be taken does not keep the others; after three tries it is set aside. */
    private void takeOnItsOwn(FolderVisit visit, Path folder, String stream, Path file) throws IOException {
        String item = visit.root.relativize(file).toString();
        String why;
        try {
            take(visit, folder, stream, file);
            tries.forget(visit.channel.id(), item);
            return;
        } catch (DataAccessException | TransactionException e) {
            throw e;
        } catch (NoSuchFileException e) {
            // Whoever put it there has taken it away again.
            tries.forget(visit.channel.id(), item);
            return;
        } catch (AccessDeniedException e) {
            visit.tell(Problem.FOLDER_DENIED.with(e.getFile()));
            return;
        } catch (NotPossible e) {
            if (e.isMachine()) {
                throw e;
            }
            why = e.getMessage();
        } catch (IOException e) {
            why = "it could not be taken (" + e.getMessage() + ")";
        } catch (RuntimeException e) {
            LOG.error("{}", file, e);
            why = "taking it failed in a way that Jalon did not expect; it is written in the server's log";
        }
        if (tries.failed(visit.channel.id(), item, why, times.now())) {
            reject(folder, file, "in " + ChannelTries.MOST + " tries: " + why);
            tries.forget(visit.channel.id(), item);
            visit.rejected++;
        } else {
            visit.tell(Problem.FILE_TRIED_AGAIN.with(file, why));
        }
    }

    private void take(FolderVisit visit, Path folder, String stream, Path file) throws IOException {
        String name = file.getFileName().toString();
        FileState state = FileState.of(file);
        // The same file in the same state is the same sending: one that was recorded before a crash is not taken twice.
        String origin = "folder:" + visit.channel.id() + ":" + visit.root.relativize(file) + "#" + state.mark();
        String sha256 = receiving.contentOf(origin).orElse(null);
        if (sha256 == null) {
            String by = "channel " + visit.channel.name();
            Long gatheredBy = visit.gathers() ? visit.channel.id() : null;
            var wanted =
                    new NewBatch(stream, "folder " + visit.channel.name(), CameBy.FOLDER, gatheredBy, by, null, null);
            Receiving.Received received;
            try (InputStream in = Files.newInputStream(file, LinkOption.NOFOLLOW_LINKS)) {
                received = visit.gathers()
                        ? gathered.add(visit.channel.id(), wanted, name, in, origin)
                        : receiving.wholeBatch(wanted, name, in, origin);
            }
            if (received.rejected() != null) {
                if (FileState.of(file).equals(state)) {
                    reject(folder, file, received.rejected().words());
                    visit.rejected++;
                }
                // Else it was not complete when it was read, and is looked at again.
                seen.remove(file);
                return;
            }
            sha256 = received.sha256();
        }
        seen.remove(file);
        visit.took++;
        if (!taken.remove(file, state, sha256)) {
            visit.tell(Problem.FILE_WRITTEN_MEANWHILE.with(file));
        }
    }

    private static void reject(Path folder, Path file, String reason) throws IOException {
        Path aside = folder.resolve(REJECTED);
        if (Files.isSymbolicLink(aside)) {
            throw new IOException(aside + " is a link");
        }
        Files.createDirectories(aside);
        Path kept = TakenFile.free(aside, file.getFileName().toString());
        Files.writeString(aside.resolve(kept.getFileName() + ".reason.txt"), reason + "\n");
        Files.move(file, kept);
    }
}
