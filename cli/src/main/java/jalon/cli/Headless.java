package jalon.cli;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOneZone;
import jalon.core.apart.WorkFailed;
import jalon.core.apart.WriteDocument;
import jalon.core.index.Register;
import jalon.core.index.ZoneReader;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchRun;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.DocumentFate;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.stream.StreamDefinition;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** A batch of files through the whole core, into folders. */
final class Headless {
    private final StreamDefinition stream;
    private final Map<String, Register> registers;
    private final PageWorkers workers;
    private final int atOnce;
    private final String batch;
    private final Path out;

    Headless(
            StreamDefinition stream,
            Map<String, Register> registers,
            PageWorkers workers,
            int atOnce,
            String batch,
            Path out) {
        this.stream = stream;
        this.registers = registers;
        this.workers = workers;
        this.atOnce = atOnce;
        this.batch = batch;
        this.out = out;
    }

    Report run(List<Path> files, List<String> warnings) throws IOException, InterruptedException {
        ExecutorService pool = Executors.newFixedThreadPool(atOnce);
        try {
            List<Report.Rejected> rejected = new ArrayList<>();
            Map<String, Path> paths = new HashMap<>();
            List<PageFacts> pages = new ReadFiles(
                            stream.language(), stream.pages().readingRepairs(), workers, atOnce, pool, warnings)
                    .read(files, rejected, paths);
            Map<Integer, PageFacts> byNo = new TreeMap<>();
            pages.forEach(p -> byNo.put(p.no(), p));
            BatchView view = index(pages, paths);
            int unreadable =
                    (int) rejected.stream().filter(r -> r.filePage() != null).count();
            Filed filed = file(view, byNo, paths, rejected, pool);
            var beside = new Ledger.Beside(unreadable, 0, false, filed.fates());
            return Report.of(view, byNo, Ledger.of(view, beside), filed.deliveries(), rejected, warnings);
        } finally {
            pool.shutdownNow();
        }
    }

    private BatchView index(List<PageFacts> pages, Map<String, Path> paths) {
        ZoneReader zones = (page, zone, model) -> {
            try {
                var work = new ReadOneZone(paths.get(page.sha256()), page, zone, stream.language(), model);
                return workers.insist(work).words();
            } catch (WorkFailed | UnreadableFile e) {
                // The page was read a moment ago; what was read then has to do.
                return List.of();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return List.of();
            }
        };
        return new BatchRun(stream, registers, zones, LocalDate.now(ZoneId.systemDefault())).index(pages, List.of());
    }

    private record Filed(Map<Integer, List<Report.Delivery>> deliveries, Map<Integer, DocumentFate> fates) {}

    /** Documents are written side by side; each is on its own. */
    private Filed file(
            BatchView view,
            Map<Integer, PageFacts> pages,
            Map<String, Path> paths,
            List<Report.Rejected> rejected,
            ExecutorService pool)
            throws IOException, InterruptedException {
        Instant at = Instant.now();
        FilingPlaces places = FilingPlaces.withoutArchive(out);
        Path written = Files.createTempDirectory("jalon-written-");
        Map<Filing.Planned, Future<List<Report.Delivery>>> underWay = new LinkedHashMap<>();
        for (Filing.Planned planned : Filing.plan(stream, batch, view, LocalDate.now(ZoneId.systemDefault()))) {
            var document = Filing.document(stream, batch, view, planned.document(), pages, at);
            FilingPlace place = places.of(planned.destination());
            String name = Integer.toString(underWay.size());
            var work = WriteDocument.into(
                    written, name, document, planned.destination().formats(), paths);
            underWay.put(planned, pool.submit(() -> put(place, planned, work)));
        }
        Map<Integer, List<Report.Delivery>> deliveries = new TreeMap<>();
        Map<Integer, List<DeliveryState>> states = new TreeMap<>();
        for (var entry : underWay.entrySet()) {
            Filing.Planned planned = entry.getKey();
            String destination = planned.destination().destination();
            DeliveryState state = DeliveryState.DONE;
            try {
                deliveries
                        .computeIfAbsent(planned.document(), d -> new ArrayList<>())
                        .addAll(entry.getValue().get());
            } catch (ExecutionException e) {
                state = DeliveryState.REFUSED;
                rejected.add(new Report.Rejected(planned.path(), null, why(e.getCause(), destination), null));
            }
            states.computeIfAbsent(planned.document(), d -> new ArrayList<>()).add(state);
        }
        Files.delete(written);
        Map<Integer, DocumentFate> fates = new TreeMap<>();
        states.forEach((document, its) -> fates.put(document, DocumentFate.of(its)));
        return new Filed(deliveries, fates);
    }

    private List<Report.Delivery> put(FilingPlace place, Filing.Planned planned, WriteDocument work)
            throws IOException, UnreadableFile, InterruptedException {
        try {
            List<FilingPlace.Ready> files = workers.insist(work).files();
            List<String> placed = place.put(planned.spot(), files, FilingPlace.Remembered.nothing());
            String destination = planned.destination().destination();
            List<Report.Delivery> made = new ArrayList<>();
            for (int i = 0; i < files.size(); i++) {
                made.add(new Report.Delivery(
                        destination,
                        destination + "/" + placed.get(i),
                        files.get(i).sha256()));
            }
            return made;
        } finally {
            for (Path file : work.targets().values()) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** @throws IOException when it would meet every other document too, such as a full disk */
    private static String why(Throwable failed, String destination) throws IOException {
        if (failed instanceof NameTaken taken) {
            return "the name is taken at " + destination + "/" + taken.path() + " and the stream refuses to number it";
        }
        if (failed instanceof UnreadableFile || failed instanceof WorkFailed w && w.why() != WorkFailed.Why.DISK) {
            return "could not be written: " + failed.getMessage();
        }
        if (failed instanceof IOException io) {
            throw io;
        }
        throw new IOException(failed);
    }
}
