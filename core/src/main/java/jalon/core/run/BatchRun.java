package jalon.core.run;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.image.Finding;
import jalon.core.image.Repair;
import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.sort.Guess;
import jalon.core.sort.Learned;
import jalon.core.sort.Sorted;
import jalon.core.sort.Sorter;
import jalon.core.split.BatchHeader;
import jalon.core.split.Cut;
import jalon.core.split.Cutter;
import jalon.core.stream.Field;
import jalon.core.stream.RegisterUse;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A batch through cutting, sorting and indexing: the one place that knows the order. A pure function of what was seen on
 * the pages, the stream, the registers and what people decided; run again it gives the same.
 */
public final class BatchRun {
    private final StreamDefinition stream;
    private final Map<String, Register> registers;
    private final ZoneReader zones;
    private final LocalDate today;
    private final BatchMemory memory;
    private final BatchContext about;
    private final Learned learned;

    /** @param today for checks against dates */
    public BatchRun(StreamDefinition stream, Map<String, Register> registers, ZoneReader zones, LocalDate today) {
        this(stream, Learned.NOTHING, registers, zones, today, BatchContext.NOTHING, BatchMemory.NONE);
    }

    /** @param learned what the stream's samples teach */
    public BatchRun(
            StreamDefinition stream,
            Learned learned,
            Map<String, Register> registers,
            ZoneReader zones,
            LocalDate today,
            BatchContext about,
            BatchMemory memory) {
        this.learned = learned;
        this.about = about;
        this.memory = memory;
        this.stream = stream;
        this.registers = registers;
        this.zones = zones;
        this.today = today;
    }

    /** Cut and types only: what the Page desk needs, quick enough for every key. */
    public BatchView cut(List<PageFacts> pages, List<Decided> decisions) {
        return view(pages, decisions, false, Audit.NONE);
    }

    /** Cut, types and fields. */
    public BatchView index(List<PageFacts> pages, List<Decided> decisions) {
        return view(pages, decisions, true, new Audit(stream.filing().audit()));
    }

    /** What the machine made of the documents' values, beside what people have made of them. */
    public List<Outcome> outcomes(List<PageFacts> pages, List<Decided> decisions, BatchView filed) {
        List<Decided> others = decisions.stream()
                .filter(d -> !(d.decision() instanceof Decision.Settle))
                .toList();
        return Outcome.of(
                view(pages, others, true, Audit.NONE),
                filed,
                (type, field) -> stream.type(type)
                        .flatMap(t -> t.field(field))
                        .map(Field::sureFrom)
                        .orElse(1.0));
    }

    private BatchView view(List<PageFacts> received, List<Decided> decisions, boolean fields, Audit audit) {
        Map<Integer, PageFacts> byNo = new HashMap<>();
        received.forEach(p -> byNo.put(p.no(), p));
        BatchMemory.FirstLook look =
                memory.look(new BatchMemory.LookKey(stream, learned, registers, received), () -> firstLook(received));
        Cut cut = look.cut();
        DecidedBatch desk =
                new DecidedBatch(received.stream().map(PageFacts::no).toList(), cut);
        decisions.forEach(desk::apply);

        List<BatchView.PageView> pages = new ArrayList<>();
        List<Draft> drafts =
                Draft.along(desk, pages, page -> image(desk, look.findings().get(page), byNo.get(page)));
        List<BatchView.GroupView> groups = groups(desk, drafts, byNo, fields);
        // Each on its own: most of their time is spent in the processes that read.
        List<BatchView.DocumentView> documents = (fields ? drafts.parallelStream() : drafts.stream())
                .map(draft -> document(draft, drafts, desk, byNo, groups, fields))
                .toList();
        documents = fields
                ? AcrossDocuments.judged(stream, documents, about.filed()).stream()
                        .map(d -> d.with(audit.on(byNo.get(d.pages().get(0)), d.fields())))
                        .toList()
                : documents;
        return new BatchView(
                List.copyOf(pages),
                documents,
                groups,
                places(cut, desk, documents),
                desk.gaps(),
                counts(received, documents.size(), desk));
    }

