package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.evidence.Evidence;
import jalon.core.image.ImageFacts;
import jalon.core.index.FieldValue;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchView;
import jalon.core.run.Replay;
import jalon.core.stream.StreamDefinition;
import jalon.server.stream.StreamLibrary;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** A stream that is being changed, tried on the pages of a batch: what it would cut, beside what its saved version does. */
@Service
public class StreamTrial {
    /** Of a stream that has no version yet. */
    private static final BatchView NONE = new BatchView(List.of(), List.of(), null, null, List.of(), null);

    private final Batches batches;
    private final StreamLibrary streams;

    StreamTrial(Batches batches, StreamLibrary streams) {
        this.batches = batches;
        this.streams = streams;
    }

    /**
     * A page of the batch.
     *
     * @param saved the document that begins with it as the stream is saved, or null
     * @param drafted the document that would begin with it, or null
     * @param content whether it would stay in the flow
     */
    public record TriedPage(
            int no, @JsonUnwrapped TriedSheet sheet, Beginning saved, Beginning drafted, boolean content) {}

    /** @param lean of the print on the upright page, degrees clockwise */
    public record TriedSheet(int rotation, double widthMm, double heightMm, double lean) {
        static TriedSheet of(PageFacts page) {
            ImageFacts image = page.image();
            return new TriedSheet(image.rotation(), image.widthMm(), image.heightMm(), image.skewDegrees());
        }
    }

    /** @param type its title */
    public record Beginning(String type, double certainty, boolean doubtful, List<Evidence> evidence) {}

    /**
     * A document that there would be.
     *
     * @param type its name, @param title of its type
     * @param variant the layout of its type that it has, or null where none is known
     * @param doubtful whether its type is in doubt
     * @param values of its fields, in the order of its type
     * @param saved what each field is as the stream is saved, where that makes the same document of the same type
     * @param right what is right for each field, where somebody said so of a document that begins here; else null
     */
    public record TriedDocument(
            List<Integer> pages,
            String type,
            String title,
            String variant,
            boolean doubtful,
            Map<String, FieldValue> values,
            Map<String, String> saved,
            Map<String, String> right) {}

    /**
     * @param documents how many there are as it is saved, @param wouldBe how many there would be
     * @param papers those that there would be with their values
     * @param wrong what is other than people said is right, @param worse in how many places the saved version did better
     * @param unread pages that are still being read
     */
    public record Trial(
            List<TriedPage> pages,
            int documents,
            int wouldBe,
            int doubts,
            int doubtsWouldBe,
            List<TriedDocument> papers,
            List<StreamReplay.ReplayedPlace> wrong,
            int worse,
            int unread) {}

    /** @param right what people said of the batch's documents */
    public Trial of(String json, String batchNo, List<Replay.Confirmed> right) {
        Batch batch = batches.get(batchNo);
        StreamDefinition drafted = streams.parsed(json);
        Optional<StreamDefinition> saved = streams.inForce(batch.stream().name());
        BatchView now = saved.map(s -> batches.indexedBy(s, batch)).orElse(NONE);
        BatchView then = batches.indexedBy(drafted, batch);
        Map<Integer, Beginning> beginsNow = beginnings(saved.orElse(StreamDefinition.NOTHING), now);
        Map<Integer, Beginning> beginsThen = beginnings(drafted, then);
        Map<Integer, PageFacts> facts = batches.facts(batch);
        List<TriedPage> pages = then.pages().stream()
                .map(p -> new TriedPage(
                        p.no(),
                        TriedSheet.of(facts.get(p.no())),
                        beginsNow.get(p.no()),
                        beginsThen.get(p.no()),
                        p.role() == BatchView.Role.CONTENT))
                .toList();
        return new Trial(
                pages,
                now.documents().size(),
                then.documents().size(),
                (int) now.cutDoubts(),
                (int) then.cutDoubts(),
                papers(drafted, now, then, right),
                Replay.of(right, then).differences().stream()
                        .filter(d -> !Objects.equals(d.confirmed(), d.after().text()))
                        .map(StreamReplay.ReplayedPlace::of)
                        .toList(),
                saved.isEmpty() ? 0 : Replay.of(right, now, then).countWorse(),
                batches.unread(batch));
    }

    /**
     * What a draft reads on one paper, as quickly as somebody types; how it is cut and sorted is for {@link #of} to say.
     *
     * @param pages of the paper, by their numbers
     */
    public List<TriedDocument> paper(String json, String batchNo, List<Integer> pages) {
        StreamDefinition drafted = streams.parsed(json);
        return papers(drafted, NONE, batches.indexedBy(drafted, batches.get(batchNo), pages), List.of());
    }

    private static List<TriedDocument> papers(
            StreamDefinition drafted, BatchView now, BatchView then, List<Replay.Confirmed> right) {
        Map<Integer, Map<String, String>> said = new TreeMap<>();
        right.forEach(c -> said.put(c.first(), c.texts()));
        Map<Integer, BatchView.DocumentView> before = new TreeMap<>();
        now.documents().forEach(d -> before.put(d.pages().get(0), d));
        return then.documents().stream()
                .map(d -> {
                    BatchView.DocumentView was = before.get(d.pages().get(0));
                    Map<String, String> saved = new LinkedHashMap<>();
                    if (was != null && was.type().type().equals(d.type().type())) {
                        was.fields().forEach((field, value) -> saved.put(field, value.value()));
                    }
                    return new TriedDocument(
                            d.pages(),
                            d.type().type(),
                            titleOf(drafted, d),
                            d.type().variant(),
                            d.type().doubtful(),
                            d.fields(),
                            saved,
                            said.get(d.pages().get(0)));
                })
                .toList();
    }

    private static String titleOf(StreamDefinition stream, BatchView.DocumentView d) {
        return stream.type(d.type().type())
                .map(StreamDefinition.DocumentType::title)
                .orElse(d.type().type());
    }

    private static Map<Integer, Beginning> beginnings(StreamDefinition stream, BatchView view) {
        Map<Integer, Beginning> begins = new TreeMap<>();
        for (BatchView.DocumentView d : view.documents()) {
            begins.put(
                    d.pages().get(0),
                    new Beginning(
                            titleOf(stream, d),
                            d.stake().certainty(),
                            d.stake().doubtful(),
                            d.stake().evidence()));
        }
        return begins;
    }
}
