package jalon.server.store;

import java.util.List;
import java.util.Set;

/** What one room keeps of filed documents beside their files; each room that keeps something says how it goes. */
public interface DocumentTrace {
    /**
     * A document that is erased.
     *
     * @param batch row of its batch, @param no of the document in it, from 1, @param pages numbers of its pages in the batch
     * @param gone numbers of all documents of the batch that are erased, this one among them
     * @param paths that its files had, below their destinations
     * @param batchToo whether nothing else of the batch is kept any more
     */
    record Erased(long batch, int no, List<Integer> pages, Set<Integer> gone, List<String> paths, boolean batchToo) {
        public Erased {
            pages = List.copyOf(pages);
            gone = Set.copyOf(gone);
            paths = List.copyOf(paths);
        }
    }

    /** Takes it away, in the transaction in which the document is erased; done twice it does nothing the second time. */
    void erase(Erased document);
}
