package jalon.server.batch;

import jalon.core.evidence.Evidence;
import jalon.core.run.BatchView;
import jalon.core.stream.StreamDefinition;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** A stream that is being changed, tried on the pages of a batch: what it would cut, beside what its saved version does. */
@Service
public class StreamTrial {
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
    public record TriedPage(int no, int rotation, Beginning saved, Beginning drafted, boolean content) {}

    /** @param type its title */
    public record Beginning(String type, double certainty, boolean doubtful, List<Evidence> evidence) {}

    /** @param documents how many there are as it is saved, @param wouldBe how many there would be */
    public record Trial(List<TriedPage> pages, int documents, int wouldBe, int doubts, int doubtsWouldBe) {}

    public Trial of(String json, String batchNo) {
        Batch batch = batches.get(batchNo);
        StreamDefinition drafted = streams.parsed(json);
        StreamDefinition saved = streams.definition(
                batch.stream().name(), streams.newest(batch.stream().name()));
        BatchView now = batches.cutBy(saved, batch);
        BatchView then = batches.cutBy(drafted, batch);
        Map<Integer, Beginning> beginsNow = beginnings(saved, now);
        Map<Integer, Beginning> beginsThen = beginnings(drafted, then);
        Map<Integer, Integer> rotations = new TreeMap<>();
        batches.facts(batch)
                .forEach((no, facts) -> rotations.put(no, facts.image().rotation()));
        List<TriedPage> pages = then.pages().stream()
                .map(p -> new TriedPage(
                        p.no(),
                        rotations.getOrDefault(p.no(), 0),
                        beginsNow.get(p.no()),
                        beginsThen.get(p.no()),
                        p.role() == BatchView.Role.CONTENT))
                .toList();
        return new Trial(
                pages, now.documents().size(), then.documents().size(), (int) now.cutDoubts(), (int) then.cutDoubts());
    }

    private static Map<Integer, Beginning> beginnings(StreamDefinition stream, BatchView view) {
        Map<Integer, Beginning> begins = new TreeMap<>();
        for (BatchView.DocumentView d : view.documents()) {
            String title = stream.type(d.type().type())
                    .map(StreamDefinition.DocumentType::title)
                    .orElse(d.type().type());
            begins.put(
                    d.pages().get(0),
                    new Beginning(
                            title,
                            d.stake().certainty(),
                            d.stake().doubtful(),
                            d.stake().evidence()));
        }
        return begins;
    }
}
