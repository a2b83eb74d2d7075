package jalon.server.workbench;

import jalon.core.page.Box;
import jalon.core.propose.DrawnBox;
import jalon.core.propose.Proposal;
import jalon.core.propose.Proposals;
import jalon.core.read.PageFacts;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.BatchOpening;
import jalon.server.batch.Batches;
import jalon.server.stream.StreamDrafts;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a stream is made and changed by its samples. */
@Service
public class Workbench {
    /** A box is held against so many papers at most: it is answered while somebody waits. */
    private static final int MOST_PAPERS = 24;

    private final StreamDrafts drafts;
    private final StreamLibrary library;
    private final Batches batches;
    private final BatchOpening opening;
    private final Times times;

    Workbench(StreamDrafts drafts, StreamLibrary library, Batches batches, BatchOpening opening, Times times) {
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
                .limit(MOST_PAPERS)
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
                        base, List.copyOf(batches.facts(batch).values()), library.registers(), times.day(times.now()))
                .stream()
                .map(p -> new Proposed(p, p.why().words()))
                .toList();
    }
}
