package jalon.cli;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkFailed;
import jalon.core.apart.WriteDocument;
import jalon.core.output.DocumentWriter;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.NameTaken;
import jalon.core.output.NameTooLong;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.run.BatchView;
import jalon.core.run.DeliveryState;
import jalon.core.run.DocumentFate;
import jalon.core.run.Filing;
import jalon.core.run.Ledger;
import jalon.core.run.Report;
import jalon.core.sort.Learned;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.places.PlaceTrouble;
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
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** A batch of files through the whole core, into folders. */
final class Headless {
    private final StreamDefinition stream;
    private final Learned learned;
    private final Map<String, Register> registers;
    private final PageWorkers workers;
    private final int atOnce;
    private final String batch;
    private final Path out;
    private final FilingPlaces places;
    private final FileLists lists;

    /** Destinations where nothing answers: each is asked once, however many documents it is to have. */
    private final Map<String, PlaceTrouble> away = new ConcurrentHashMap<>();

    Headless(
            StreamDefinition stream,
            Learned learned,
            Map<String, Register> registers,
            PageWorkers workers,
            int atOnce,
            String batch,
            Path out,
            PlacesFile own) {
        this.stream = stream;
        this.learned = learned;
        this.registers = registers;
        this.workers = workers;
        this.atOnce = atOnce;
        this.batch = batch;
        this.out = out;
        this.places = FilingPlaces.withoutArchive(out, own::open);
        this.lists = new FileLists(out);
    }

