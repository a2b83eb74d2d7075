package jalon.core.output;

import jalon.core.page.Encoded;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.io.IOException;
import java.util.Optional;

/** Gives the image of a page again when it is time to write it; one at a time, so that memory stays small. */
public interface PageImages {
    /** The image as it was received, where it can go into a PDF untouched. */
    Optional<Encoded> asIs(PageFacts page) throws IOException, UnreadableFile;

    Scan scan(PageFacts page) throws IOException, UnreadableFile;
}
