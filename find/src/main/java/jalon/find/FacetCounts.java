package jalon.find;

import java.io.IOException;
import java.io.InterruptedIOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.stream.Stream;
import org.apache.lucene.document.Document;
import org.apache.lucene.facet.FacetResult;
import org.apache.lucene.facet.Facets;
import org.apache.lucene.facet.FacetsCollector;
import org.apache.lucene.facet.FacetsConfig;
import org.apache.lucene.facet.sortedset.ConcurrentSortedSetDocValuesFacetCounts;
import org.apache.lucene.facet.sortedset.DefaultSortedSetDocValuesReaderState;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesReaderState;
import org.apache.lucene.index.IndexReader;

/** How many of what was found have which value. */
final class FacetCounts {
    private static final int VALUES_OF_FACET = 12;

    private final FacetsConfig facets = new FacetsConfig();
    private final ExecutorService threads;

    /** Of the newest reader: what makes counting quick is made once for each. */
    private SortedSetDocValuesReaderState newest;

    FacetCounts(ExecutorService threads) {
        this.threads = threads;
    }

    /** The document with what it will be counted by. */
    Document counted(Document document) throws IOException {
        return facets.build(document);
    }

    Map<Answer.Facet, List<Answer.Count>> of(IndexReader reader, FacetsCollector found) throws IOException {
        Map<Answer.Facet, List<Answer.Count>> counts = new EnumMap<>(Answer.Facet.class);
        if (reader.numDocs() == 0) {
            return counts;
        }
        Facets counted = count(reader, found);
        for (Answer.Facet facet : Answer.Facet.values()) {
            FacetResult result = counted.getTopChildren(VALUES_OF_FACET, facet.field());
            if (result != null) {
                counts.put(
                        facet,
                        Stream.of(result.labelValues)
                                .map(v -> new Answer.Count(v.label, v.value.intValue()))
                                .toList());
            }
        }
        return counts;
    }

    private Facets count(IndexReader reader, FacetsCollector found) throws IOException {
        try {
            return new ConcurrentSortedSetDocValuesFacetCounts(state(reader), found, threads);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("stopped while counting");
        }
    }

    private synchronized SortedSetDocValuesReaderState state(IndexReader reader) throws IOException {
        if (newest == null || newest.getReader() != reader) {
            newest = new DefaultSortedSetDocValuesReaderState(reader, facets);
        }
        return newest;
    }
}
