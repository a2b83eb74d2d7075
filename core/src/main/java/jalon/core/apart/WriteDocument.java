package jalon.core.apart;

import jalon.core.output.DocumentWriter;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.run.ReceivedFiles;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Writes a document's files.
 *
 * @param received where received files are, by SHA-256; those that it needs are used
 * @param targets are overwritten
 */
public record WriteDocument(FiledDocument document, Map<String, Path> received, List<DocumentWriter.Target> targets)
        implements PageWork<WriteDocument.Written> {
    public WriteDocument {
        Set<String> needed = document.pages().stream().map(PageFacts::sha256).collect(Collectors.toSet());
        received = received.entrySet().stream()
                .filter(f -> needed.contains(f.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** @param name of its files without ending, which no other document has in the folder */
    public static WriteDocument into(
            Path folder,
            String name,
            FiledDocument document,
            List<Destination.Format> formats,
            Map<String, Path> received) {
        return new WriteDocument(document, received, DocumentWriter.targets(folder, name, document, formats));
    }

    /** A page that is repaired takes a second, a large one several. */
    private static final double SECONDS_A_PAGE = 10;

    /** @param files in the order of the formats, on the disk */
    public record Written(List<FilingPlace.Ready> files) {}

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
        List<FilingPlace.Ready> files = new ArrayList<>();
        for (DocumentWriter.Target target : targets) {
            files.add(FilingPlace.Ready.of(target.format(), target.part(), target.file()));
        }
        return new Written(files);
    }
}
