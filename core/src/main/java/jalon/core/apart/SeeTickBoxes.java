package jalon.core.apart;

import jalon.core.image.Ticked;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/**
 * Looks at boxes to tick; see {@link SeeTicks}.
 *
 * @param page what was seen on it, its words left out: they are not needed
 */
public record SeeTickBoxes(Path file, PageFacts page, List<SeeTicks.Place> places)
        implements OneFileWork<SeeTickBoxes.Seen> {
    public SeeTickBoxes {
        page = page.imageOnly();
        places = List.copyOf(places);
    }

    /** @param boxes as many as there are places; null for one beside the page */
    public record Seen(List<Ticked> boxes) {}

    @Override
    public Class<Seen> answer() {
        return Seen.class;
    }

    @Override
    public Seen done(Tools tools) throws IOException, UnreadableFile {
        return new Seen(SeeTicks.of(tools.decoded(file, page.filePage()), page, places));
    }
}
