package jalon.find;

import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.core.WhitespaceTokenizer;
import org.apache.lucene.document.Document;
import org.apache.lucene.facet.FacetsCollector;
import org.apache.lucene.facet.FacetsCollectorManager;
import org.apache.lucene.index.CorruptIndexException;
import org.apache.lucene.index.FieldInfo;
import org.apache.lucene.index.FieldInfos;
import org.apache.lucene.index.IndexFormatTooNewException;
import org.apache.lucene.index.IndexFormatTooOldException;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.TieredMergePolicy;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.MultiCollectorManager;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.SearcherFactory;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;

/**
 * Filed documents, found by any word inside, any part of a value and ranges of values. It can be made anew at any time from
 * what is filed: it is nobody's only copy.
 */
public final class SearchIndex implements AutoCloseable {
    /** Of how a document lies in the index: one of another form is made anew. */
    private static final String FORM = "form";

    private static final String FORM_NOW = "2";

    private static final String POSITION = "position";

    /** Kept while something of what was erased may still lie in the files. */
    private static final String ERASED = "erased";

    /** Documents lie in this order in the index: the first ones of a search are found without looking at the others. */
    private static final Sort NEWEST_FIRST = filed(true);

    /** Of words on different pages, so that none of them stand beside each other. */
    private static final int BETWEEN_PAGES = 100;

    /** So many values are looked at for each that is told, since some may not be seen by who asks. */
    private static final int UNSEEN = 10;

    private final Directory directory;
    private final IndexWriter writer;
    private final SearcherManager searchers;
    private final ZoneId zone;
    private volatile boolean erased;

