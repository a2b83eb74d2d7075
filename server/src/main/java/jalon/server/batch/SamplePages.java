package jalon.server.batch;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toSet;

import jalon.core.index.FieldValue;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.live.Events;
import jalon.server.store.FileStore;
import jalon.server.store.StoredFacts;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pages by which a stream is made and tried: the files that they came in, and pages of batches that are kept among them. */
@Service
public class SamplePages {
    private static final String FROM = "page ";

    private final BatchRows rows;
    private final Batches batches;
    private final FileStore store;
    private final WorkQueue work;
    private final Events events;

    SamplePages(BatchRows rows, Batches batches, FileStore store, WorkQueue work, Events events) {
        this.work = work;
        this.rows = rows;
        this.batches = batches;
        this.store = store;
        this.events = events;
    }

    /**
     * A file of a batch as it was received.
     *
     * @param pages numbers of its pages in the batch
     * @param ofItsOwn whether it was brought here as a sample, and is not part of a batch
     */
    public record SampleFile(String name, Path path, List<Integer> pages, boolean ofItsOwn) {}

    /** In the order in which they came; without those of which nothing could be read. */
    public List<SampleFile> files(Batch batch) {
        Map<Long, List<Integer>> numbers = rows.pages(batch.id()).stream()
                .collect(groupingBy(p -> p.in().fileId(), mapping(BatchRows.PageRow::no, toList())));
        return rows.files(batch.id()).stream()
                .filter(f -> numbers.containsKey(f.id()))
                .map(f -> new SampleFile(
                        f.name(), store.path(f.stored().sha256()), numbers.get(f.id()), !isOfABatch(f.origin())))
                .toList();
    }

    /** Has all of its pages read again, as its stream has it now. */
    public void readAgain(Batch batch) {
        for (BatchRows.PageRow page : rows.pages(batch.id())) {
            rows.ask(page.id());
            work.readAgain(page.in().fileId(), page.in().page());
        }
        events.changed(batch.no());
    }

    /**
     * A document as people left it.
     *
     * @param values by field, of what is sure or settled; null for a field that has none
     */
    public record PaperSaid(List<Integer> pages, String type, Map<String, String> values) {}

    /**
     * Keeps a document of a batch among the samples: its pages as they were received and read, and the sheet that it was parted by.
     * They go when the document is erased.
     *
     * @param samples the batch of the samples, @param from of the document, @param page one of its pages
     * @return the document by its pages among the samples
     * @throws RuntimeException {@link Problem#NOT_A_DOCUMENT} when the page is of none, {@link Problem#PAGE_ERASED} when one is erased
     */
    @Transactional
    public PaperSaid add(Batch samples, Batch from, int page) {
        rows.locked(samples.no());
        Batches.Looked looked = batches.look(from, true);
        BatchView.DocumentView document = looked.view().documents().stream()
                .filter(d -> d.pages().contains(page))
                .findFirst()
                .orElseThrow(() -> Problem.NOT_A_DOCUMENT.with(page));
        if (rows.byOrigin(samples.id(), origin(from.id(), document.pages().get(0)))
                .isPresent()) {
            throw Problem.SAMPLE_ALREADY.with(page);
        }
        int first = document.pages().get(0);
        Integer sheet = document.separator();
        if (sheet != null && isThere(looked.facts().get(sheet))) {
            add(samples, from, looked.facts().get(sheet), origin(from.id(), first));
        }
        List<Integer> added = new ArrayList<>();
        for (int no : document.pages()) {
            PageFacts facts = looked.facts().get(no);
            if (!isThere(facts)) {
                throw Problem.PAGE_ERASED.with(no);
            }
            added.add(add(samples, from, facts, origin(from.id(), no)));
        }
        rows.acted(samples.id());
        events.changed(samples.no());
        return new PaperSaid(added, document.type().type(), said(document));
    }

    private static boolean isThere(PageFacts page) {
        return page != null && !page.file().isEmpty();
    }

    /** @return its number among the samples */
    private int add(Batch samples, Batch from, PageFacts page, String origin) {
        int no = rows.lastPageNo(samples.id()) + 1;
        BatchRows.PageRow row = rows.page(from.id(), page.no()).orElseThrow();
        var file = new NewId();
        rows.addSampleFile(file, row.in().fileId(), samples.id(), origin);
        var in = new BatchRows.InFile(file.getId(), row.in().page());
        rows.addReadPage(samples.id(), no, in, StoredFacts.write(page.numbered(no)));
        return no;
    }

    /** @return the first page among the samples of a document of a batch, where it is kept there */
    public Optional<Integer> kept(Batch samples, Batch from, int firstPage) {
        String origin = origin(from.id(), firstPage);
        Set<Long> files = rows.files(samples.id()).stream()
                .filter(file -> origin.equals(file.origin()))
                .map(BatchRows.FileRow::id)
                .collect(toSet());
        // Before it the sheet that it was parted by.
        return rows.pages(samples.id()).stream()
                .filter(p -> files.contains(p.in().fileId()))
                .map(BatchRows.PageRow::no)
                .max(Integer::compare);
    }

    private static boolean isOfABatch(String origin) {
        return origin != null && origin.startsWith(FROM);
    }

    /** Where a sample page is from, or before which page the sheet stood that it is, by which it is found when its document is erased. */
    static String origin(long batchId, int page) {
        return FROM + page + " of " + Batch.no(batchId);
    }

    private static Map<String, String> said(BatchView.DocumentView document) {
        Map<String, String> said = new LinkedHashMap<>();
        document.fields().forEach((field, value) -> {
            if (value.state() == FieldValue.State.SURE || value.state() == FieldValue.State.SETTLED) {
                said.put(field, value.value());
            }
        });
        return said;
    }
}
