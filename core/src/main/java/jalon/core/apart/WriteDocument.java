package jalon.core.apart;

import jalon.core.output.DocumentWriter;
import jalon.core.output.FiledDocument;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.ReceivedFiles;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Writes a document's files.
 *
 * @param received where received files are, by SHA-256; those that it needs are used
 * @param targets one file for each format, which is overwritten
 */
public record WriteDocument(FiledDocument document, Map<String, Path> received, Map<Destination.Format, Path> targets)
        implements PageWork<WriteDocument.Written> {
    public WriteDocument {
        Set<String> needed = document.pages().stream().map(PageFacts::sha256).collect(Collectors.toSet());
        received = received.entrySet().stream()
                .filter(f -> needed.contains(f.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** A page that is repaired takes a second, a large one several. */
    private static final double SECONDS_A_PAGE = 10;

    public record Written() {}

    @Override
    public Class<Written> answer() {
        return Written.class;
    }

    @Override
    public Collection<Path> files() {
        return received.values();
    }

    @Override
    public Bounds bounds() {
        return Bounds.ofCpu(20 + SECONDS_A_PAGE * document.pages().size());
    }

    @Override
    public Written done(Tools tools) throws IOException, UnreadableFile {
        try (var images = new ReceivedFiles(p -> received.get(p.sha256()))) {
            DocumentWriter.write(targets, document, images);
        }
        return new Written();
    }
}
