package jalon.core.apart;

import jalon.core.image.Repair;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/**
 * Measures and reads one page; see {@link ReadPage}.
 *
 * @param language reading models
 * @param turn the clockwise turn that makes the page upright, or null to find out
 * @param recipe repairs to read through
 */
public record ReadOnePage(Path file, ReadPage.Origin origin, String language, Integer turn, List<Repair> recipe)
        implements PageWork<PageFacts> {
    @Override
    public Class<PageFacts> answer() {
        return PageFacts.class;
    }

    @Override
    public List<Path> files() {
        return List.of(file);
    }

    @Override
    public Bounds bounds() {
        return Bounds.DECODING;
    }

    @Override
    public PageFacts done(Tools tools) throws IOException, UnreadableFile {
        Scan scan = tools.decoded(file, origin.filePage());
        return ReadPage.read(scan, origin, tools.reader(language), turn, recipe);
    }
}
