package jalon.cli;

import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.core.register.Register;
import jalon.core.run.Report;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs files through a stream and writes what comes of it below a folder. Exit code 0 when every page is accounted for, 2
 * for unusable arguments or an unusable stream, 3 when an input could not be read or a document not be filed (the others are still done).
 */
@Command(
        name = "process",
        description = "Runs files through a stream and writes the filed documents and report.json below a folder.",
        mixinStandardHelpOptions = true)
final class ProcessCommand implements Callable<Integer> {
    static final int UNUSABLE = 2;
    static final int NOT_ALL_READ = 3;

    @Option(
            names = "--stream",
            required = true,
            description = "Stream definition (JSON); samples/ beside it holds what types are known by.")
    private Path stream;

    @Option(names = "--out", required = true, description = "Folder to write into; made if missing.")
    private Path out;

    @Option(names = "--registers", description = "Folder with registers (NAME.csv).")
    private Path registers;

    @Option(
            names = "--places",
            description =
                    "File with the places that the stream files to: [{\"name\": ..., \"settings\": {\"kind\": \"sftp\", ...}}].")
    private Path places;

    @Option(names = "--batch", defaultValue = "B-0001", description = "Batch number used in names (${DEFAULT-VALUE}).")
    private String batch;

    @Option(names = "--workers", description = "Pages read at once; one for each core when not given.")
    private Integer workers;

    @Option(
            names = "--patience",
            defaultValue = "1",
            description =
                    "How many times the usual time a page may take before it is given up, such as 4 for very large"
                            + " drawings (${DEFAULT-VALUE}).")
    private double patience;

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "TIFF, JPEG, PNG or PDF files.")
    private List<Path> files;

    @Override
    public Integer call() {
        int most = workers == null ? Runtime.getRuntime().availableProcessors() : Math.max(1, workers);
        // They start while the stream and the registers are read.
        try (var readers = new PageWorkers(most, WorkerLaunch.likeThis(), patience).started()) {
            return process(readers, most);
        }
    }

    private int process(PageWorkers readers, int most) {
        StreamFile file;
        try {
            file = StreamFile.read(stream);
        } catch (Unusable e) {
            return unusable(e.getMessage());
        }
        PlacesFile own;
        try {
            own = PlacesFile.read(places);
        } catch (IOException e) {
            return unusable("the file of places cannot be used: " + reason(e));
        }
        String missing = own.missing(file.definition());
        if (missing != null) {
            return unusable("the stream files to the place " + missing + "; name it in a file given with --places");
        }
        List<String> warnings = new ArrayList<>();
        Map<String, Register> lists;
        try {
            lists = RegisterFolder.read(registers, file.definition(), warnings);
            Files.createDirectories(out);
        } catch (IOException e) {
            return unusable("the folder " + reason(e) + " cannot be used; name another or make room");
        }
        try {
            Report report = new Headless(file.definition(), file.learned(), lists, readers, most, batch, out, own)
                    .run(files, warnings);
            byte[] json = JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsBytes(report);
            Files.write(out.resolve("report.json"), json);
            warnings.forEach(w -> System.err.println("jalon: " + w));
            report.rejected()
                    .forEach(r -> System.err.println("jalon: " + r.file()
                            + (r.filePage() == null ? "" : ", page " + r.filePage()) + ": " + r.reason()));
            return report.rejected().isEmpty() ? 0 : NOT_ALL_READ;
        } catch (IOException e) {
            System.err.println(
                    "jalon: writing below " + out + " failed: " + reason(e) + "; make room and run it again");
            return 1;
        } catch (IllegalStateException e) {
            return unusable(e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return 1;
        }
    }

    static String reason(IOException e) {
        return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    }

    static int unusable(String message) {
        System.err.println("jalon: " + message);
        return UNUSABLE;
    }
}