    private BatchMemory.FirstLook firstLook(List<PageFacts> received) {
        var fitness = new ImageFindings(stream.pages(), received);
        Map<Integer, List<Finding>> findings = new HashMap<>();
        received.forEach(p -> findings.put(p.no(), List.copyOf(fitness.findings(p))));
        return new BatchMemory.FirstLook(
                Cutter.cut(stream, received, new KnownPages(learned, registers, today)), findings);
    }

    /** Where a stake may be missing and nobody has said so or otherwise; a stake set there since answers it. */
    private List<BatchView.PlaceView> places(Cut cut, DecidedBatch desk, List<BatchView.DocumentView> documents) {
        Set<Integer> inside = new HashSet<>();
        documents.forEach(d -> inside.addAll(d.pages().subList(1, d.pages().size())));
        return cut.maybe().stream()
                .filter(s -> stream.cut().asksPlace(s.certainty()))
                .filter(s -> inside.contains(s.page()) && desk.isOpen(s.page()))
                .map(s -> new BatchView.PlaceView(s.page(), s.certainty(), s.evidence()))
                .toList();
    }

    private BatchView.ImageView image(DecidedBatch desk, List<Finding> findings, PageFacts page) {
        return desk.image(page.no(), findings, Repair.needed(stream.pages().repairs(), page.image()));
    }

    private BatchView.Counts counts(List<PageFacts> received, int documents, DecidedBatch desk) {
        List<BatchHeader> headers =
                received.stream().flatMap(p -> BatchHeader.on(p).stream()).toList();
        Integer pages = about.expectedPages();
        Integer expectedDocuments = about.expectedDocuments();
        if (pages == null && headers.stream().anyMatch(h -> h.pages() != null)) {
            pages = headers.stream()
                    .mapToInt(h -> h.pages() == null ? 0 : h.pages())
                    .sum();
        }
        if (expectedDocuments == null && headers.stream().anyMatch(h -> h.documents() != null)) {
            expectedDocuments = headers.stream()
                    .mapToInt(h -> h.documents() == null ? 0 : h.documents())
                    .sum();
        }
        Decided accepted = desk.countsAccepted();
        String because =
                accepted != null && accepted.decision() instanceof Decision.AcceptCounts a ? a.because() : null;
        return new BatchView.Counts(
                pages,
                received.size() - headers.size(),
                expectedDocuments,
                documents,
                accepted == null ? null : accepted.by(),
                because);
    }

    /** Groups that have a document. What is on the sheet that opens one is read as its fields. */
    private List<BatchView.GroupView> groups(
            DecidedBatch desk, List<Draft> drafts, Map<Integer, PageFacts> byNo, boolean withFields) {
        List<BatchView.GroupView> groups = new ArrayList<>();
        var settled = new SettledValues(stream, registers, today, desk);
        DocumentType type = stream.cut().groups().asType();
        for (int page : drafts.stream()
                .map(Draft::group)
                .filter(Objects::nonNull)
                .distinct()
                .toList()) {
            DecidedBatch.GroupMark mark = desk.groups().get(page);
            Map<String, FieldValue> fields = Map.of();
            if (withFields) {
                var sheet = new Document(
                        List.of(byNo.get(page)), Optional.empty(), about.inherited(), Map.of(), null, List.of());
                fields = fields(
                        type,
                        sheet,
                        settled.ofGroup(
                                type,
                                drafts.stream()
                                        .filter(d -> Objects.equals(d.group(), page))
                                        .toList(),
                                draft -> type(
                                                draft,
                                                desk,
                                                byNo.get(draft.pages().get(0)))
                                        .type()));
            }
            groups.add(
                    new BatchView.GroupView(groups.size() + 1, page, mark.what(), mark.evidence(), mark.by(), fields));
        }
        return groups;
    }

    private Map<String, FieldValue> fields(DocumentType type, Document document, Map<String, FieldValue> settled) {
        return memory.fields(
                new BatchMemory.Key(type, document, settled, registers, today),
                () -> Indexer.index(type, document, zones, registers, today, settled));
    }