    /** A search of many documents is done by all processors. */
    private final ExecutorService threads =
            Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(), work -> {
                Thread thread = new Thread(work, "searching");
                thread.setDaemon(true);
                return thread;
            });

    private final FacetCounts counting = new FacetCounts(threads);

    private SearchIndex(Directory directory, ZoneId zone) throws IOException {
        this.directory = directory;
        this.zone = zone;
        // What is purged is to be gone from every file, however little of that file it was.
        var merging = new TieredMergePolicy().setForceMergeDeletesPctAllowed(0);
        this.writer = new IndexWriter(
                directory,
                new IndexWriterConfig(new Words()).setIndexSort(NEWEST_FIRST).setMergePolicy(merging));
        this.erased = kept(ERASED) != null;
        this.searchers = new SearcherManager(writer, new SearcherFactory() {
            @Override
            public IndexSearcher newSearcher(IndexReader reader, IndexReader before) {
                return new IndexSearcher(reader, threads);
            }
        });
    }

    /**
     * @param folder for the index alone; made when it is not there
     * @param zone in which a document's day of filing is told
     * @throws org.apache.lucene.store.LockObtainFailedException when another process has it open
     */
    public static SearchIndex open(Path folder, ZoneId zone) throws IOException {
        Directory directory = FSDirectory.open(folder);
        try {
            return new SearchIndex(directory, zone).ofThisForm();
        } catch (CorruptIndexException | IndexFormatTooOldException | IndexFormatTooNewException e) {
            for (String file : directory.listAll()) {
                directory.deleteFile(file);
            }
            return new SearchIndex(directory, zone);
        } catch (IOException | RuntimeException e) {
            directory.close();
            throw e;
        }
    }

    private SearchIndex ofThisForm() throws IOException {
        if (!FORM_NOW.equals(kept(FORM)) && writer.getDocStats().maxDoc > 0) {
            clear();
            keep(0);
            refresh();
        }
        return this;
    }

    /** Words are parted by blanks already. */
    private static final class Words extends Analyzer {
        @Override
        protected TokenStreamComponents createComponents(String field) {
            return new TokenStreamComponents(new WhitespaceTokenizer());
        }

        @Override
        public int getPositionIncrementGap(String field) {
            return BETWEEN_PAGES;
        }
    }

    /** Takes a document in, in place of what it was before. */
    public void put(Searchable document) throws IOException {
        remove(document.id());
        for (Document indexed : Indexed.of(document, zone)) {
            writer.addDocument(counting.counted(indexed));
        }
    }

    public void remove(long id) throws IOException {
        writer.deleteDocuments(new Term(Indexed.ID, Long.toString(id)));
    }

    /** Removes a document for good: it lies in the files no longer when {@link #purge} was done. */
    public void erase(long id) throws IOException {
        remove(id);
        erased = true;
    }

    /** Whether something of what was erased may still lie in the files. */
    public boolean isToBePurged() {
        return erased;
    }

    /**
     * Writes files anew that something removed still lies in; for a large index this takes minutes.
     *
     * @param position as for {@link #keep}
     */
    public void purge(long position) throws IOException {
        // What is erased meanwhile is for the next time.
        erased = false;
        try {
            writer.forceMergeDeletes();
        } catch (IOException | RuntimeException e) {
            erased = true;
            throw e;
        }
        keep(position);
        // What searches have open keeps files that are no longer needed.
        refresh();
        writer.deleteUnusedFiles();
    }

    public void clear() throws IOException {
        writer.deleteAll();
    }

    /** Shows to searches what was put and removed. */
    public void refresh() throws IOException {
        searchers.maybeRefreshBlocking();
    }

    /** Keeps what was put and removed. @param position how far what is filed has been taken in */
    public void keep(long position) throws IOException {
        Map<String, String> data = new HashMap<>(Map.of(POSITION, Long.toString(position), FORM, FORM_NOW));
        if (erased) {
            data.put(ERASED, "yes");
        }
        writer.setLiveCommitData(data.entrySet());
        writer.commit();
    }

    /** How far what is filed had been taken in when it was kept last; 0 at first. */
    public long position() {
        String position = kept(POSITION);
        return position == null ? 0 : Long.parseLong(position);
    }

    private String kept(String name) {
        var data = writer.getLiveCommitData();
        if (data != null) {
            for (Map.Entry<String, String> entry : data) {
                if (entry.getKey().equals(name)) {
                    return entry.getValue();
                }
            }
        }
        return null;
    }

    /** How many documents can be found. */
    public int size() throws IOException {
        return size(Seen.ALL);
    }

    /** How many of them somebody may see. */
    public int size(Seen seen) throws IOException {
        return with(searcher ->
                searcher.count(Kinds.of(searcher.getIndexReader(), seen).of(new MatchAllDocsQuery())));
    }

    /** Names of all fields that a document has a value of, and of those that every document has, in alphabetical order. */
    public List<String> fields() throws IOException {
        return with(searcher -> {
            var names = new TreeSet<String>(Indexed.OF_FILING);
            for (FieldInfo field : FieldInfos.getMergedFieldInfos(searcher.getIndexReader())) {
                if (field.name.startsWith(Indexed.WHOLE)) {
                    names.add(field.name.substring(Indexed.WHOLE.length()));
                }
            }
            return List.copyOf(names);
        });
    }

    private interface Looking<T> {
        T at(IndexSearcher searcher) throws IOException;
    }

    private <T> T with(Looking<T> looking) throws IOException {
        IndexSearcher searcher = searchers.acquire();
        try {
            return looking.at(searcher);
        } finally {
            searchers.release(searcher);
        }
    }

    /** What matches. Where nothing does, and words or values one letter off are there, those. */
    public Answer search(Search search) throws IOException {
        return with(searcher -> {
            Queries queries = new Queries(searcher.getIndexReader());
            Kinds kinds = Kinds.of(searcher.getIndexReader(), search.seen());
            Answer exact = search(searcher, search, kinds.of(queries.of(search.line(), Map.of())), List.of());
            if (exact.total() > 0) {
                return exact;
            }
            NearMisses.Instead instead = new NearMisses(searcher, kinds).instead(search, queries);
            return instead.near().isEmpty()
                    ? exact
                    : search(searcher, search, kinds.of(queries.of(search.line(), instead.queries())), instead.near());
        });
    }

    /** What is taken instead where nothing matches; empty where something does. */
    public List<Answer.Near> near(Search search) throws IOException {
        return with(searcher -> {
            Queries queries = new Queries(searcher.getIndexReader());
            Kinds kinds = Kinds.of(searcher.getIndexReader(), search.seen());
            Query exact = kinds.of(queries.of(search.line(), Map.of()));
            return searcher.count(exact) > 0
                    ? List.of()
                    : new NearMisses(searcher, kinds).instead(search, queries).near();
        });
    }

    private Answer search(IndexSearcher searcher, Search search, Query query, List<Answer.Near> near)
            throws IOException {
        int most = Math.max(1, search.from() + search.most());
        var top = new TopFieldCollectorManager(sort(search.sort()), most, null, 1);
        Object[] found = searcher.search(query, new MultiCollectorManager(top, new FacetsCollectorManager()));
        TopFieldDocs docs = (TopFieldDocs) found[0];
        List<Long> ids = new ArrayList<>();
        for (int i = search.from(); i < Math.min(docs.scoreDocs.length, most); i++) {
            ids.add(Long.parseLong(
                    searcher.storedFields().document(docs.scoreDocs[i].doc).get(Indexed.ID)));
        }
        FacetsCollector all = (FacetsCollector) found[1];
        int total = all.getMatchingDocs().stream().mapToInt(d -> d.totalHits).sum();
        return new Answer(ids, total, counting.of(searcher.getIndexReader(), all), near);
    }

    private static Sort filed(boolean down) {
        return new Sort(
                new SortField(Indexed.FILED, SortField.Type.LONG, down),
                new SortField(Indexed.ID, SortField.Type.LONG, down));
    }

    private static Sort sort(Search.Sort sort) {
        if (sort.by() == null || sort.by().equals(Indexed.FILED)) {
            return sort.down() ? NEWEST_FIRST : filed(false);
        }
        var by = new SortField(Indexed.SORT + sort.by(), SortField.Type.STRING, sort.down());
        by.setMissingValue(sort.down() ? SortField.STRING_FIRST : SortField.STRING_LAST);
        return new Sort(by, NEWEST_FIRST.getSort()[0], NEWEST_FIRST.getSort()[1]);
    }

    /**
     * Values that exist and begin so, as somebody may see them.
     *
     * @param fields to look in
     */
    public List<Answer.Known> known(List<String> fields, String beginning, Seen seen, int most) throws IOException {
        String begins = Plain.whole(beginning);
        return with(searcher -> {
            IndexReader reader = searcher.getIndexReader();
            Kinds kinds = Kinds.of(reader, seen);
            List<Answer.Known> found = new ArrayList<>();
            for (String field : fields) {
                for (String known : KnownTerms.beginning(reader, Indexed.KNOWN + field, begins, most * UNSEEN)) {
                    var term = new TermQuery(new Term(Indexed.KNOWN + field, known));
                    int documents = searcher.count(kinds.of(term));
                    if (documents > 0 && found.size() < most) {
                        found.add(new Answer.Known(field, known.substring(known.indexOf(' ') + 1), documents));
                    }
                }
            }
            return found;
        });
    }

    @Override
    public void close() throws IOException {
        searchers.close();
        threads.shutdown();
        // What was not kept is taken in again from what is filed.
        writer.rollback();
        directory.close();
    }
}
