package jalon.core.output;

import jalon.core.page.UnreadableFile;
import jalon.core.stream.Destination;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Writes a document in the formats of a destination. */
public final class DocumentWriter {
    private DocumentWriter() {}

    /**
     * A file to be written.
     *
     * @param part which page it has, from 1; 0 for a file that has them all
     */
    public record Target(Destination.Format format, int part, Path file) {}

    /** @param name of the files without ending, which no other document has in the folder */
    public static List<Target> targets(
            Path folder, String name, FiledDocument document, List<Destination.Format> formats) {
        List<Target> targets = new ArrayList<>();
        for (Destination.Format format : formats) {
            OutputFormat form = OutputFormat.of(format);
            int last = form.eachPage() ? document.pages().size() : 0;
            for (int part = form.eachPage() ? 1 : 0; part <= last; part++) {
                targets.add(new Target(format, part, folder.resolve(name + form.ending(part))));
            }
        }
        return targets;
    }

    /** @param targets are overwritten */
    public static void write(List<Target> targets, FiledDocument document, PageImages images)
            throws IOException, UnreadableFile {
        for (Target target : targets) {
            try (var out = new BufferedOutputStream(Files.newOutputStream(target.file()), 1 << 16)) {
                FiledDocument its = target.part() == 0 ? document : document.only(target.part());
                OutputFormat.of(target.format()).write(its, images, out);
            }
        }
    }
}
