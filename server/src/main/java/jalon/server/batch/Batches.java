package jalon.server.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.image.Repair;
import jalon.core.index.BarcodesAtOnce;
import jalon.core.index.FieldValue;
import jalon.core.page.Unread;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchContext;
import jalon.core.run.BatchMemory;
import jalon.core.run.BatchRun;
import jalon.core.run.BatchView;
import jalon.core.run.Decided;
import jalon.core.run.Decision;
import jalon.core.run.Filing;
import jalon.core.run.HowToRead;
import jalon.core.run.Outcome;
import jalon.core.sort.Learned;
import jalon.core.sort.Sorted;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.learning.Lessons;
import jalon.server.people.People;
import jalon.server.people.Person;
import jalon.server.picture.PageZones;
import jalon.server.store.StoredFacts;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Batches as they stand. */
@Service
public class Batches {
    private static final int FETCHED_AT_ONCE = 100;

    private final BatchRows rows;
    private final StreamLibrary streams;
    private final StreamDrafts drafts;
    private final Lessons lessons;
    private final PageZones zones;
    private final EarlierDocuments earlier;
    private final People people;
    private final Times times;

    /** Facts of pages by row and reading: fetching and unzipping a 500-page batch for every key would be felt. */
    private final Cache<FactsKey, PageFacts> facts =
            Caffeine.newBuilder().maximumSize(20_000).build();

    private final Cache<BatchMemory.Key, Map<String, FieldValue>> indexed =
            Caffeine.newBuilder().maximumSize(10_000).build();

    private final Cache<BatchMemory.LookKey, BatchMemory.FirstLook> looks =
            Caffeine.newBuilder().maximumSize(200).build();

    /** Decisions by row: none is ever changed. */
    private final Cache<Long, Decision> written =
            Caffeine.newBuilder().maximumSize(20_000).build();

    private final Cache<BatchMemory.SortKey, Sorted> sorted =
            Caffeine.newBuilder().maximumSize(20_000).build();

    private final Cache<Long, StreamDefinition> continuing =
            Caffeine.newBuilder().maximumSize(1_000).build();

    /** By batch and revision: what is erased of a filed batch is a new one, on whichever server. */
    private final Cache<FiledKey, BatchView> filed =
            Caffeine.newBuilder().maximumSize(100).build();

    private record FiledKey(long batch, int revision) {}

    private final Cache<String, String> names = Caffeine.newBuilder()
            .maximumSize(1_000)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    Batches(
            BatchRows rows,
            StreamLibrary streams,
            StreamDrafts drafts,
            Lessons lessons,
            PageZones zones,
            People people,
            EarlierDocuments earlier,
            Times times) {
        this.earlier = earlier;
        this.times = times;
        this.rows = rows;
        this.streams = streams;
        this.drafts = drafts;
        this.lessons = lessons;
        this.zones = zones;
        this.people = people;
    }

    public Batch get(String no) {
        return rows.find(Batch.id(no)).orElseThrow(() -> Problem.NO_SUCH_BATCH.with(no));
    }

    public Batch get(long id) {
        return get(Batch.no(id));
    }

    /** By what it is cut, sorted, indexed and filed: its stream; for more pages of a document only what that needs. */
    public StreamDefinition stream(Batch batch) {
        if (batch.isSamples()) {
            return drafts.ofSamples(batch.stream().name());
        }
        return as(
                batch, streams.definition(batch.stream().name(), batch.stream().version()));
    }

    private StreamDefinition as(Batch batch, StreamDefinition stream) {
        Batch.Continued document = batch.origin().continues();
        return document == null
                ? stream
                : continuing.get(
                        batch.id(),
                        id -> stream.forMoreOf(view(get(document.batch()), false)
                                .documents()
                                .get(document.document() - 1)
                                .type()
                                .type()));
    }

    /** What its pages are recognised by. */
    public Learned learned(Batch batch) {
        return batch.origin().continues() != null
                ? Learned.NOTHING
                : lessons.learned(batch.stream().name(), batch.stream().lesson());
    }

    /** Its stream, unless a newer Jalon saved that in a form that this one does not know. */
    public Optional<StreamDefinition> usableStream(Batch batch) {
        if (batch.isSamples()) {
            return Optional.of(stream(batch));
        }
        return streams.usable(batch.stream().name(), batch.stream().version()).map(stream -> as(batch, stream));
    }

    /** What was seen on each page that could be read, by page number. */
    public Map<Integer, PageFacts> facts(Batch batch) {
        return factsOf(rows.readPages(batch.id()));
    }

    /** The same, of these pages alone. */
    public Map<Integer, PageFacts> facts(Batch batch, Collection<Integer> numbers) {
        return factsOf(rows.readPages(batch.id()).stream()
                .filter(page -> numbers.contains(page.no()))
                .toList());
    }

