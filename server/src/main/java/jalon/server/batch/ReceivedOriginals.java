package jalon.server.batch;

import jalon.server.Times;
import jalon.server.picture.PageRenditions;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Files as they were received, when nothing that came in them is kept any more. */
@Service
public class ReceivedOriginals {
    private final ErasureRows rows;
    private final FileStore store;
    private final PageRenditions renditions;
    private final Times times;

    ReceivedOriginals(ErasureRows rows, FileStore store, PageRenditions renditions, Times times) {
        this.rows = rows;
        this.store = store;
        this.renditions = renditions;
        this.times = times;
    }

    /**
     * Erases those of a batch of which all pages are erased. Bytes that came in elsewhere too stay until they are needed there
     * no longer. To be called in the transaction that erased the pages.
     *
     * @param batchToo whether nothing of the batch is kept any more: then files go too that could not be read
     * @return how many went
     */
    public int eraseUnneeded(long batch, boolean batchToo) throws IOException {
        List<ErasureRows.FileRow> files = rows.erasable(batch, batchToo);
        Set<String> contents = new HashSet<>();
        for (ErasureRows.FileRow file : files) {
            rows.fileErased(file.id(), times.now());
            contents.add(file.sha256());
        }
        for (String sha256 : contents) {
            if (rows.needing(sha256).isEmpty()) {
                store.erase(sha256);
                renditions.erase(sha256);
            }
        }
        return files.size();
    }

    /** Whether a page belonged to a document that was erased. */
    public boolean isErased(Batch batch, int page) {
        return Boolean.TRUE.equals(rows.isErased(batch.id(), page));
    }
}
