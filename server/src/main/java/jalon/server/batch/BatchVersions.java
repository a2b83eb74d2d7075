package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.run.Replay;
import jalon.core.stream.StreamChanges;
import jalon.server.Problem;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Running batches keep the version of their stream that they came in by; one can be moved to the newest. */
@Service
public class BatchVersions {
    private final BatchRows rows;
    private final Batches batches;
    private final Decisions decisions;
    private final StreamLibrary streams;
    private final SamplePages pages;
    private final ActivityLog log;
    private final Events events;

    BatchVersions(
            BatchRows rows,
            Batches batches,
            Decisions decisions,
            StreamLibrary streams,
            SamplePages pages,
            ActivityLog log,
            Events events) {
        this.rows = rows;
        this.batches = batches;
        this.decisions = decisions;
        this.streams = streams;
        this.pages = pages;
        this.log = log;
        this.events = events;
    }

    /**
     * What the newest version would make of a batch.
     *
     * @param version that it goes by now, @param newest that there is; the same where it goes by the newest
     * @param says what the newest says otherwise
     * @param documents and @param doubts as they are now, @param documentsThen and @param doubtsThen as they would be; what people
     *     decided stays decided
     * @param values that are now, and would be another or none, or the other way round
     * @param readAgain whether its pages are read again first, which takes as long as it took before
     */
    public record NewerVersion(
            int version,
            int newest,
            List<StreamChanges.Change> says,
            int documents,
            int documentsThen,
            long doubts,
            long doubtsThen,
            int values,
            boolean readAgain) {}

    public NewerVersion newer(String no) {
        Batch batch = batches.get(no);
        String stream = batch.stream().name();
        int version = batch.stream().version();
        int newest = streams.newest(stream);
        BatchView now = batches.view(batch, true);
        BatchView then = version == newest ? now : batches.viewBy(streams.definition(stream, newest), batch);
        return new NewerVersion(
                version,
                newest,
                StreamChanges.between(streams.json(stream, version), streams.json(stream, newest)),
                now.documents().size(),
                then.documents().size(),
                now.cutDoubts() + now.fieldDoubts(),
                then.cutDoubts() + then.fieldDoubts(),
                otherValues(now, then),
                !batches.stream(batch).readsAs(streams.definition(stream, newest)));
    }

    private static int otherValues(BatchView now, BatchView then) {
        return (int) Replay.of(Replay.Confirmed.of(now), then).differences().stream()
                .filter(d -> d.what() == Replay.What.VALUE
                        && !Objects.equals(d.confirmed(), d.after().text()))
                .count();
    }

    /**
     * Has a batch go on by the newest version. What people decided stays; its pages are read again where that reads otherwise.
     *
     * @throws RuntimeException {@link Problem#VERSION_CAME} when another version has become the newest than who asks has seen
     */
    @Transactional
    public void move(String no, int to, String who) {
        Batch batch = decisions.changeable(no, who);
        String stream = batch.stream().name();
        int newest = streams.newest(stream);
        if (to != newest) {
            throw Problem.VERSION_CAME.with(newest);
        }
        if (batch.stream().version() == newest) {
            return;
        }
        boolean again = !batches.stream(batch).readsAs(streams.definition(stream, newest));
        rows.useStream(batch.id(), newest);
        rows.acted(batch.id());
        if (again) {
            pages.readAgain(batch);
        }
        log.add(who, batch.id(), Act.USED_VERSION.with(batch.stream().version(), newest));
        events.changed(no);
    }
}
