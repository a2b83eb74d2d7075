package jalon.cli;

import jalon.core.image.Repair;
import jalon.core.page.PageFile;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.run.ReceivedFiles;
import jalon.core.run.Report;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;

/** Reads every page of some files, several at once; only what was seen is kept, never an image. */
final class ReadFiles {
    private final String language;
    private final List<Repair> recipe;
    private final TextReaders readers;
    private final int workers;
    private final ExecutorService pool;

    /** @param recipe repairs to read through */
    ReadFiles(String language, List<Repair> recipe, TextReaders readers, int workers, ExecutorService pool) {
        this.language = language;
        this.recipe = recipe;
        this.readers = readers;
        this.workers = workers;
        this.pool = pool;
    }

    private record Task(Path file, ReadPage.Origin origin) {}

    private record Outcome(ReadPage.Origin origin, PageFacts facts, String problem) {}

    /**
     * @param rejected gets what could not be read
     * @param paths gets each file's path by its hash
     */
    List<PageFacts> read(List<Path> files, List<Report.Rejected> rejected, Map<String, Path> paths)
            throws IOException, InterruptedException {
        Deque<Task> tasks = tasks(files, rejected, paths);
        Map<Integer, Outcome> outcomes = new ConcurrentHashMap<>();
        List<Future<?>> running = new ArrayList<>();
        for (int i = 0; i < workers; i++) {
            Callable<Void> worker = () -> {
                work(tasks, outcomes);
                return null;
            };
            running.add(pool.submit(worker));
        }
        for (Future<?> worker : running) {
            try {
                worker.get();
            } catch (ExecutionException e) {
                if (e.getCause() instanceof IllegalStateException unusable) {
                    throw unusable;
                }
                throw new IOException(e.getCause());
            }
        }
        List<PageFacts> pages = new ArrayList<>();
        outcomes.keySet().stream().sorted().map(outcomes::get).forEach(o -> {
            if (o.facts() != null) {
                // Numbers have no gaps: a page that could not be read is not in the batch.
                pages.add(o.facts().numbered(pages.size() + 1));
            } else {
                rejected.add(new Report.Rejected(o.origin().file(), o.problem()));
            }
        });
        return pages;
    }

    private static Deque<Task> tasks(List<Path> files, List<Report.Rejected> rejected, Map<String, Path> paths) {
        Deque<Task> tasks = new ArrayDeque<>();
        int no = 0;
        for (Path file : files) {
            String name = file.getFileName().toString();
            if (!Files.isRegularFile(file)) {
                rejected.add(new Report.Rejected(name, "there is no file " + file));
                continue;
            }
            try (PageFile pages = PageFile.open(file)) {
                String hash = sha256(file);
                paths.put(hash, file);
                for (int i = 0; i < pages.pageCount(); i++) {
                    tasks.add(new Task(file, new ReadPage.Origin(++no, name, i + 1, hash)));
                }
            } catch (UnreadableFile e) {
                rejected.add(new Report.Rejected(name, e.getMessage()));
            } catch (IOException e) {
                rejected.add(new Report.Rejected(name, "the file could not be read (" + e.getMessage() + ")"));
            }
        }
        return tasks;
    }

    private void work(Deque<Task> tasks, Map<Integer, Outcome> outcomes) throws IOException, InterruptedException {
        try (TextReader reader = readers.borrow(language);
                var files = new ReceivedFiles(p -> null)) {
            for (Task task = next(tasks); task != null; task = next(tasks)) {
                Outcome outcome;
                try {
                    var scan = files.scan(task.file(), task.origin().filePage() - 1);
                    outcome =
                            new Outcome(task.origin(), ReadPage.read(scan, task.origin(), reader, null, recipe), null);
                } catch (UnreadableFile e) {
                    outcome = new Outcome(task.origin(), null, e.getMessage());
                }
                outcomes.put(task.origin().no(), outcome);
            }
        }
    }

    private static Task next(Deque<Task> tasks) {
        synchronized (tasks) {
            return tasks.poll();
        }
    }

    private static String sha256(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            new DigestInputStream(in, digest).transferTo(java.io.OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
