package jalon.server.batch;

import jalon.core.run.BatchView;
import jalon.core.run.Decision;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.server.Problem;
import jalon.server.learning.Lessons;
import jalon.server.learning.Samples;
import jalon.server.live.Events;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people say of samples: that a document is one of a type that there is, or of a new one, or that it is none. */
@Service
public class TypeTeaching {
    private static final int LONGEST_TITLE = 80;

    private final BatchRows rows;
    private final Batches batches;
    private final Decisions decisions;
    private final StreamLibrary streams;
    private final Samples samples;
    private final Lessons lessons;
    private final WorkQueue work;
    private final ActivityLog log;
    private final Events events;

    TypeTeaching(
            BatchRows rows,
            Batches batches,
            Decisions decisions,
            StreamLibrary streams,
            Samples samples,
            Lessons lessons,
            WorkQueue work,
            ActivityLog log,
            Events events) {
        this.rows = rows;
        this.batches = batches;
        this.decisions = decisions;
        this.streams = streams;
        this.samples = samples;
        this.lessons = lessons;
        this.work = work;
        this.log = log;
        this.events = events;
    }

    /** The document of this page is of this type; the batch is recognised by what that teaches as soon as it is learned. */
    @Transactional
    public void teach(String no, int page, String type, Asked asked) {
        Batch batch = rows.locked(no);
        if (batches.stream(batch).type(type).isEmpty()) {
            throw Problem.NO_SUCH_TYPE.with(type);
        }
        if (decisions.begins(batch, asked)) {
            teach(batch, document(batch, page), type, asked.who());
        }
    }

    /**
     * The same of a type that the stream gets with this.
     *
     * @param like the type whose fields it gets, or null
     */
    @Transactional
    public void teachNew(String no, int page, String title, String like, Asked asked) {
        Batch batch = rows.locked(no);
        if (decisions.begins(batch, asked)) {
            BatchView.DocumentView document = document(batch, page);
            teach(batch, document, newType(batch, title, like, asked.who()), asked.who());
        }
    }

    /** What a person says about a sample; what that changes is learned. */
    @Transactional
    public void say(String stream, long sample, Samples.Say what, String who) {
        if (samples.say(stream, sample, what, who)) {
            work.learn(stream);
        }
    }

    private BatchView.DocumentView document(Batch batch, int page) {
        return batches.view(batch, false).documents().stream()
                .filter(d -> d.pages().contains(page))
                .findFirst()
                .orElseThrow(() -> Problem.NOT_A_DOCUMENT.with(page));
    }

    private void teach(Batch batch, BatchView.DocumentView document, String type, String who) {
        int first = document.pages().get(0);
        decisions.write(batch, List.of(new Decision.NameType(first, type)), who);
        String stream = batch.stream().name();
        samples.add(stream, type, null, batch.id(), document, batches.facts(batch), who);
        log.add(who, batch.id(), Act.TAUGHT_TYPE.with(type, first));
        work.learn(stream, batch.id());
    }

    /** A new version of the stream has it, and this batch goes on with that. */
    private String newType(Batch batch, String called, String like, String who) {
        String title = called == null ? "" : called.strip();
        if (title.isEmpty() || title.length() > LONGEST_TITLE) {
            throw Problem.TYPE_NEEDS_NAME.with();
        }
        String stream = batch.stream().name();
        int newest = streams.newest(stream);
        if (batch.stream().version() != newest) {
            // With the new type it would get all else that was changed since, and its cut would move.
            throw Problem.STREAM_WENT_ON.with(batch.no(), batch.stream().version(), newest);
        }
        String type = Streams.nameOf(title);
        StreamDefinition now = streams.definition(stream, newest);
        if (now.type(type).isPresent()) {
            throw Problem.TYPE_IS_THERE.with(title);
        }
        if (like != null && now.type(like).isEmpty()) {
            throw Problem.NO_SUCH_TYPE.with(like);
        }
        int version = streams.save(Streams.withType(streams.json(stream, newest), type, title, like), who)
                .version();
        rows.useStream(batch.id(), version);
        return type;
    }

    /** The batch that taught is recognised by what was learned. */
    @Transactional
    public void adopt(long batchId) {
        Batch batch = rows.lock(batchId).orElseThrow();
        if (!batch.filed()) {
            rows.useLesson(batchId, lessons.newest(batch.stream().name()));
            events.changed(batch.no());
        }
    }
}
