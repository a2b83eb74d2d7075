package jalon.server.archive;

import jalon.find.Answer;
import jalon.find.Search;
import jalon.find.SearchIndex;
import jalon.find.Searchable;
import jalon.find.Seen;
import jalon.server.JalonSettings;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.lucene.store.LockObtainFailedException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * This server's search index, which follows the archive in the database. Every server has one of its own; one that is lost
 * is made anew.
 */
@Component
public class ArchiveIndex implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ArchiveIndex.class);
    private static final int PAUSE_MS = 2000;
    private static final int AT_ONCE = 200;

    /** Changes are kept on disk after so many, and when there are none. */
    private static final int KEPT_AFTER = 5000;

    /** After this a change with a lower number can no longer come. */
    private static final Duration SETTLED = Duration.ofMinutes(10);

    /** Writing a large index anew takes a while: what is erased meanwhile goes together. */
    private static final Duration BETWEEN_PURGES = Duration.ofHours(1);

    private final ArchiveRows rows;
    private final StreamLibrary streams;
    private final Times times;
    private final Path folder;
    private final boolean wanted;

    /** Taken in, but one with a lower number may still come; by number. */
    private final Map<Long, Instant> unsettled = new TreeMap<>();

    private SearchIndex index;
    private long settled;
    private int unkept;
    private Instant nextPurge = Instant.MIN;
    private volatile long behind;
    private ScheduledExecutorService clock;

    ArchiveIndex(ArchiveRows rows, StreamLibrary streams, Times times, JalonSettings settings) {
        this.rows = rows;
        this.streams = streams;
        this.times = times;
        this.folder = settings.dataFolder().resolve("search");
        this.wanted = settings.roles().contains("web");
    }

    /** What matches, with all that was filed until now unless very much of it is new. */
    public Answer search(Search search) {
        try {
            takeInSome();
        } catch (RuntimeException e) {
            LOG.warn("what was filed last may not be found: {}", e.toString());
        }
        return asked(() -> index.search(search));
    }

    /** What a search takes instead where nothing matches. */
    public List<Answer.Near> near(Search search) {
        return asked(() -> index.near(search));
    }

    /** Values that exist and begin so. */
    public List<Answer.Known> known(List<String> fields, String beginning, Seen seen, int most) {
        return asked(() -> index.known(fields, beginning, seen, most));
    }

    /** How many documents somebody may see. */
    public int size(Seen seen) {
        return asked(() -> index.size(seen));
    }

    /** Names of fields that can be asked for. */
    public List<String> fields() {
        return asked(() -> index.fields());
    }

    private interface Asking<T> {
        T ask() throws IOException;
    }

    private static <T> T asked(Asking<T> asking) {
        try {
            return asking.ask();
        } catch (IOException e) {
            throw new UncheckedIOException("the search index could not be read", e);
        }
    }

    /** How many documents are not taken in yet. */
    public long behind() {
        return behind;
    }

    /** @return whether there is more */
    private synchronized boolean takeInSome() {
        Instant now = times.now();
        List<ArchiveRows.Change> changes = rows.changes(settled, AT_ONCE + unsettled.size()).stream()
                .filter(c -> !unsettled.containsKey(c.id()))
                .limit(AT_ONCE)
                .toList();
        try {
            if (!changes.isEmpty()) {
                takeIn(changes.stream()
                        .map(ArchiveRows.Change::documentId)
                        .distinct()
                        .toList());
                changes.forEach(c -> unsettled.put(c.id(), c.at()));
                unkept += changes.size();
            }
            settle(now.minus(SETTLED));
            boolean more = changes.size() == AT_ONCE;
            behind = more ? rows.changesAfter(changes.get(AT_ONCE - 1).id()) : 0;
            if (unkept >= KEPT_AFTER || unkept > 0 && !more) {
                index.keep(settled);
                unkept = 0;
            }
            return more;
        } catch (IOException e) {
            throw new UncheckedIOException("the search index in " + folder + " could not be written", e);
        }
    }

    /** What is erased is gone from the index's files within the hour. */
    private void purge() {
        Instant now = times.now();
        if (!index.isToBePurged() || now.isBefore(nextPurge)) {
            return;
        }
        try {
            index.purge(settled);
            nextPurge = now.plus(BETWEEN_PURGES);
        } catch (IOException e) {
            throw new UncheckedIOException("the search index in " + folder + " could not be written anew", e);
        }
    }

    private void settle(Instant before) {
        for (Iterator<Map.Entry<Long, Instant>> all = unsettled.entrySet().iterator(); all.hasNext(); ) {
            Map.Entry<Long, Instant> change = all.next();
            if (!change.getValue().isBefore(before)) {
                return;
            }
            settled = change.getKey();
            all.remove();
        }
    }

    private void takeIn(List<Long> ids) throws IOException {
        Map<Long, Searchable> found = new HashMap<>();
        Map<Long, Map<String, String>> fields = new HashMap<>();
        rows.fieldsOf(ids)
                .forEach(f -> fields.computeIfAbsent(f.documentId(), d -> new LinkedHashMap<>())
                        .put(f.name(), f.value()));
        Map<Long, List<ArchiveRows.PageText>> pages = ArchiveRows.byDocument(rows.texts(ids));
        Map<String, Searchable.Kind> kinds = kinds();
        var confidential = new Confidential(streams);
        for (ArchiveRows.DocumentRow d : rows.byIds(ids)) {
            var of = new Searchable.Kind(
                    d.kind().stream(),
                    d.kind().stream(),
                    d.kind().type(),
                    d.kind().type());
            found.put(
                    d.id(),
                    new Searchable(
                            d.id(),
                            kinds.getOrDefault(of.key(), of),
                            Batch.no(d.batchId()),
                            d.filed().by(),
                            d.filed().at(),
                            fields.getOrDefault(d.id(), Map.of()),
                            pages.getOrDefault(d.id(), List.of()).stream()
                                    .map(ArchiveRows.PageText::words)
                                    .toList(),
                            confidential.fields(d.kind().stream(), d.kind().type())));
        }
        for (long id : ids) {
            if (found.containsKey(id)) {
                index.put(found.get(id));
            } else {
                index.erase(id);
            }
        }
        index.refresh();
    }

    /** As streams and types are called now, by key. */
    private Map<String, Searchable.Kind> kinds() {
        Map<String, Searchable.Kind> kinds = new HashMap<>();
        for (StreamLibrary.Listed s : streams.current()) {
            streams.usable(s.name(), s.version())
                    .ifPresent(stream -> stream.types().forEach(type -> {
                        var kind = new Searchable.Kind(s.name(), s.title(), type.type(), type.title());
                        kinds.put(kind.key(), kind);
                    }));
        }
        return kinds;
    }

    private void follow() {
        try {
            while (takeInSome() && !Thread.currentThread().isInterrupted()) {
                LOG.debug("{} documents to be taken in", behind);
            }
            purge();
        } catch (RuntimeException e) {
            LOG.warn("what was filed was not taken into the search index and will be: {}", e.toString());
        }
    }

    /** Servers that share a folder for data have an index each: the first that nobody has open. */
    private static SearchIndex open(Path folder, Times times) {
        for (int n = 1; ; n++) {
            try {
                return SearchIndex.open(
                        folder.resolve(Integer.toString(n)), times.clock().getZone());
            } catch (LockObtainFailedException e) {
                LOG.debug("index {} is another server's", n);
            } catch (IOException e) {
                throw new UncheckedIOException("the search index in " + folder + " cannot be opened", e);
            }
        }
    }

    @Override
    public void start() {
        if (!wanted) {
            return;
        }
        index = open(folder, times);
        settled = index.position();
        unsettled.clear();
        clock = Executors.newSingleThreadScheduledExecutor(r -> {
            Thread t = new Thread(r, "search index");
            t.setDaemon(true);
            return t;
        });
        clock.scheduleWithFixedDelay(this::follow, 0, PAUSE_MS, TimeUnit.MILLISECONDS);
    }

    @Override
    public void stop() {
        if (index == null) {
            return;
        }
        clock.shutdownNow();
        synchronized (this) {
            try {
                index.close();
            } catch (IOException e) {
                LOG.warn("the search index was not closed: {}", e.toString());
            }
            index = null;
        }
    }

    @Override
    public boolean isRunning() {
        return index != null;
    }
}
