package jalon.server.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.image.Repair;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadZone;
import jalon.core.run.ReceivedFiles;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.server.store.FileStore;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;

/** Reads zones again from stored images; what was read is kept, since the same doubt is looked at many times. */
@Component
public class PageZones {
    private record Key(
            String language, String sha256, int filePage, int rotation, List<Repair> readThrough, Box zone) {}

    private final FileStore store;
    private final TextReaders readers;
    private final Cache<Key, List<Word>> known =
            Caffeine.newBuilder().maximumSize(50_000).build();

    PageZones(FileStore store, TextReaders readers) {
        this.store = store;
        this.readers = readers;
    }

    /** @param language reading models of the stream */
    public ZoneReader in(String language) {
        return (page, zone) -> read(language, page, zone);
    }

    private List<Word> read(String language, PageFacts page, Box zone) {
        var key = new Key(
                language,
                page.sha256(),
                page.filePage(),
                page.image().rotation(),
                page.image().readThrough(),
                zone);
        return known.get(key, k -> readNow(language, page, zone));
    }

    private List<Word> readNow(String language, PageFacts page, Box zone) {
        try (var files = new ReceivedFiles(p -> store.path(p.sha256()));
                TextReader reader = readers.borrow(language)) {
            return ReadZone.read(files.scan(page), page, zone, reader);
        } catch (IOException | UnreadableFile e) {
            // The page was read before; what was read then has to do.
            return List.of();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return List.of();
        }
    }
}
