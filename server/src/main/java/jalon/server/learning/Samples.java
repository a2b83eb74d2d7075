package jalon.server.learning;

import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.stream.StreamDefinition;
import jalon.server.NewId;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.store.StoredFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** The documents by which a stream's types are known, and what people say about them. */
@Service
public class Samples {
    /** More of one type in one batch teach nothing more. */
    private static final int OF_A_TYPE = 20;

    /** What a document's middle looks like is known from so many pages. */
    private static final int MOST_PAGES = 12;

    private final SampleRows rows;
    private final ActivityLog log;
    private final Times times;

    Samples(SampleRows rows, ActivityLog log, Times times) {
        this.rows = rows;
        this.log = log;
        this.times = times;
    }

    /** All of a stream, the newest first. */
    public List<Sample> of(String stream) {
        return rows.ofStream(stream).stream()
                .sorted(Comparator.comparingLong(Sample::id).reversed())
                .toList();
    }

    /** The page that a type is shown by: its picture, else its newest sample. */
    public record Shown(long batchId, int page) {}

    /** By the names of the types; those without a sample are not in it. */
    public Map<String, Shown> shown(String stream) {
        Map<String, Shown> shown = new HashMap<>();
        rows.shown(stream).forEach(s -> shown.putIfAbsent(s.type(), new Shown(s.batchId(), s.firstPage())));
        return shown;
    }

    /**
     * The documents of a batch that a person has filed: each is of the type that it was filed as.
     *
     * @return whether there is anything to learn
     */
    public boolean confirmed(
            StreamDefinition stream, long batchId, BatchView view, Map<Integer, PageFacts> facts, String who) {
        if (stream.types().size() < 2 && !stream.cut().knowsBySamples()) {
            return false;
        }
        Map<String, List<BatchView.DocumentView>> byType = new LinkedHashMap<>();
        view.documents().stream()
                // What a person named was not known before.
                .sorted(Comparator.comparing(d -> d.type().by() == null))
                .forEach(d -> byType.computeIfAbsent(d.type().type(), t -> new ArrayList<>())
                        .add(d));
        byType.forEach((type, documents) -> documents.stream()
                .limit(OF_A_TYPE)
                .sorted(Comparator.comparingInt(BatchView.DocumentView::no))
                .forEach(d -> add(stream.stream(), type, variant(d), batchId, d, facts, who)));
        return true;
    }

    /** The layout that a person said; one that Jalon found is found again. */
    private static String variant(BatchView.DocumentView document) {
        return document.type().variantBy() == null ? null : document.type().variant();
    }

    /**
     * A document is a sample of one type: what was said of it before is over. A layout that a person said stays until another one is
     * said.
     */
    public void add(
            String stream,
            String type,
            String variant,
            long batchId,
            BatchView.DocumentView document,
            Map<Integer, PageFacts> facts,
            String who) {
        int first = document.pages().get(0);
        for (Sample same : rows.ofDocument(batchId, first)) {
            boolean sameLayout = variant == null || variant.equals(same.variant());
            if (same.type().equals(type) && sameLayout && same.standing() != SampleStanding.TAKEN_OUT) {
                return;
            }
            rows.takeOut(same.id(), who);
        }
        var made = new NewId();
        rows.add(made, new Sample(0, stream, type, variant, batchId, first, who, times.now(), null, null, false));
        List<Integer> pages = document.pages();
        for (int i = 0; i < pages.size(); i++) {
            // The last page is like no other.
            if (i < MOST_PAGES - 1 || i == pages.size() - 1) {
                rows.addPage(new SampleRows.PageRow(made.getId(), i + 1, StoredFacts.write(facts.get(pages.get(i)))));
            }
        }
    }

    /** What a person says about a sample. */
    public enum Say {
        /** The type is not to be known by it. */
        TAKE_OUT,
        PUT_BACK,
        /** The type is shown by it. */
        PICTURE
    }

    /** @return whether the stream has something to learn, or to forget */
    public boolean say(String stream, long id, Say what, String who) {
        Sample sample = rows.find(stream, id).orElseThrow(() -> Problem.NO_SUCH_SAMPLE.with(stream));
        switch (what) {
            case TAKE_OUT -> rows.takeOut(id, who);
            case PUT_BACK -> rows.putBack(id);
            case PICTURE -> rows.picture(stream, sample.type(), id);
        }
        if (what == Say.PICTURE) {
            return false;
        }
        Act act = what == Say.TAKE_OUT ? Act.TOOK_SAMPLE_OUT : Act.PUT_SAMPLE_BACK;
        log.add(who, sample.batchId(), act.with(sample.type(), sample.firstPage()));
        return true;
    }
}