    /** Pages of the other documents of a draft's group. */
    private static List<PageFacts> related(Draft draft, List<Draft> drafts, Map<Integer, PageFacts> byNo) {
        return draft.group() == null
                ? List.of()
                : drafts.stream()
                        .filter(other -> other != draft && draft.group().equals(other.group()))
                        .flatMap(other -> other.pages().stream())
                        .map(byNo::get)
                        .toList();
    }

    private BatchView.DocumentView document(
            Draft draft,
            List<Draft> drafts,
            DecidedBatch desk,
            Map<Integer, PageFacts> byNo,
            List<BatchView.GroupView> groups,
            boolean withFields) {
        Optional<BatchView.GroupView> group = groups.stream()
                .filter(g -> Objects.equals(g.page(), draft.group()))
                .findFirst();
        int first = draft.pages().get(0);
        boolean doubtful = draft.stake().by() == null
                && stream.cut().asksStake(draft.stake().certainty());
        var stake = new BatchView.StakeView(
                first,
                draft.stake().certainty(),
                doubtful,
                draft.stake().evidence(),
                draft.stake().by());
        BatchView.TypeView type = type(draft, desk, byNo.get(first));
        var settled = new SettledValues(stream, registers, today, desk);
        Map<String, FieldValue> fields = Map.of();
        if (withFields) {
            DocumentType definition = stream.type(type.type()).orElseThrow();
            Optional<PageFacts> separator =
                    Optional.ofNullable(draft.separator()).map(byNo::get);
            Document document = new Document(
                    draft.pages().stream().map(byNo::get).toList(),
                    separator,
                    about.inherited(),
                    group.map(BatchView.GroupView::fields).orElse(Map.of()),
                    type.variant(),
                    RegisterUse.inWholeGroup(definition) ? related(draft, drafts, byNo) : List.of());
            fields = fields(definition, document, settled.of(definition, draft));
        }
        return new BatchView.DocumentView(
                draft.no(),
                List.copyOf(draft.pages()),
                draft.separator(),
                group.map(BatchView.GroupView::no).orElse(null),
                stake,
                type,
                fields);
    }

    private BatchView.TypeView type(Draft draft, DecidedBatch desk, PageFacts first) {
        Sorted sorted = memory.sorted(
                new BatchMemory.SortKey(stream, learned, first),
                () -> Sorter.sort(stream, learned.asFirst(first), first));
        Decided named = null;
        for (int page : draft.pages()) {
            Decided other = desk.types().get(page);
            if (other != null
                    && other.decision() instanceof Decision.NameType t
                    && stream.type(t.type()).isPresent()
                    && SettledValues.isLater(other, named)) {
                named = other;
            }
        }
        if (named != null && named.decision() instanceof Decision.NameType t) {
            var evidence = List.of(
                    new Evidence(Evidence.Rule.PERSON, t.page(), null, Reason.Code.NAMED_BY.with(named.by()), 1));
            String likeliest = sorted.guesses().stream()
                    .filter(g -> g.type().equals(t.type()))
                    .findFirst()
                    .map(Guess::variant)
                    .orElse(null);
            String variant = t.variant() == null ? likeliest : t.variant();
            String variantBy = t.variant() == null ? null : named.by();
            return new BatchView.TypeView(
                    t.type(), variant, variantBy, 1, false, evidence, guesses(sorted), named.by());
        }
        boolean doubtful =
                sorted.certainty() < stream.type(sorted.type()).orElseThrow().checkBelow();
        return new BatchView.TypeView(
                sorted.type(),
                sorted.variant(),
                null,
                sorted.certainty(),
                doubtful,
                sorted.evidence(),
                guesses(sorted),
                null);
    }

    private static List<BatchView.GuessView> guesses(Sorted sorted) {
        return sorted.guesses().stream()
                .map(g -> new BatchView.GuessView(g.type(), g.variant(), g.certainty()))
                .toList();
    }
}
