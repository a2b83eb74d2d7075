package jalon.server.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.ReadOneZone;
import jalon.core.apart.WorkFailed;
import jalon.core.image.Repair;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Sha256;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.text.Model;
import jalon.server.Times;
import jalon.server.store.FileStore;
import java.time.Duration;
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

    private record Key(
            String language,
            Model model,
            String sha256,
            int filePage,
            int rotation,
            List<Repair> readThrough,
            Box zone) {
        String id() {
            return Sha256.of(toString());
        }
    }

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final FileStore store;
    private final PageWorkers quickWork;
    private final ZoneRows rows;
    private final Times times;
    private final Cache<Key, List<Word>> known =
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
            var key = new Key(
                    language,
                    model,
                    page.sha256(),
                    page.filePage(),
                    page.image().rotation(),
                    page.image().readThrough(),
                    zone);
            List<Word> words = known.getIfPresent(key);
            if (words == null) {
                words = kept(key);
            }
            if (words == null && failed.getIfPresent(key) == null) {
                words = readNow(key, page, zone);
            }
            if (words == null) {
                // What the page was read as the first time has to do, this time.
                missed.incrementAndGet();
                return List.of();
            }
            return words;
        }
    }

    /** @param language reading models of the stream */
    public Reading in(String language) {
        return new Reading(language);
    }

    private List<Word> kept(Key key) {
        String json = rows.find(key.id());
        if (json == null) {
            return null;
        }
        List<Word> words = List.of(JSON.readValue(json, Word[].class));
        known.put(key, words);
        return words;
    }

    private List<Word> readNow(Key key, PageFacts page, Box zone) {
        try {
            var work = new ReadOneZone(store.path(page.sha256()), page, zone, key.language(), key.model());
            List<Word> words = quickWork.insist(work).words();
            known.put(key, words);
            rows.put(key.id(), JSON.writeValueAsString(words), times.now());
            return words;
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
