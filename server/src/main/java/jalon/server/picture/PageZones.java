package jalon.server.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOneZone;
import jalon.core.apart.SeeTickBoxes;
import jalon.core.apart.WorkFailed;
import jalon.core.image.Repair;
import jalon.core.image.Ticked;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Sha256;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import jalon.core.text.Model;
import jalon.server.Times;
import jalon.server.store.FileStore;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads zones again from stored images; what was read is kept, in memory and in the database, since the same value is looked
 * at many times and each reading takes longer than all the rest.
 */
@Component
public class PageZones {
    private static final Logger LOG = LoggerFactory.getLogger(PageZones.class);

    /** @param of what is looked for there */
    private record Key(String sha256, int filePage, int rotation, List<Repair> readThrough, Record of) {
        static Key of(PageFacts page, Record of) {
            var image = page.image();
            return new Key(page.sha256(), page.filePage(), image.rotation(), image.readThrough(), of);
        }

        String id() {
            return Sha256.of(toString());
        }
    }

    private record Print(String language, Model model, Box zone) {}

    private record Boxes(List<SeeTicks.Place> places) {}

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final FileStore store;
    private final PageWorkers quickWork;
    private final ZoneRows rows;
    private final Times times;
    private final Cache<Key, List<?>> known =
            Caffeine.newBuilder().maximumSize(50_000).build();

    /** Zones that failed three times are not asked for at every look, but not taken for empty either. */
    private final Cache<Key, String> failed = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    PageZones(FileStore store, PageWorkers quickWork, ZoneRows rows, Times times) {
        this.rows = rows;
        this.times = times;
        this.store = store;
        this.quickWork = quickWork;
    }

    /** Reads zones for one look at a batch, and knows afterwards whether one could not be read. */
    public final class Reading implements ZoneReader {
        private final String language;
        private final AtomicInteger missed = new AtomicInteger();

        private Reading(String language) {
            this.language = language;
        }

        /** Zones that could not be read so far: what was made without them must not be remembered. */
        public int missed() {
            return missed.get();
        }

        @Override
        public List<Word> read(PageFacts page, Box zone, Model model) {
            return looked(
                    Key.of(page, new Print(language, model, zone)),
                    page,
                    Word[].class,
                    path -> quickWork
                            .insist(new ReadOneZone(path, page, zone, language, model))
                            .words());
        }

        @Override
        public List<Ticked> ticks(PageFacts page, List<SeeTicks.Place> places) {
            return looked(
                    Key.of(page, new Boxes(places)),
                    page,
                    Ticked[].class,
                    path -> quickWork
                            .insist(new SeeTickBoxes(path, page, places))
                            .boxes());
        }

        /** What it was read as the first time has to do, this time, where nothing is known and nothing can be seen. */
        private <T> List<T> looked(Key key, PageFacts page, Class<T[]> as, Looking<T> looking) {
            List<T> found = known(key);
            if (found == null) {
                found = kept(key, as);
            }
            if (found == null && failed.getIfPresent(key) == null) {
                found = lookNow(key, page, looking);
            }
            if (found == null) {
                missed.incrementAndGet();
                return List.of();
            }
            return found;
        }
    }

    private interface Looking<T> {
        List<T> at(Path file) throws WorkFailed, UnreadableFile, InterruptedException;
    }

    /** A key is always asked for what it names. */
    @SuppressWarnings("unchecked")
    private <T> List<T> known(Key key) {
        return (List<T>) known.getIfPresent(key);
    }

    /** @param language reading models of the stream */
    public Reading in(String language) {
        return new Reading(language);
    }

    private <T> List<T> kept(Key key, Class<T[]> as) {
        String json = rows.find(key.id());
        if (json == null) {
            return null;
        }
        List<T> found = Arrays.asList(JSON.readValue(json, as));
        known.put(key, found);
        return found;
    }

    private <T> List<T> lookNow(Key key, PageFacts page, Looking<T> looking) {
        try {
            List<T> found = looking.at(store.path(page.sha256()));
            known.put(key, found);
            rows.put(key.id(), JSON.writeValueAsString(found), times.now());
            return found;
        } catch (WorkFailed | UnreadableFile e) {
            LOG.warn("a zone of page {} of {} could not be read: {}", page.filePage(), page.file(), e.getMessage());
            failed.put(key, e.getMessage());
            return null;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return null;
        }
    }
}
