package jalon.server.workbench;

import jalon.core.register.Register;
import jalon.core.stream.RegisterUse;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.Receiving;
import jalon.server.batch.SamplePages;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Streams taken along whole: a ZIP archive of {@code stream.json}, the definition; {@code samples/}, the sample pages as they were
 * received; {@code bundle.json}, which says in which order those came, what is right on them, and which columns of registers the
 * stream needs. Rows of registers, and sample pages that were kept from batches, are other people's papers and stay where they are.
 */
@Service
public class StreamBundles {
    /** Of the archive. A newer one is refused. */
    private static final int FORM = 1;

    private static final String MANIFEST = "bundle.json";
    private static final String STREAM = "stream.json";
    private static final String SAMPLES = "samples/";
    private static final int MOST_BYTES_OF_TEXT = 20_000_000;
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private final StreamDrafts drafts;
    private final StreamLibrary library;
    private final Workbench workbench;
    private final SampleAnswers answers;
    private final SamplePages pages;
    private final Batches batches;
    private final Receiving receiving;
    private final Times times;

    StreamBundles(
            StreamDrafts drafts,
            StreamLibrary library,
            Workbench workbench,
            SampleAnswers answers,
            SamplePages pages,
            Batches batches,
            Receiving receiving,
            Times times) {
        this.drafts = drafts;
        this.library = library;
        this.workbench = workbench;
        this.answers = answers;
        this.pages = pages;
        this.batches = batches;
        this.receiving = receiving;
        this.times = times;
    }

    /**
     * What stands in the manifest.
     *
     * @param jalon form of the archive
     * @param samples names of the files below {@code samples/}, in the order in which they came
     * @param right what somebody said is right, by the numbers that the pages have when the files are brought in that order
     * @param registers columns that the stream needs, by the name of their register
     */
    record Manifest(
            int jalon,
            String stream,
            Integer version,
            Instant exported,
            List<String> samples,
            List<SampleAnswers.Answer> right,
            Map<String, Set<String>> registers) {
        Manifest {
            samples = samples == null ? List.of() : samples;
            right = right == null ? List.of() : right;
            registers = registers == null ? Map.of() : registers;
        }
    }

    public void write(String stream, int version, OutputStream out) throws IOException {
        String json = library.json(stream, version);
        List<SamplePages.SampleFile> files = new ArrayList<>();
        List<SampleAnswers.Answer> right = new ArrayList<>();
        drafts.samples(stream).map(batches::get).ifPresent(batch -> {
            Map<Integer, Integer> numbers = new TreeMap<>();
            int now = 0;
            for (SamplePages.SampleFile file : pages.files(batch)) {
                if (file.ofItsOwn()) {
                    for (int page : file.pages()) {
                        numbers.put(page, ++now);
                    }
                    files.add(file);
                }
            }
            answers.all(batch.id()).stream()
                    .filter(a -> numbers.keySet().containsAll(a.pages()))
                    .map(a -> a.on(a.pages().stream().map(numbers::get).toList()))
                    .forEach(right::add);
        });
        List<String> names = new ArrayList<>();
        for (SamplePages.SampleFile file : files) {
            names.add("%03d %s".formatted(names.size() + 1, file.name()));
        }
        var manifest = new Manifest(FORM, stream, version, times.now(), names, right, needed(library.parsed(json)));
        try (var zip = new ZipOutputStream(out)) {
            text(zip, MANIFEST, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(manifest));
            text(zip, STREAM, json);
            for (int i = 0; i < files.size(); i++) {
                zip.putNextEntry(new ZipEntry(SAMPLES + names.get(i)));
                Files.copy(files.get(i).path(), zip);
                zip.closeEntry();
            }
        }
    }

