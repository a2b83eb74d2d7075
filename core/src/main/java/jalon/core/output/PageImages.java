package jalon.core.output;

import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.io.IOException;

/** Gives the image of a page again when it is time to write it; one at a time, so that memory stays small. */
@FunctionalInterface
public interface PageImages {
    Scan scan(PageFacts page) throws IOException, UnreadableFile;
}
