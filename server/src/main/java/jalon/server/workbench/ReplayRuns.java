package jalon.server.workbench;

import jalon.core.page.Sha256;
import jalon.server.NotPossible;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.batch.StreamReplay;
import jalon.server.batch.WorkQueue;
import jalon.server.stream.StreamLibrary;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Drafts held against batches that people confirmed, as work of the lowest priority: one batch after the other, whether anybody
 * looks or not. A stream has one at a time; a new one takes the place of the one before.
 */
@Service
public class ReplayRuns {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final int MOST = 200;

    private final WorkbenchRows rows;
    private final Batches batches;
    private final StreamReplay replay;
    private final StreamLibrary library;
    private final WorkQueue work;
    private final Times times;

    ReplayRuns(
            WorkbenchRows rows,
            Batches batches,
            StreamReplay replay,
            StreamLibrary library,
            WorkQueue work,
            Times times) {
        this.batches = batches;
        this.rows = rows;
        this.replay = replay;
        this.library = library;
        this.work = work;
        this.times = times;
    }

    /** As it is stored. @param batches their ids, as JSON */
    record Row(
            String stream,
            int no,
            String definition,
            String draftHash,
            String batches,
            int erased,
            String trouble,
            Instant endedAt) {
        List<Long> ids() {
            return List.of(JSON.readValue(batches, Long[].class));
        }
    }

    /**
     * How far it is.
     *
     * @param definition that is held against them
     * @param of how many batches, @param erased how many more were filed of which pages are erased
     * @param done the batches that it has been held against so far
     * @param running whether it goes on
     * @param trouble why it does not, or null
     */
    public record Progress(
            String definition,
            int of,
            int erased,
            List<StreamReplay.ReplayedBatch> done,
            boolean running,
            String trouble) {}

    /**
     * Begins one.
     *
     * @param days filed in the last so many; 0 for ever
     * @param most so many batches at most, and never more than 200
     */
    @Transactional
    public Progress begin(String stream, String json, int days, int most, String by) {
        library.parsed(json);
        StreamReplay.ConfirmedBatches confirmed = batches(stream, days, most);
        List<Long> ids = confirmed.batches().stream()
                .map(b -> batches.get(b.batch()).id())
                .toList();
        int no = rows.run(stream).map(Row::no).orElse(0) + 1;
        String hash = Sha256.of(json);
        rows.forgetRun(stream);
        rows.forgetReplays(stream, hash);
        rows.addRun(stream, no, json, hash, JSON.writeValueAsString(ids), confirmed.erased(), by, times.now());
        next(stream, no, ids.isEmpty());
        return of(stream).orElseThrow();
    }

    /** Numbers of the batches that one would be held against. */
    public List<String> confirmed(String stream, int days, int most) {
        return batches(stream, days, most).batches().stream()
                .map(StreamReplay.ConfirmedBatch::batch)
                .toList();
    }

    private StreamReplay.ConfirmedBatches batches(String stream, int days, int most) {
        Instant since = days <= 0 ? Instant.EPOCH : times.now().minus(Duration.ofDays(days));
        return replay.confirmed(stream, since, Math.max(1, Math.min(MOST, most)));
    }

    private void next(String stream, int no, boolean over) {
        if (over) {
            rows.endRun(stream, no, null, times.now());
        } else {
            work.replay(stream, no);
        }
    }

    /** How far the last one is; empty where none was asked for. */
    public Optional<Progress> of(String stream) {
        return rows.run(stream).map(run -> {
            List<StreamReplay.ReplayedBatch> done = new ArrayList<>();
            for (String result : rows.results(stream, run.draftHash())) {
                done.add(JSON.readValue(result, StreamReplay.ReplayedBatch.class));
            }
            return new Progress(
                    run.definition(), run.ids().size(), run.erased(), done, run.endedAt() == null, run.trouble());
        });
    }

    /** It goes no further; what it found stays. */
    @Transactional
    public void stop(String stream) {
        rows.run(stream).ifPresent(run -> rows.endRun(stream, run.no(), null, times.now()));
    }

    /** Holds it against the next batch. Not in one transaction: each batch that is done is done. @param no of the asking */
    public void carryOn(String stream, int no) {
        Optional<Row> its = rows.run(stream).filter(run -> run.no() == no && run.endedAt() == null);
        if (its.isEmpty()) {
            return;
        }
        Row run = its.get();
        List<Long> done = rows.replayedBatches(stream, run.draftHash());
        Optional<Long> next =
                run.ids().stream().filter(id -> !done.contains(id)).findFirst();
        if (next.isEmpty()) {
            rows.endRun(stream, no, null, times.now());
            return;
        }
        try {
            StreamReplay.ReplayedBatch found = replay.of(run.definition(), Batch.no(next.get()));
            rows.replayed(
                    stream,
                    run.draftHash(),
                    next.get(),
                    found.better(),
                    found.worse(),
                    JSON.writeValueAsString(found),
                    times.now());
            next(stream, no, done.size() + 1 == run.ids().size());
        } catch (NotPossible e) {
            rows.endRun(stream, no, e.getMessage(), times.now());
        }
    }
}