    private Map<Integer, PageFacts> factsOf(List<BatchRows.ReadPage> pages) {
        Map<Long, PageFacts> known = new HashMap<>();
        List<Long> unknown = new ArrayList<>();
        for (BatchRows.ReadPage page : pages) {
            PageFacts kept = facts.getIfPresent(new FactsKey(page.id(), page.factsVersion()));
            if (kept == null) {
                unknown.add(page.id());
            } else {
                known.put(page.id(), kept);
            }
        }
        for (int from = 0; from < unknown.size(); from += FETCHED_AT_ONCE) {
            for (var row : rows.facts(unknown.subList(from, Math.min(unknown.size(), from + FETCHED_AT_ONCE)))) {
                PageFacts read = StoredFacts.read(row.facts());
                facts.put(new FactsKey(row.id(), row.factsVersion()), read);
                known.put(row.id(), read);
            }
        }
        Map<Integer, PageFacts> all = new TreeMap<>();
        pages.forEach(p -> all.put(p.no(), known.get(p.id())));
        return all;
    }

    private record FactsKey(long row, int version) {}

    public List<Decided> decisions(Batch batch) {
        return rows.decisions(batch.id()).stream()
                .flatMap(d ->
                        inForce(d)
                                .map(decision -> new Decided(decision, nameOf(d.decidedBy()), d.decidedAt()))
                                .stream())
                .toList();
    }

    /** Pages that came later and whose coming was undone have no place: they are set aside, and can be put back. */
    private Optional<Decision> inForce(BatchRows.DecisionRow row) {
        Decision decision = written.get(row.id(), id -> StoredDecision.read(row.body()));
        if (row.state() == DecisionState.ACTIVE) {
            return Optional.of(decision);
        }
        return decision instanceof Decision.MovePages move && move.arriving()
                ? Optional.of(new Decision.SetAside(move.pages()))
                : Optional.empty();
    }

    /** How a person is called on the screens. */
    public String nameOf(String signIn) {
        return names.get(signIn, s -> people.find(s).map(Person::name).orElse(s));
    }

    /**
     * The batch as cut, sorted and indexed now; once filing has begun, as it was then.
     *
     * @param fields whether the fields are wanted too, or only the cut
     */
    public BatchView view(Batch batch, boolean fields) {
        return filedThen(batch).orElseGet(() -> view(batch, facts(batch), fields));
    }

    /** @param facts what was seen on each page that could be read, by page number */
    public record Looked(BatchView view, Map<Integer, PageFacts> facts) {}

    /** As {@link #view}, with what it was made of. */
    public Looked look(Batch batch, boolean fields) {
        Map<Integer, PageFacts> facts = facts(batch);
        return new Looked(filedThen(batch).orElseGet(() -> view(batch, facts, fields)), facts);
    }

    private Optional<BatchView> filedThen(Batch batch) {
        return batch.filed()
                ? Optional.ofNullable(
                        filed.get(new FiledKey(batch.id(), batch.course().revision()), key -> filedView(key.batch())))
                : Optional.empty();
    }

    private BatchView view(Batch batch, Map<Integer, PageFacts> facts, boolean fields) {
        BatchRun run = run(stream(batch), batch);
        List<PageFacts> pages = List.copyOf(facts.values());
        List<Decided> decisions = decisions(batch);
        return fields ? run.index(pages, decisions) : run.cut(pages, decisions);
    }

    /** Its pages as another definition cuts, sorts and indexes them, with all that people decided. */
    BatchView viewBy(StreamDefinition stream, Batch batch) {
        return run(stream, batch).index(List.copyOf(facts(batch).values()), decisions(batch));
    }

    /** Its pages as another definition cuts, sorts and indexes them, before anybody decides. */
    BatchView indexedBy(StreamDefinition stream, Batch batch) {
        List<PageFacts> pages = List.copyOf(facts(batch).values());
        return run(stream, batch).index(pages, List.of());
    }

    /** The same, of these pages alone. */
    BatchView indexedBy(StreamDefinition stream, Batch batch, Collection<Integer> numbers) {
        return run(stream, batch).index(List.copyOf(facts(batch, numbers).values()), List.of());
    }

    private BatchRun run(StreamDefinition stream, Batch batch) {
        PageZones.Reading reading = zones.in(stream.language());
        return new BatchRun(
                stream,
                learned(batch),
                streams.registers(),
                reading,
                // The day it came in, not the day it is looked at: a later look gives the same.
                times.day(batch.origin().madeAt()),
                context(batch),
                new Remembered(reading));
    }

    private final class Remembered implements BatchMemory {
        private final PageZones.Reading reading;

        Remembered(PageZones.Reading reading) {
            this.reading = reading;
        }

        @Override
        public FirstLook look(LookKey key, Supplier<FirstLook> work) {
            return looks.get(key, k -> work.get());
        }

        @Override
        public Sorted sorted(SortKey key, Supplier<Sorted> work) {
            return sorted.get(key, k -> work.get());
        }

        /** A zone that could not be read this time may be read the next: what was made without it is not kept. */
        @Override
        public Map<String, FieldValue> fields(Key key, Supplier<Map<String, FieldValue>> work) {
            Map<String, FieldValue> known = indexed.getIfPresent(key);
            if (known == null) {
                int missed = reading.missed();
                known = work.get();
                if (reading.missed() == missed) {
                    indexed.put(key, known);
                }
            }
            return known;
        }
    }

