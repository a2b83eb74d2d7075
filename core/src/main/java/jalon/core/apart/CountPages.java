package jalon.core.apart;

import jalon.core.page.PageFile;
import jalon.core.page.UnreadableFile;
import java.io.IOException;
import java.nio.file.Path;

/** Opens a file and counts its pages. */
public record CountPages(Path file) implements OneFileWork<CountPages.Count> {
    public record Count(int pages) {}

    @Override
    public Class<Count> answer() {
        return Count.class;
    }

    @Override
    public Bounds bounds() {
        return Bounds.OPENING;
    }

    @Override
    public Count done(Tools tools) throws IOException, UnreadableFile {
        try (PageFile pages = PageFile.open(file)) {
            return new Count(pages.pageCount());
        }
    }
}
