package jalon.core.apart;

import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.HowToReadPage;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.text.TextReader;
import java.io.IOException;
import java.nio.file.Path;

/**
 * Measures and reads one page; see {@link ReadPage}.
 *
 * @param language reading models
 * @param words whether its words are read; else it is only measured, and its marks are looked for
 */
public record ReadOnePage(Path file, ReadPage.Origin origin, String language, HowToReadPage how, boolean words)
        implements OneFileWork<PageFacts> {
    public ReadOnePage(Path file, ReadPage.Origin origin, String language, HowToReadPage how) {
        this(file, origin, language, how, true);
    }

    /** For a page that can be decoded and that the reading engine does not come to an end with. */
    public ReadOnePage withoutWords() {
        return new ReadOnePage(file, origin, language, how, false);
    }

    @Override
    public Class<PageFacts> answer() {
        return PageFacts.class;
    }

    @Override
    public PageFacts done(Tools tools) throws IOException, UnreadableFile {
        Scan scan = tools.decoded(file, origin.filePage());
        return ReadPage.read(scan, origin, words ? tools.reader(language) : TextReader.NONE, how);
    }
}