    private static void text(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private Map<String, Set<String>> needed(StreamDefinition definition) {
        Map<String, Set<String>> needed = new TreeMap<>();
        for (String register : RegisterUse.of(definition)) {
            needed.put(register, new TreeSet<>(RegisterUse.columns(definition, register)));
        }
        return needed;
    }

    /**
     * What was brought in: a draft, which goes live like any other.
     *
     * @param samples how many sample pages came with it
     * @param missing columns that it looks things up in and that are not here, by the name of their register
     */
    public record Brought(String stream, String title, int samples, Map<String, Set<String>> missing) {}

    /**
     * Brings in what was exported, or a definition alone. All of it, or nothing.
     *
     * @param file that {@link #write} made, or a stream's JSON
     * @param called what the stream is to be called, or null for what it is called there
     * @throws RuntimeException {@link Problem#BUNDLE_FROM_NEWER} when a newer Jalon made it, {@link Problem#NO_BUNDLE} when it is none,
     *     {@link Problem#DRAFT_IS_THERE} when somebody is changing the stream here
     */
    @Transactional(rollbackFor = IOException.class)
    public Brought bring(Path file, String called, String by) throws IOException {
        if (!isZip(file)) {
            return broughtAlone(new String(bytes(Files.newInputStream(file)), StandardCharsets.UTF_8), called, by);
        }
        try (var zip = new ZipFile(file.toFile())) {
            Manifest manifest = manifest(entry(zip, MANIFEST));
            Brought brought = broughtAlone(new String(entry(zip, STREAM), StandardCharsets.UTF_8), called, by);
            int came = samples(zip, manifest, brought.stream(), by);
            return new Brought(brought.stream(), brought.title(), came, brought.missing());
        } catch (ZipException | JacksonException e) {
            throw Problem.NO_BUNDLE.with();
        }
    }

    /** Which form it has comes first: of a newer one nothing else is known. */
    private static Manifest manifest(byte[] json) {
        JsonNode tree = JSON.readTree(json);
        int form = tree.path("jalon").asInt(FORM);
        if (form > FORM) {
            throw Problem.BUNDLE_FROM_NEWER.with(form, FORM);
        }
        return JSON.treeToValue(tree, Manifest.class);
    }

    private static boolean isZip(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return in.read() == 'P' && in.read() == 'K';
        }
    }

    private static byte[] bytes(InputStream in) throws IOException {
        try (in) {
            byte[] all = in.readNBytes(MOST_BYTES_OF_TEXT + 1);
            if (all.length > MOST_BYTES_OF_TEXT) {
                throw Problem.NO_BUNDLE.with();
            }
            return all;
        }
    }

    private static byte[] entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw Problem.NO_BUNDLE.with();
        }
        return bytes(zip.getInputStream(entry));
    }

    private Brought broughtAlone(String json, String called, String by) {
        StreamDefinition definition = library.parsed(json);
        String text = json;
        if (called != null && !called.isBlank()) {
            text = Streams.renamed(json, Streams.nameOf(called.strip()), called.strip());
        }
        StreamDrafts.Draft draft = drafts.bring(text, by);
        return new Brought(draft.stream(), draft.title(), 0, missing(definition));
    }

    private Map<String, Set<String>> missing(StreamDefinition definition) {
        Map<String, Set<String>> missing = new LinkedHashMap<>();
        needed(definition).forEach((name, columns) -> {
            Register here = library.registers().get(name);
            Set<String> gone = new TreeSet<>(columns);
            if (here != null) {
                gone.removeAll(here.columns());
            }
            if (!gone.isEmpty()) {
                missing.put(name, gone);
            }
        });
        return missing;
    }

    /** @return how many pages came; none where the stream has sample pages here already */
    private int samples(ZipFile zip, Manifest manifest, String stream, String by) throws IOException {
        if (manifest.samples().isEmpty() || drafts.samples(stream).isPresent()) {
            return 0;
        }
        Batch samples = batches.get(workbench.samples(stream, by));
        int came = 0;
        for (String name : manifest.samples()) {
            ZipEntry entry = zip.getEntry(SAMPLES + name);
            if (entry == null) {
                throw Problem.NO_BUNDLE.with();
            }
            try (InputStream in = zip.getInputStream(entry)) {
                came += receiving
                        .add(samples.no(), name.substring(name.indexOf(' ') + 1), in, null)
                        .pages();
            }
        }
        for (SampleAnswers.Answer answer : manifest.right()) {
            int last = came;
            if (!answer.pages().isEmpty() && answer.pages().stream().allMatch(p -> p > 0 && p <= last)) {
                answers.say(samples.id(), answer, by);
            }
        }
        return came;
    }
}
