package jalon.server.stream;

import jalon.core.stream.Starter;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.people.People;
import jalon.server.people.Person;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Streams being made or changed: each has one draft, which is kept as it is, and the pages it is tried on. */
@Service
public class StreamDrafts {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What its samples are read by as long as a draft is no stream and no version is there. */
    private static final StreamDefinition NO_STREAM_YET = new StreamDefinition(
            "", "", null, null, null, null, List.of(DocumentType.of("paper", "Paper", List.of())), null, null);

    private final DraftRows rows;
    private final StreamLibrary library;
    private final People people;
    private final Times times;

    StreamDrafts(DraftRows rows, StreamLibrary library, People people, Times times) {
        this.rows = rows;
        this.library = library;
        this.people = people;
        this.times = times;
    }

    /**
     * @param definition as it was typed; it need not be a stream yet
     * @param baseVersion the version that it changes; 0 for a stream that has none yet
     * @param revision of the draft; 0 for one that nobody has kept yet
     * @param keptBy who changed it last, by name, or null
     */
    public record Draft(
            String stream,
            String title,
            String definition,
            int baseVersion,
            int revision,
            String keptBy,
            Instant keptAt) {}

    /** The draft, or the newest version where nobody has begun to change it. */
    public Draft of(String stream) {
        return rows.find(stream).map(this::named).orElseGet(() -> {
            int newest = library.newest(stream);
            String json = library.json(stream, newest);
            return new Draft(stream, library.definition(stream, newest).title(), json, newest, 0, null, null);
        });
    }

    private Draft named(Draft d) {
        String name = people.find(d.keptBy()).map(Person::name).orElse(d.keptBy());
        return new Draft(d.stream(), d.title(), d.definition(), d.baseVersion(), d.revision(), name, d.keptAt());
    }

    /** Begins a stream that is not there yet. @param with what it begins with, filed in the archive */
    @Transactional
    public Draft begin(String title, Starter with, String by) {
        String called = StreamLibrary.title(title);
        String stream = Streams.nameOf(called);
        if (library.has(stream) || rows.find(stream).isPresent()) {
            throw Problem.STREAM_IS_THERE.with(called);
        }
        String json = with.json(stream, called);
        rows.add(new Draft(stream, called, json, 0, 1, by, times.now()));
        return of(stream);
    }

    /**
     * Keeps a draft as it stands, whether it is a stream yet or not.
     *
     * @param revision of the draft that was changed
     * @throws RuntimeException {@link Problem#DRAFT_CHANGED} when somebody else has changed it since
     */
    @Transactional
    public Draft keep(String stream, String json, int revision, String by) {
        Draft before = of(stream);
        var now = new Draft(
                stream,
                titleIn(json).orElse(before.title()),
                json,
                before.baseVersion(),
                revision + 1,
                by,
                times.now());
        if (before.revision() == 0 && revision == 0) {
            try {
                rows.add(now);
            } catch (DuplicateKeyException e) {
                throw Problem.DRAFT_CHANGED.with(of(stream).keptBy());
            }
        } else if (rows.keep(now) == 0) {
            throw Problem.DRAFT_CHANGED.with(before.keptBy());
        }
        return of(stream);
    }

    /**
     * Begins a draft with a definition from elsewhere: of a stream that is there, or of a new one.
     *
     * @throws RuntimeException {@link Problem#DRAFT_IS_THERE} when somebody is changing it already
     */
    @Transactional
    public Draft bring(String json, String by) {
        StreamDefinition definition = library.parsed(json);
        String stream = definition.stream();
        rows.find(stream).map(this::named).ifPresent(draft -> {
            throw Problem.DRAFT_IS_THERE.with(draft.title(), draft.keptBy());
        });
        int base = library.newestIfAny(stream).orElse(0);
        rows.add(new Draft(stream, definition.title(), json, base, 1, by, times.now()));
        return of(stream);
    }

    private static Optional<String> titleIn(String json) {
        try {
            return Optional.ofNullable(JSON.readTree(json).path("title").asString(null));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    /** Gives it up: the newest version is all there is. A stream that has none is gone. */
    @Transactional
    public void giveUp(String stream) {
        rows.remove(stream);
    }

    /**
     * Makes the draft the newest version of its stream.
     *
     * @param note what is said of it, or null
     * @throws RuntimeException {@link Problem#STREAM_SAVED_MEANWHILE} when another version was saved since it was begun
     */
    @Transactional
    public StreamLibrary.Listed live(String stream, int revision, String note, String by) {
        Draft draft = of(stream);
        if (draft.revision() != revision) {
            throw Problem.DRAFT_CHANGED.with(draft.keptBy());
        }
        int newest = library.newestIfAny(stream).orElse(0);
        if (newest != draft.baseVersion()) {
            throw Problem.STREAM_SAVED_MEANWHILE.with(newest, draft.baseVersion());
        }
        StreamDefinition drafted = library.parsed(draft.definition());
        if (!drafted.stream().equals(stream)) {
            throw Problem.STREAM_RENAMED.with(stream, drafted.stream());
        }
        rows.remove(stream);
        return library.save(draft.definition(), note, by);
    }

    /** Drafts of streams that have no version yet. */
    public List<Draft> begun() {
        return rows.begun().stream().map(this::named).toList();
    }

    /** The batch of pages that it is tried on; empty where there is none yet. */
    public Optional<Long> samples(String stream) {
        return rows.samples(stream);
    }

    @Transactional
    public void addSamples(String stream, long batchId) {
        rows.addSamples(stream, batchId);
    }

    /** By what the sample pages of a stream are read: as its draft says where that is a stream, else as it is now. */
    public StreamDefinition ofSamples(String stream) {
        Optional<StreamDefinition> drafted = rows.find(stream).flatMap(draft -> {
            try {
                return Optional.of(Streams.parse(draft.definition()));
            } catch (Streams.InvalidStream e) {
                return Optional.empty();
            }
        });
        // A stream that was begun and given up leaves its samples behind, which may still be being read.
        return drafted.or(() -> library.inForce(stream)).orElse(NO_STREAM_YET);
    }
}