    Report run(List<Path> files, List<String> warnings) throws IOException, InterruptedException {
        ExecutorService pool = Executors.newFixedThreadPool(atOnce);
        try {
            List<Report.Rejected> rejected = new ArrayList<>();
            Map<String, Path> paths = new HashMap<>();
            List<PageFacts> pages = new ReadFiles(stream.language(), stream.pages(), workers, atOnce, pool, warnings)
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
        return new StreamFile(stream, learned)
                .index(pages, registers, new ZonesApart(workers, paths, stream.language()));
    }

    private record Filed(Map<Integer, List<Report.Delivery>> deliveries, Map<Integer, DocumentFate> fates) {}

    /** Documents are written side by side, each on its own and once for all of its destinations. */
    private Filed file(
            BatchView view,
            Map<Integer, PageFacts> pages,
            Map<String, Path> paths,
            List<Report.Rejected> rejected,
            ExecutorService pool)
            throws IOException, InterruptedException {
        Instant at = Instant.now();
        Map<Integer, List<Filing.Planned>> planned = new LinkedHashMap<>();
        var by = new Filing.NamedBy(batch, Map.of(), pages, LocalDate.now(ZoneId.systemDefault()), new FileCounts(out));
        Filing.plan(stream, by, view, List.of())
                .forEach(p -> planned.computeIfAbsent(p.document(), no -> new ArrayList<>())
                        .add(p));
        Map<Integer, Future<List<Put>>> underWay = new LinkedHashMap<>();
        planned.forEach((no, its) -> {
            var document = Filing.document(stream, batch, view, no, pages, at);
            underWay.put(no, pool.submit(() -> put(its, document, paths)));
        });
        Map<Integer, List<Report.Delivery>> deliveries = new TreeMap<>();
        Map<Integer, DocumentFate> fates = new TreeMap<>();
        for (var entry : underWay.entrySet()) {
            List<DeliveryState> states = new ArrayList<>();
            for (Put put : outcome(entry.getValue())) {
                states.add(put.refused() == null ? DeliveryState.DONE : DeliveryState.REFUSED);
                deliveries
                        .computeIfAbsent(entry.getKey(), no -> new ArrayList<>())
                        .addAll(put.made());
                if (put.refused() != null) {
                    rejected.add(new Report.Rejected(put.planned().path(), null, put.refused(), null));
                }
            }
            fates.put(entry.getKey(), DocumentFate.of(states));
        }
        lists.write(places, (destination, why) -> rejected.add(new Report.Rejected(destination, null, why, null)));
        return new Filed(deliveries, fates);
    }

    /** What became of a document at one destination: what lies there now, or why nothing does. */
    private record Put(Filing.Planned planned, List<Report.Delivery> made, String refused) {}

    private static List<Put> outcome(Future<List<Put>> underWay) throws IOException, InterruptedException {
        try {
            return underWay.get();
        } catch (ExecutionException e) {
            throw e.getCause() instanceof IOException io ? io : new IOException(e.getCause());
        }
    }

    private List<Put> put(List<Filing.Planned> planned, FiledDocument document, Map<String, Path> paths)
            throws IOException, InterruptedException {
        List<Destination.Format> formats = planned.stream()
                .flatMap(p -> p.destination().formats().stream())
                .distinct()
                .toList();
        Path folder = Files.createTempDirectory("jalon-written-");
        var work = WriteDocument.into(folder, "document", document, formats, paths);
        try {
            List<FilingPlace.Ready> files = workers.insist(work).files();
            List<Put> all = new ArrayList<>();
            for (Filing.Planned one : planned) {
                all.add(put(one, document, properties(one, document), files));
            }
            return all;
        } catch (WorkFailed e) {
            if (e.why() == WorkFailed.Why.DISK) {
                throw e;
            }
            return notWritten(planned, e);
        } catch (UnreadableFile e) {
            return notWritten(planned, e);
        } finally {
            for (DocumentWriter.Target target : work.targets()) {
                Files.deleteIfExists(target.file());
            }
            Files.delete(folder);
        }
    }

    private static List<Put> notWritten(List<Filing.Planned> planned, Exception why) {
        return planned.stream()
                .map(p -> new Put(p, List.of(), "could not be written: " + why.getMessage()))
                .toList();
    }

    private Map<String, String> properties(Filing.Planned planned, FiledDocument document) {
        return Filing.properties(stream, planned.destination(), document, LocalDate.now(ZoneId.systemDefault()));
    }

    /** @param files in all formats that the document is written in */
    private Put put(
            Filing.Planned planned,
            FiledDocument document,
            Map<String, String> properties,
            List<FilingPlace.Ready> files)
            throws IOException {
        Destination destination = planned.destination();
        List<FilingPlace.Ready> its = destination.formats().stream()
                .flatMap(f -> files.stream().filter(r -> r.format() == f))
                .toList();
        try {
            if (away.containsKey(destination.destination())) {
                throw away.get(destination.destination());
            }
            var parcel = new FilingPlace.Parcel(planned.spot(), document, properties, its);
            List<FilingPlace.Placed> placed = places.of(destination).put(parcel, FilingPlace.Remembered.nothing());
            List<Report.Delivery> made = new ArrayList<>();
            for (int i = 0; i < its.size(); i++) {
                FilingPlace.Placed at = placed.get(i);
                FilingPlace.Ready file = its.get(i);
                String name = destination.destination();
                made.add(new Report.Delivery(
                        name, name + "/" + at.path(), file.sha256(), file.bytes(), at.identifier()));
            }
            lists.add(planned, FilingPlace.shown(its, placed).path(), document);
            return new Put(planned, made, null);
        } catch (PlaceTrouble e) {
            if (e.why() == PlaceTrouble.Why.NOT_REACHED) {
                away.put(destination.destination(), e);
            }
            return new Put(
                    planned,
                    List.of(),
                    "could not be filed at " + destination.destination() + ": " + PlacesFile.words(e));
        } catch (NameTooLong e) {
            String why = "folder and name are longer than " + destination.destination() + " takes: " + planned.path();
            return new Put(planned, List.of(), why);
        } catch (NameTaken taken) {
            String why = "the name is taken at " + destination.destination() + "/" + taken.path()
                    + " and the stream refuses to number it";
            return new Put(planned, List.of(), why);
        }
    }
}
