package jalon.cli;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.core.read.PageFacts;
import jalon.core.run.Report;
import jalon.core.sort.SampleFaults;
import jalon.core.sort.Specimen;
import jalon.core.split.Cutter;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * Teaches a stream its types from samples. Exit code 0 when all samples were read, 2 for unusable arguments, 3 when a sample
 * could not be read or is of no use (the others are still learned).
 */
@Command(
        name = "learn",
        description =
                "Teaches a stream its types: reads samples, a folder for each type, and writes the stream with them.",
        mixinStandardHelpOptions = true)
final class LearnCommand implements Callable<Integer> {
    @Option(names = "--stream", required = true, description = "Stream definition (JSON).")
    private Path stream;

    @Option(
            names = "--samples",
            required = true,
            description = "Folder with a folder for each type, named as it is; in it samples, each file one document.")
    private Path samples;

    @Option(
            names = "--out",
            required = true,
            description = "Folder to write into; made if missing. It gets stream.json and samples/, for process.")
    private Path out;

    @Option(names = "--like", description = "Type of the stream whose fields new types get.")
    private String like;

    @Option(names = "--workers", description = "Pages read at once; one for each core when not given.")
    private Integer workers;

    @Override
    public Integer call() {
        int most = workers == null ? Runtime.getRuntime().availableProcessors() : Math.max(1, workers);
        try (var readers = new PageWorkers(most, WorkerLaunch.likeThis(), 1).started()) {
            return learn(readers, most);
        } catch (Unusable e) {
            return ProcessCommand.unusable(e.getMessage());
        } catch (IOException e) {
            System.err.println(
                    "jalon: learning failed: " + ProcessCommand.reason(e) + "; what was there before is as it was");
            return 1;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return 1;
        }
    }

    private int learn(PageWorkers readers, int most) throws Unusable, IOException, InterruptedException {
        String json;
        StreamDefinition definition;
        try {
            json = Files.readString(stream);
            definition = Streams.parse(json);
        } catch (IOException e) {
            throw new Unusable("the stream " + stream + " could not be read: " + ProcessCommand.reason(e));
        } catch (Streams.InvalidStream e) {
            throw new Unusable("the stream " + stream + " cannot be used:\n" + e.getMessage());
        }
        if (like != null && definition.type(like).isEmpty()) {
            throw new Unusable("the stream has no type " + like + " that new ones could be like");
        }
        Map<String, List<Path>> files = files();
        for (String folder : files.keySet()) {
            String type = Streams.nameOf(folder);
            if (definition.type(type).isEmpty()) {
                json = Streams.withType(json, type, folder, like);
            }
        }
        try {
            definition = Streams.parse(json);
        } catch (Streams.InvalidStream e) {
            throw new Unusable("with the new types the stream cannot be used:\n" + e.getMessage());
        }
        List<String> faults = new ArrayList<>();
        List<Specimen> all = new ArrayList<>(SampleFolder.beside(stream).read());
        List<Specimen> fresh = read(files, definition, readers, most, faults);
        all.removeIf(old -> fresh.stream().anyMatch(f -> f.id().equals(old.id())));
        all.addAll(fresh);
        for (SampleFaults.Fault fault : SampleFaults.in(all)) {
            faults.add(fault.words());
        }
        all.removeAll(SampleFaults.useless(all));
        write(json, all);
        faults.forEach(f -> System.err.println("jalon: " + f));
        return faults.isEmpty() ? 0 : ProcessCommand.NOT_ALL_READ;
    }

    /** The samples' files by the name of their folder. */
    private Map<String, List<Path>> files() throws Unusable, IOException {
        if (!Files.isDirectory(samples)) {
            throw new Unusable("there is no folder " + samples + " with samples");
        }
        Map<String, List<Path>> files = new LinkedHashMap<>();
        try (Stream<Path> folders = Files.list(samples)) {
            for (Path folder : folders.filter(Files::isDirectory).sorted().toList()) {
                try (Stream<Path> its = Files.list(folder)) {
                    List<Path> found = its.filter(Files::isRegularFile)
                            .filter(f -> !f.getFileName().toString().startsWith("."))
                            .sorted()
                            .toList();
                    if (!found.isEmpty()) {
                        files.put(folder.getFileName().toString(), found);
                    }
                }
            }
        }
        if (files.isEmpty()) {
            throw new Unusable(
                    "the folder " + samples + " has no folder with samples; make one for each type, named as the"
                            + " type is, and put its sample files in");
        }
        return files;
    }

    private List<Specimen> read(
            Map<String, List<Path>> files,
            StreamDefinition definition,
            PageWorkers readers,
            int most,
            List<String> faults)
            throws IOException, InterruptedException {
        ExecutorService pool = Executors.newFixedThreadPool(most);
        try {
            List<Path> all = files.values().stream().flatMap(List::stream).toList();
            List<Report.Rejected> rejected = new ArrayList<>();
            Map<Path, List<PageFacts>> byFile = new ReadFiles(
                            definition.language(), definition.pages(), readers, most, pool, faults)
                    .readEach(all, rejected);
            rejected.forEach(r -> faults.add("the sample " + r.file()
                    + (r.filePage() == null ? "" : ", page " + r.filePage()) + " could not be read: " + r.reason()));
            List<Specimen> samples = new ArrayList<>();
            files.forEach((folder, its) -> {
                for (Path file : its) {
                    List<PageFacts> pages = byFile.getOrDefault(file, List.of()).stream()
                            .filter(p -> !Cutter.isBlank(definition, p))
                            .toList();
                    if (pages.isEmpty() && byFile.containsKey(file)) {
                        faults.add("the sample " + folder + "/" + file.getFileName() + " is blank; take another one");
                    }
                    if (!pages.isEmpty()) {
                        String type = Streams.nameOf(folder);
                        // By what is in it: two names can look the same to a file system.
                        String id = type + "/" + pages.get(0).sha256();
                        samples.add(new Specimen(id, type, null, pages));
                    }
                }
            });
            return samples;
        } finally {
            pool.shutdownNow();
        }
    }

    /** All of it beside what is there first, so that learning that is interrupted leaves what was. */
    private void write(String json, List<Specimen> all) throws IOException {
        Files.createDirectories(out);
        Path part = Files.createTempDirectory(out.toAbsolutePath(), ".learning-");
        var folder = new SampleFolder(part.resolve("samples"));
        for (Specimen s : all) {
            folder.write(s);
        }
        Files.writeString(part.resolve("stream.json"), json);
        Path samplesThere = out.resolve("samples");
        Path before = part.resolve("before");
        if (Files.exists(samplesThere)) {
            Files.move(samplesThere, before);
        }
        if (Files.exists(part.resolve("samples"))) {
            Files.move(part.resolve("samples"), samplesThere);
        }
        Files.move(part.resolve("stream.json"), out.resolve("stream.json"), StandardCopyOption.REPLACE_EXISTING);
        delete(part);
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(p);
            }
        }
    }
}