    /** What the machine made of its values, beside what they are filed as. */
    public List<Outcome> outcomes(Batch batch, BatchView filed) {
        return run(stream(batch), batch).outcomes(List.copyOf(facts(batch).values()), decisions(batch), filed);
    }

    /** What is or was done to the images of these pages before they are filed, by page number. */
    public Map<Integer, List<Repair>> filedRecipes(Batch batch, List<Integer> pages) {
        return Filing.recipes(stream(batch), view(batch, false), pages);
    }

    /** Null for a batch filed by a version that did not keep it; such a one is worked out as before. */
    private BatchView filedView(long id) {
        BatchRows.FiledView kept = rows.filedView(id);
        return kept == null ? null : StoredView.read(kept.body());
    }

    /** What is known of a batch beside its pages. */
    public Map<Finder.Inherited.From, String> about(Batch batch) {
        Map<Finder.Inherited.From, String> inherited = new EnumMap<>(Finder.Inherited.From.class);
        if (batch.origin().mail().sender() != null) {
            inherited.put(Finder.Inherited.From.SENDER, batch.origin().mail().sender());
        }
        if (batch.origin().mail().subject() != null) {
            inherited.put(Finder.Inherited.From.SUBJECT, batch.origin().mail().subject());
        }
        if (batch.origin().mail().sentAt() != null) {
            inherited.put(
                    Finder.Inherited.From.SENT_ON,
                    times.day(batch.origin().mail().sentAt()).toString());
        }
        inherited.put(Finder.Inherited.From.BATCH, batch.no());
        batch.origin().station().ifPresent(s -> inherited.put(Finder.Inherited.From.STATION, s));
        batch.origin().operator().ifPresent(o -> inherited.put(Finder.Inherited.From.OPERATOR, o));
        rows.files(batch.id()).stream()
                .filter(f -> f.rejected() == null)
                .findFirst()
                .ifPresent(f -> inherited.put(Finder.Inherited.From.FILE_NAME, f.name()));
        return inherited;
    }

    private BatchContext context(Batch batch) {
        return new BatchContext(
                about(batch),
                batch.counted().expectedPages(),
                batch.counted().expectedDocuments(),
                earlier.outside(batch.id()));
    }

    /** Numbers of the pages in the order they stand in now. */
    List<Integer> order(Batch batch) {
        return view(batch, false).pages().stream().map(BatchView.PageView::no).toList();
    }

    /**
     * @param sheet null for a page of a file, @param read whether it was read
     * @param says what its barcodes say, once it was read
     */
    public record Arriving(
            int no, Receiving.Sheet sheet, boolean read, Unread rejected, List<BarcodesAtOnce.Said> says) {}

    public List<Arriving> arriving(Batch batch) {
        Map<Integer, PageFacts> facts = facts(batch);
        Optional<StreamDefinition> stream = usableStream(batch);
        return rows.pages(batch.id()).stream()
                .map(p -> {
                    List<BarcodesAtOnce.Said> says = Optional.ofNullable(facts.get(p.no()))
                            .flatMap(page -> stream.map(s -> BarcodesAtOnce.on(page, s)))
                            .orElse(List.of());
                    return new Arriving(p.no(), p.sheet(), p.factsVersion() > 0, p.rejected(), says);
                })
                .toList();
    }

    /** Where a page's received bytes are. */
    public record ReceivedPage(int no, String sha256, int filePage) {}

    public Optional<ReceivedPage> received(Batch batch, int page) {
        return rows.page(batch.id(), page)
                .map(p -> new ReceivedPage(
                        p.no(), rows.file(p.in().fileId()).stored().sha256(), p.in().page()));
    }

    /** Sheets and sides of scanned pages, by page number. */
    public Map<Integer, Receiving.Sheet> sheets(Batch batch) {
        Map<Integer, Receiving.Sheet> sheets = new TreeMap<>();
        rows.scannedPages(batch.id()).forEach(p -> sheets.put(p.no(), p.sheet()));
        return sheets;
    }

    public boolean canStep(Batch batch, boolean back) {
        return rows.hasDecision(batch.id(), back ? DecisionState.ACTIVE : DecisionState.UNDONE);
    }

    /** Pages that are still to be read. */
    int unread(Batch batch) {
        return rows.waiting(batch.id());
    }

    /** How people and the stream want the pages of a batch to be read. */
    HowToRead howToRead(Batch batch) {
        return HowToRead.of(
                stream(batch).pages(),
                rows.decisions(batch.id()).stream()
                        .filter(d -> d.state() == DecisionState.ACTIVE)
                        .map(d -> StoredDecision.read(d.body()))
                        .toList());
    }

    /** Brings the counts on the Day board up to date. */
    public void counted(Batch batch, BatchView view) {
        long doubts = view.cutDoubts() + view.fieldDoubts();
        if (batch.counted().documents() != view.documents().size()
                || batch.counted().doubts() != doubts) {
            rows.counted(batch.id(), view.documents().size(), doubts);
        }
    }
}
