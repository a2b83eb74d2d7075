package jalon.server.batch;

import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.run.HowToRead;
import jalon.core.run.ReceivedFiles;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;

/** Reads a run of pages of one file. Done twice it does the same: a page that was read is passed over. */
@Component
public class ReadWork {
    private final BatchRows rows;
    private final Batches batches;
    private final FileStore store;
    private final TextReaders readers;
    private final Events events;
    private final PageRenditions renditions;

    ReadWork(
            BatchRows rows,
            Batches batches,
            FileStore store,
            TextReaders readers,
            Events events,
            PageRenditions renditions) {
        this.renditions = renditions;
        this.rows = rows;
        this.batches = batches;
        this.store = store;
        this.readers = readers;
        this.events = events;
    }

    /**
     * @param again whether pages that were read before are read again (they were turned)
     * @return whether the batch has no more pages waiting
     */
    public boolean read(long fileId, int from, int to, boolean again) throws IOException, InterruptedException {
        List<BatchRows.PageRow> pages = rows.filePages(fileId, from, to);
        BatchRows.FileRow file = rows.file(fileId);
        Batch batch = batches.get(file.batchId());
        String language = batches.stream(batch).language();
        HowToRead decided = batches.howToRead(batch);
        try (var files = new ReceivedFiles(p -> null);
                TextReader reader = readers.borrow(language)) {
            for (BatchRows.PageRow page : pages) {
                if (!again && page.done()) {
                    continue;
                }
                var origin = new ReadPage.Origin(page.no(), file.name(), page.filePage(), file.sha256());
                try {
                    var scan = files.scan(store.path(file.sha256()), page.filePage() - 1);
                    PageFacts facts = ReadPage.read(
                            scan, origin, reader, decided.turn(page.no()), decided.readingRecipe(page.no()));
                    rows.read(page.id(), FactsCodec.write(facts));
                    renditions.makeUsual(facts, scan, decided.recipe(facts));
                } catch (UnreadableFile e) {
                    rows.rejected(page.id(), e.getMessage());
                }
                events.changed(batch.no());
            }
        }
        return rows.waiting(file.batchId()) == 0;
    }

    public long batchOf(long fileId) {
        return rows.file(fileId).batchId();
    }
}
