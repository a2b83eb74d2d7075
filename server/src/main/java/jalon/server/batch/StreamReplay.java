package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.run.Replay;
import jalon.core.stream.StreamDefinition;
import jalon.server.Problem;
import jalon.server.stream.StreamLibrary;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** A stream that is being changed, held against batches that were filed: what people confirmed there. */
@Service
public class StreamReplay {
    private final BatchRows rows;
    private final Batches batches;
    private final StreamLibrary streams;

    StreamReplay(BatchRows rows, Batches batches, StreamLibrary streams) {
        this.rows = rows;
        this.batches = batches;
        this.streams = streams;
    }

    /** A batch that can be replayed. */
    public record ConfirmedBatch(String batch, int documents) {}

    /** @param erased how many more were filed then of which pages are erased, so that nobody can tell what is right there */
    public record ConfirmedBatches(List<ConfirmedBatch> batches, int erased) {}

    /**
     * The last batches of a stream that were filed, the newest first.
     *
     * @param since when they were filed at the earliest
     * @param most so many at most
     */
    public ConfirmedBatches confirmed(String stream, Instant since, int most) {
        return new ConfirmedBatches(
                rows.confirmed(stream, since, most).stream()
                        .map(b -> new ConfirmedBatch(b.no(), b.counted().documents()))
                        .toList(),
                rows.partlyErased(stream, since));
    }

    /** How often a machine did how well. @param what is compared, @param before by the saved version, @param after by the draft */
    public record ReplayedTally(Replay.What what, Replay.Tally before, Replay.Tally after) {}

    /**
     * Something that the draft does otherwise than the saved version.
     *
     * @param field of a value, or null
     * @param confirmed by people, or null for no value
     * @param before and @param after what the two say, or null where they say nothing
     */
    public record ReplayedPlace(
            Replay.What what,
            int page,
            String field,
            String confirmed,
            String before,
            Replay.Did beforeDid,
            String after,
            Replay.Did afterDid,
            boolean better,
            boolean worse) {
        static ReplayedPlace of(Replay.Difference d) {
            return new ReplayedPlace(
                    d.what(),
                    d.page(),
                    d.field(),
                    d.confirmed(),
                    d.before().text(),
                    d.before().did(),
                    d.after().text(),
                    d.after().did(),
                    d.better(),
                    d.worse());
        }
    }

    /** @param seconds that the draft took, @param secondsBefore that the saved version took */
    public record ReplayedBatch(
            String batch,
            List<ReplayedTally> compared,
            List<ReplayedPlace> places,
            double seconds,
            double secondsBefore) {
        public long better() {
            return places.stream().filter(ReplayedPlace::better).count();
        }

        public long worse() {
            return places.stream().filter(ReplayedPlace::worse).count();
        }
    }

    /** @throws RuntimeException when the batch is not filed, or the draft is no stream */
    public ReplayedBatch of(String json, String batchNo) {
        Batch batch = batches.get(batchNo);
        if (!batch.filed()) {
            throw Problem.NOT_FILED_YET.with(batchNo);
        }
        StreamDefinition drafted = streams.parsed(json);
        List<Replay.Confirmed> confirmed = Replay.Confirmed.of(batches.view(batch, true));
        Optional<StreamDefinition> saved = streams.inForce(batch.stream().name());
        // What is read for the first time takes longer than again, whichever of the two comes first.
        saved.ifPresent(s -> batches.indexedBy(s, batch));
        batches.indexedBy(drafted, batch);
        Timed after = timed(drafted, batch);
        Optional<Timed> before = saved.map(s -> timed(s, batch));
        Replay replay = before.map(b -> Replay.of(confirmed, b.view(), after.view()))
                .orElseGet(() -> Replay.of(confirmed, after.view()));
        return new ReplayedBatch(
                batchNo,
                Arrays.stream(Replay.What.values())
                        .map(what -> new ReplayedTally(
                                what,
                                replay.before().getOrDefault(what, Replay.Tally.NONE),
                                replay.after().getOrDefault(what, Replay.Tally.NONE)))
                        .toList(),
                replay.differences().stream().map(ReplayedPlace::of).toList(),
                after.seconds(),
                before.map(Timed::seconds).orElse(0.0));
    }

    private record Timed(BatchView view, double seconds) {}

    private Timed timed(StreamDefinition stream, Batch batch) {
        long from = System.nanoTime();
        BatchView view = batches.indexedBy(stream, batch);
        return new Timed(view, (System.nanoTime() - from) / 1e9);
    }
}
