package jalon.cli;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.run.BatchView;
import jalon.core.run.ConfirmedReport;
import jalon.core.run.Replay;
import jalon.core.run.Replay.Confirmed;
import jalon.core.run.Report;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Holds a changed stream against batches that people confirmed. Nothing is filed. Exit code 0 when nothing is worse than before, 2 for
 * unusable arguments or an unusable stream, 3 when something is worse, 4 when a batch could not be replayed (the others are).
 */
@Command(
        name = "replay",
        description =
                "Holds a changed stream against batches that people confirmed, and writes replay.json below a folder.",
        mixinStandardHelpOptions = true)
final class ReplayCommand implements Callable<Integer> {
    private static final int WORSE = 3;
    private static final int NOT_ALL = 4;
    /** A report says more than is needed. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    @Option(names = "--stream", required = true, description = "The changed stream (JSON), with samples/ beside it.")
    private Path stream;

    @Option(
            names = "--before",
            description =
                    "The stream to compare with; without it with what people confirmed, as if it had all been sure.")
    private Path before;

    @Option(
            names = "--confirmed",
            required = true,
            description =
                    "Folder with a folder for each batch: its files, and report.json with its documents and values.")
    private Path confirmed;

    @Option(names = "--out", required = true, description = "Folder to write into; made if missing.")
    private Path out;

    @Option(names = "--registers", description = "Folder with registers (NAME.csv).")
    private Path registers;

    /** A batch that was replayed. @param batch name of its folder */
    private record Replayed(String batch, Replay replay) {}

    /** What is written. @param all of all batches together, without their differences */
    private record Written(
            Map<Replay.What, Replay.Tally> before, Map<Replay.What, Replay.Tally> after, List<Replayed> batches) {}

    @Override
    public Integer call() {
        int cores = Runtime.getRuntime().availableProcessors();
        ExecutorService pool = Executors.newFixedThreadPool(cores);
        try (var readers = new PageWorkers(cores, WorkerLaunch.likeThis(), 1).started()) {
            return replay(readers, pool, cores);
        } catch (Unusable e) {
            return ProcessCommand.unusable(e.getMessage());
        } catch (IOException e) {
            return ProcessCommand.unusable("the folder " + ProcessCommand.reason(e) + " cannot be used");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return 1;
        } finally {
            pool.shutdownNow();
        }
    }

    private int replay(PageWorkers readers, ExecutorService pool, int cores)
            throws Unusable, IOException, InterruptedException {
        StreamFile changed = StreamFile.read(stream);
        StreamFile old = before == null ? null : StreamFile.read(before);
        List<String> warnings = new ArrayList<>();
        Map<String, Register> known = RegisterFolder.read(registers, changed.definition(), warnings);
        List<Replayed> batches = new ArrayList<>();
        boolean all = true;
        for (Path folder : folders()) {
            try {
                ConfirmedBatch batch = ConfirmedBatch.read(folder);
                var reading = new Reading(batch, known, readers, pool, cores);
                BatchView after = reading.view(changed);
                batches.add(new Replayed(
                        folder.getFileName().toString(),
                        old == null
                                ? Replay.of(batch.documents(), after)
                                : Replay.of(batch.documents(), reading.view(old), after)));
            } catch (IOException e) {
                all = false;
                System.err.println("jalon: " + folder + " could not be replayed: " + ProcessCommand.reason(e));
            }
        }
        Replay together = Replay.of(batches.stream().map(Replayed::replay).toList());
        Files.createDirectories(out);
        Files.write(
                out.resolve("replay.json"),
                JSON.writerWithDefaultPrettyPrinter()
                        .writeValueAsBytes(new Written(together.before(), together.after(), batches)));
        told(together, System.out);
        warnings.forEach(w -> System.err.println("jalon: " + w));
        return !all ? NOT_ALL : together.worse() ? WORSE : 0;
    }

    private List<Path> folders() throws IOException {
        try (Stream<Path> all = Files.list(confirmed)) {
            return all.filter(f -> Files.exists(f.resolve("report.json")))
                    .sorted()
                    .toList();
        }
    }

    private static void told(Replay replay, PrintStream to) {
        for (Replay.What what : Replay.What.values()) {
            Replay.Tally then = replay.before().getOrDefault(what, Replay.Tally.NONE);
            Replay.Tally now = replay.after().getOrDefault(what, Replay.Tally.NONE);
            long better = count(replay, what, true);
            long worse = count(replay, what, false);
            to.printf(
                    "%-6s sure and right %d (was %d), in doubt %d (%d), sure and wrong %d (%d); better %d, worse %d%n",
                    what.name().toLowerCase(java.util.Locale.ROOT),
                    now.sureAndRight(),
                    then.sureAndRight(),
                    now.inDoubt(),
                    then.inDoubt(),
                    now.sureAndWrong(),
                    then.sureAndWrong(),
                    better,
                    worse);
        }
    }

    private static long count(Replay replay, Replay.What what, boolean better) {
        return replay.differences().stream()
                .filter(d -> d.what() == what && (better ? d.better() : d.worse()))
                .count();
    }

    /** Where a page lies. */
    private record At(String file, int filePage) {}

    /**
     * A batch as its report says that it was filed.
     *
     * @param files in the order of their pages, @param numbers of pages in the batch
     */
    private record ConfirmedBatch(List<Path> files, Map<At, Integer> numbers, List<Confirmed> documents) {
        static ConfirmedBatch read(Path folder) throws IOException {
            try {
                ConfirmedReport report =
                        JSON.readValue(Files.readString(folder.resolve("report.json")), ConfirmedReport.class);
                Set<Path> files = new LinkedHashSet<>();
                Map<At, Integer> numbers = new HashMap<>();
                for (ConfirmedReport.Page page : report.pages()) {
                    files.add(folder.resolve(page.file()));
                    numbers.put(new At(page.file(), page.filePage()), page.no());
                }
                return new ConfirmedBatch(List.copyOf(files), numbers, report.confirmed());
            } catch (JacksonException | NullPointerException e) {
                throw new IOException("its report.json is none, or not of a batch", e);
            }
        }
    }

    /** The pages of a batch, read as a stream has them read. */
    private record Reading(
            ConfirmedBatch batch,
            Map<String, Register> registers,
            PageWorkers readers,
            ExecutorService pool,
            int cores) {

        BatchView view(StreamFile by) throws IOException, InterruptedException {
            List<Report.Rejected> rejected = new ArrayList<>();
            Map<String, Path> paths = new HashMap<>();
            var reading = new ReadFiles(
                    by.definition().language(), by.definition().pages(), readers, cores, pool, new ArrayList<>());
            List<PageFacts> pages = new ArrayList<>();
            for (PageFacts page : reading.read(batch.files(), rejected, paths)) {
                Integer no = batch.numbers().get(new At(page.file(), page.filePage()));
                if (no != null) {
                    pages.add(page.numbered(no));
                }
            }
            if (pages.size() < batch.numbers().size()) {
                String why = rejected.isEmpty()
                        ? "pages are not there any more"
                        : rejected.get(0).file() + ": " + rejected.get(0).reason();
                throw new IOException(
                        pages.size() + " of its " + batch.numbers().size() + " pages could be read; " + why);
            }
            var zones = new ZonesApart(readers, paths, by.definition().language());
            return by.index(pages, registers, zones);
        }
    }
}
