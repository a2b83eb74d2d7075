package jalon.server.workbench;

import jalon.core.page.Box;
import jalon.core.page.Sha256;
import jalon.core.propose.DrawnBox;
import jalon.core.propose.Proposal;
import jalon.core.propose.Proposals;
import jalon.core.read.PageFacts;
import jalon.core.stream.StreamChanges;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.core.text.TextReaders;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchOpening;
import jalon.server.batch.Batches;
import jalon.server.batch.SamplePages;
import jalon.server.batch.StreamTrial;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a stream is made and changed by its samples. */
@Service
public class Workbench {
    private final StreamDrafts drafts;
    private final StreamLibrary library;
    private final Batches batches;
    private final BatchOpening opening;
    private final StreamTrial trial;
    private final SamplePages pages;
    private final SampleAnswers answers;
    private final WorkbenchRows rows;
    private final Times times;

    Workbench(
            StreamDrafts drafts,
            StreamLibrary library,
            Batches batches,
            BatchOpening opening,
            StreamTrial trial,
            SamplePages pages,
            SampleAnswers answers,
            WorkbenchRows rows,
            Times times) {
        this.trial = trial;
        this.pages = pages;
        this.answers = answers;
        this.rows = rows;
        this.drafts = drafts;
        this.library = library;
        this.batches = batches;
        this.opening = opening;
        this.times = times;
    }

    /**
     * @param newest version that is saved; 0 for none
     * @param samples number of the batch of its sample pages, or null where it has none yet
     */
    public record Bench(StreamDrafts.Draft draft, int newest, String samples) {}

    public Bench of(String stream) {
        StreamDrafts.Draft draft = drafts.of(stream);
        return new Bench(
                draft,
                library.newestIfAny(stream).orElse(0),
                drafts.samples(stream).map(Batch::no).orElse(null));
    }

    /** The batch that its sample pages go to; opened at the first asking. */
    @Transactional
    public String samples(String stream, String by) {
        drafts.of(stream);
        return drafts.samples(stream).map(Batch::no).orElseGet(() -> {
            String no = opening.openSamples(stream, by);
            drafts.addSamples(stream, batches.get(no).id());
            return no;
        });
    }

    /** Keeps a draft as it stands; its samples are read again where it has them read otherwise. */
    @Transactional
    public StreamDrafts.Draft keep(String stream, String json, int revision, String by) {
        StreamDefinition before = drafts.ofSamples(stream);
        StreamDrafts.Draft kept = drafts.keep(stream, json, revision, by);
        if (!before.readsAs(drafts.ofSamples(stream))) {
            drafts.samples(stream).map(batches::get).ifPresent(pages::readAgain);
        }
        return kept;
    }

    /** Gives a draft up, with what it was seen to do; its samples stay. */
    @Transactional
    public void giveUp(String stream) {
        forget(stream);
        drafts.giveUp(stream);
    }

    /** What a draft was seen to do says nothing of the next one. */
    private void forget(String stream) {
        rows.forgetAllReplays(stream);
        rows.forgetRun(stream);
        rows.forgetTrials(stream);
    }

    /** What a draft makes of a batch's pages; of its own samples beside what somebody said is right there. */
    public StreamTrial.Trial tried(String stream, String json, String batchNo) {
        Batch batch = batches.get(batchNo);
        StreamTrial.Trial tried = trial.of(json, batchNo, answers.of(batch.id()));
        rows.tried(stream, Sha256.of(json), tried.pages().size(), times.now());
        return tried;
    }

    /** What a draft reads on one paper of a batch. */
    public List<StreamTrial.TriedDocument> triedOn(String json, String batchNo, List<Integer> pages) {
        return trial.paper(json, batchNo, pages);
    }

    /** What a draft says otherwise than the saved version; nothing where there is none yet. */
    public List<StreamChanges.Change> changes(String stream, String json) {
        library.parsed(json);
        return library.newestIfAny(stream)
                .map(newest -> StreamChanges.between(library.json(stream, newest), json))
                .orElse(List.of());
    }

