package jalon.core.run;

import jalon.core.output.PageImages;
import jalon.core.page.Encoded;
import jalon.core.page.PageFile;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Function;

/**
 * Page images from the files they came in. The file last used stays open, and the page last decoded stays decoded, since
 * what is asked for next is mostly the same or the one after it. For one thread.
 */
public final class ReceivedFiles implements PageImages, AutoCloseable {
    private final Function<PageFacts, Path> where;
    private Path openPath;
    private PageFile open;
    private int lastIndex = -1;
    private Scan last;

    public ReceivedFiles(Function<PageFacts, Path> where) {
        this.where = where;
    }

    @Override
    public Scan scan(PageFacts page) throws IOException, UnreadableFile {
        return scan(where.apply(page), page.filePage() - 1);
    }

    @Override
    public Optional<Encoded> asIs(PageFacts page) throws IOException, UnreadableFile {
        return opened(where.apply(page)).asIs(page.filePage() - 1);
    }

    private PageFile opened(Path file) throws IOException, UnreadableFile {
        if (!file.equals(openPath)) {
            close();
            open = PageFile.open(file);
            openPath = file;
        }
        return open;
    }

    /** @param index page in the file, from 0 */
    public Scan scan(Path file, int index) throws IOException, UnreadableFile {
        PageFile pages = opened(file);
        if (lastIndex != index) {
            last = null;
            last = pages.page(index);
            lastIndex = index;
        }
        return last;
    }

    @Override
    public void close() throws IOException {
        last = null;
        lastIndex = -1;
        openPath = null;
        if (open != null) {
            open.close();
            open = null;
        }
    }
}
