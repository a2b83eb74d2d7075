package jalon.cli;

import jalon.core.apart.CountPages;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOnePage;
import jalon.core.apart.WorkFailed;
import jalon.core.page.Sha256;
import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import jalon.core.read.HowToReadPage;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.run.Report;
import jalon.core.stream.PageRules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;

/** Reads every page of some files, several at once, in processes that can be killed; only what was seen is kept. */
final class ReadFiles {
    private final String language;
    private final HowToReadPage how;
    private final PageWorkers workers;
    private final int atOnce;
    private final ExecutorService pool;
    private final List<String> warnings;

    /** @param rules how pages are read, @param atOnce pages, @param warnings gets what was kept and is not whole */
    ReadFiles(
            String language,
            PageRules rules,
            PageWorkers workers,
            int atOnce,
            ExecutorService pool,
            List<String> warnings) {
        this.warnings = Collections.synchronizedList(warnings);
        this.language = language;
        this.how = new HowToReadPage(null, rules.readingRepairs(), rules.barcodes());
        this.workers = workers;
        this.atOnce = atOnce;
        this.pool = pool;
    }

    private record Task(Path file, ReadPage.Origin origin) {}

    private record Outcome(Task task, PageFacts facts, Unread problem) {}

    /**
     * @param rejected gets what could not be read
     * @param paths gets each file's path by its hash
     */
    List<PageFacts> read(List<Path> files, List<Report.Rejected> rejected, Map<String, Path> paths)
            throws IOException, InterruptedException {
        List<PageFacts> pages = new ArrayList<>();
        for (Outcome o : readable(files, rejected, paths)) {
            // Numbers have no gaps: a page that could not be read is not in the batch.
            pages.add(o.facts().numbered(pages.size() + 1));
        }
        return pages;
    }

    /**
     * The pages of each file by themselves, numbered from 1; a file that could not be read is not there.
     *
     * @param rejected gets what could not be read
     */
    Map<Path, List<PageFacts>> readEach(List<Path> files, List<Report.Rejected> rejected)
            throws IOException, InterruptedException {
        Map<Path, List<PageFacts>> byFile = new HashMap<>();
        for (Outcome o : readable(files, rejected, new HashMap<>())) {
            List<PageFacts> pages = byFile.computeIfAbsent(o.task().file(), f -> new ArrayList<>());
            pages.add(o.facts().numbered(pages.size() + 1));
        }
        return byFile;
    }

    /** The pages that could be read, in the order of the files. */
    private List<Outcome> readable(List<Path> files, List<Report.Rejected> rejected, Map<String, Path> paths)
            throws IOException, InterruptedException {
        Deque<Task> tasks = tasks(files, rejected, paths);
        Map<Integer, Outcome> outcomes = new ConcurrentHashMap<>();
        List<Future<?>> running = new ArrayList<>();
        for (int i = 0; i < atOnce; i++) {
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
        List<Outcome> inOrder =
                outcomes.keySet().stream().sorted().map(outcomes::get).toList();
        inOrder.stream().filter(o -> o.facts() == null).forEach(o -> {
            ReadPage.Origin origin = o.task().origin();
            rejected.add(Report.Rejected.of(origin.file(), origin.filePage(), o.problem()));
        });
        return inOrder.stream().filter(o -> o.facts() != null).toList();
    }

    private Deque<Task> tasks(List<Path> files, List<Report.Rejected> rejected, Map<String, Path> paths)
            throws InterruptedException {
        Deque<Task> tasks = new ArrayDeque<>();
        int no = 0;
        for (Path file : files) {
            String name = file.getFileName().toString();
            if (!Files.isRegularFile(file)) {
                rejected.add(Report.Rejected.of(name, null, Unread.Code.NO_FILE.with(file)));
                continue;
            }
            try {
                String hash = Sha256.of(file);
                paths.put(hash, file);
                int pages = workers.insist(new CountPages(file)).pages();
                for (int i = 0; i < pages; i++) {
                    tasks.add(new Task(file, new ReadPage.Origin(++no, name, i + 1, hash)));
                }
            } catch (UnreadableFile e) {
                rejected.add(Report.Rejected.of(name, null, e.why()));
            } catch (IOException e) {
                rejected.add(Report.Rejected.of(name, null, Unread.Code.NOT_OPENED.with(e.getMessage())));
            }
        }
        return tasks;
    }

    private void work(Deque<Task> tasks, Map<Integer, Outcome> outcomes) throws InterruptedException {
        for (Task task = next(tasks); task != null; task = next(tasks)) {
            Outcome outcome;
            try {
                outcome = new Outcome(task, workers.insist(work(task)), null);
            } catch (UnreadableFile e) {
                outcome = new Outcome(task, null, e.why());
            } catch (WorkFailed e) {
                if (e.why() == WorkFailed.Why.NOT_INSTALLED || e.why() == WorkFailed.Why.NOT_STARTED) {
                    throw new IllegalStateException(e.getMessage(), e);
                }
                outcome = withoutWords(task, e);
            }
            outcomes.put(task.origin().no(), outcome);
        }
    }

    /** A page that can be decoded is kept, though the engine is lost in it. */
    private Outcome withoutWords(Task task, WorkFailed failed) throws InterruptedException {
        String page = "page " + task.origin().filePage();
        if (failed.lostInReading()) {
            try {
                PageFacts facts = workers.ask(work(task).withoutWords());
                warnings.add(task.origin().file() + ": the words of " + page + " could not be read ("
                        + failed.getMessage() + "); it is filed without them");
                return new Outcome(task, facts, null);
            } catch (UnreadableFile | WorkFailed e) {
                // Told below, with what came first.
            }
        }
        return new Outcome(task, null, failed.reason().after(PageWorkers.MOST_ATTEMPTS));
    }

    private ReadOnePage work(Task task) {
        return new ReadOnePage(task.file(), task.origin(), language, how);
    }

    private static Task next(Deque<Task> tasks) {
        synchronized (tasks) {
            return tasks.poll();
        }
    }
}