    /** Says what is right on some pages of its samples. */
    public void say(String stream, SampleAnswers.Answer answer, String by) {
        Batch samples = samplesOf(stream);
        if (answer.pages() == null || answer.pages().isEmpty() || answer.type() == null) {
            throw Problem.NO_PAPER_SAID.with();
        }
        Set<Integer> pages = batches.facts(samples).keySet();
        answer.pages().stream().filter(no -> !pages.contains(no)).findFirst().ifPresent(no -> {
            throw Problem.NO_READABLE_PAGE.with(samples.no(), no);
        });
        answers.say(samples.id(), answer, by);
    }

    /**
     * Keeps a document of a batch among its samples, and what is sure or settled on it as right.
     *
     * @param page one of the pages of the document
     */
    @Transactional
    public SamplePages.PaperSaid keepSample(String stream, String batchNo, int page, String by) {
        Batch from = batches.get(batchNo);
        if (!from.stream().name().equals(stream)) {
            throw Problem.OTHER_STREAM.with(batchNo);
        }
        Batch samples = batches.get(samples(stream, by));
        SamplePages.PaperSaid kept = pages.add(samples, from, page);
        answers.say(samples.id(), new SampleAnswers.Answer(kept.pages(), kept.type(), kept.values()), by);
        return kept;
    }

    /** What was said of the paper that begins with a page is said no more. */
    public void forget(String stream, int firstPage) {
        answers.forget(samplesOf(stream).id(), firstPage);
    }

    private Batch samplesOf(String stream) {
        return drafts.samples(stream).map(batches::get).orElseThrow(() -> Problem.NO_SAMPLES_YET.with(stream));
    }

    /**
     * Makes the draft the newest version of its stream.
     *
     * @param note what is said of it, or null
     * @throws RuntimeException {@link Problem#UNTRIED} when it was tried on no page, {@link Problem#WORSE_WITHOUT_A_WORD} when it was
     *     seen to do something worse, and nobody says why
     */
    @Transactional
    public StreamLibrary.Listed live(String stream, int revision, String note, String by) {
        String json = drafts.of(stream).definition();
        library.parsed(json);
        String draft = Sha256.of(json);
        if (!rows.isTried(stream, draft) && rows.replayedBatches(stream, draft).isEmpty()) {
            throw Problem.UNTRIED.with();
        }
        if (note == null || note.isBlank()) {
            int worse = rows.worse(stream, draft) + worseOnSamples(stream, json);
            if (worse > 0) {
                throw Problem.WORSE_WITHOUT_A_WORD.with(worse);
            }
        }
        forget(stream);
        return drafts.live(stream, revision, note, by);
    }

    private int worseOnSamples(String stream, String json) {
        return drafts.samples(stream)
                .map(batches::get)
                .filter(batch -> !answers.of(batch.id()).isEmpty())
                .map(batch -> tried(stream, json, batch.no()).worse())
                .orElse(0);
    }

    /**
     * What a box drawn on a page of a batch holds.
     *
     * @param values where values stand on that page
     * @param papers page numbers of each paper of the same type
     */
    public DrawnBox drawn(String batchNo, int page, Box box, List<Box> values, List<List<Integer>> papers) {
        Map<Integer, PageFacts> facts = batches.facts(batches.get(batchNo));
        if (!facts.containsKey(page)) {
            throw Problem.NO_READABLE_PAGE.with(batchNo, page);
        }
        List<List<PageFacts>> read = papers.stream()
                .map(paper ->
                        paper.stream().map(facts::get).filter(Objects::nonNull).toList())
                .filter(paper -> !paper.isEmpty())
                .toList();
        return DrawnBox.of(facts.get(page), box, values, read, times.day(times.now()));
    }

    /** A proposal with why it is made, in words. */
    public record Proposed(Proposal proposal, String why) {}

    /** What a stream for the pages of a batch could be, whatever is said of it so far. */
    public List<Proposed> proposals(String stream, String batchNo) {
        Batch batch = batches.get(batchNo);
        StreamDefinition base;
        try {
            base = Streams.parse(drafts.of(stream).definition());
        } catch (Streams.InvalidStream e) {
            base = batches.stream(batch);
        }
        return Proposals.of(
                        base,
                        List.copyOf(batches.facts(batch).values()),
                        library.registers(),
                        times.day(times.now()),
                        TextReaders::knows)
                .stream()
                .map(p -> new Proposed(p, p.why().words()))
                .toList();
    }
}
