package jalon.cli;

import jalon.core.read.PageFacts;
import jalon.core.sort.Specimen;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Samples as files beside a stream's definition: {@code samples/TYPE/ID.json.gz}, each with what was seen on the pages of one
 * document.
 */
final class SampleFolder {
    /** Of the files. */
    private static final int FORM = 1;

    private static final String ENDING = ".json.gz";
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private final Path folder;

    SampleFolder(Path folder) {
        this.folder = folder;
    }

    /** The one that belongs to a stream's file. */
    static SampleFolder beside(Path stream) {
        return new SampleFolder(stream.toAbsolutePath().resolveSibling("samples"));
    }

    record Stored(int jalon, String type, String variant, List<PageFacts> pages) {}

    /**
     * @return all samples in the order of their types and files; none where there is no folder
     * @throws IOException naming a file that is no sample, or one of a newer form
     */
    List<Specimen> read() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        List<Path> files;
        try (Stream<Path> all = Files.walk(folder, 2)) {
            files = all.filter(f -> f.toString().endsWith(ENDING)).sorted().toList();
        }
        List<Specimen> samples = new ArrayList<>();
        for (Path file : files) {
            samples.add(read(file));
        }
        return samples;
    }

    private Specimen read(Path file) throws IOException {
        try (var in = new GZIPInputStream(Files.newInputStream(file))) {
            Stored stored = JSON.readValue(in, Stored.class);
            if (stored.jalon > FORM) {
                throw new IllegalArgumentException("it is of form " + stored.jalon
                        + ", and this version of Jalon knows form " + FORM + "; it takes a newer one");
            }
            String name = file.getFileName().toString();
            return new Specimen(
                    stored.type + "/" + name.substring(0, name.length() - ENDING.length()),
                    stored.type,
                    stored.variant,
                    stored.pages);
        } catch (IOException | JacksonException | IllegalArgumentException e) {
            throw new IOException(
                    "the file " + file + " cannot be used as a sample: " + e.getMessage()
                            + "; take it away or learn anew",
                    e);
        }
    }

    /** @param sample its id is {@code TYPE/NAME} and becomes the file's name */
    void write(Specimen sample) throws IOException {
        Path file = folder.resolve(sample.id() + ENDING);
        Files.createDirectories(file.getParent());
        try (var out = new GZIPOutputStream(Files.newOutputStream(file))) {
            JSON.writeValue(out, new Stored(FORM, sample.type(), sample.variant(), sample.pages()));
        }
    }
}
