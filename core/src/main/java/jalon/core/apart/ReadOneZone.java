package jalon.core.apart;

import jalon.core.page.Box;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.text.Model;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/**
 * Reads one zone of a page by itself; see {@link jalon.core.read.ReadZone}.
 *
 * @param page what was seen on it, its words left out: they are not needed
 * @param zone on the upright page
 * @param language models that the page was read by
 * @param model whether by these or by another
 */
public record ReadOneZone(Path file, PageFacts page, Box zone, String language, Model model)
        implements OneFileWork<ReadOneZone.Words> {
    public ReadOneZone {
        page = page.imageOnly();
    }

    public record Words(List<Word> words) {}

    @Override
    public Class<Words> answer() {
        return Words.class;
    }

    @Override
    public Words done(Tools tools) throws IOException, UnreadableFile {
        return new Words(tools.zones(file, page).read(zone, tools.reader(model.after(language))));
    }
}
