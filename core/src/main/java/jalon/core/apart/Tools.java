package jalon.core.apart;

import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadZone;
import jalon.core.run.ReceivedFiles;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;

/** What a worker keeps at hand between one piece of work and the next: the open file, the last page, engines. */
final class Tools {
    /** Tells the other process how large a page is that was decoded just now. */
    @FunctionalInterface
    interface Teller {
        void decoded(long pixels) throws IOException;
    }

    private final Teller teller;
    private final ReceivedFiles files = new ReceivedFiles(p -> null);
    private final Map<String, TextReader> readers = new HashMap<>();

    /** The page last decoded, and its zones where they were asked for. */
    private At at;

    private ReadZone zones;

    private record At(Path file, int filePage) {}

    Tools(Teller teller) {
        this.teller = teller;
    }

    /** @param filePage from 1 */
    Scan decoded(Path file, int filePage) throws IOException, UnreadableFile {
        var next = new At(file, filePage);
        if (!next.equals(at)) {
            // Before the next page is decoded: two of them may be more than there is memory for.
            zones = null;
            at = next;
        }
        Scan scan = files.scan(file, filePage - 1);
        teller.decoded((long) scan.image().getWidth() * scan.image().getHeight());
        return scan;
    }

    ReadZone zones(Path file, PageFacts page) throws IOException, UnreadableFile {
        Scan scan = decoded(file, page.filePage());
        if (zones == null || !zones.isFor(page)) {
            zones = new ReadZone(scan, page);
        }
        return zones;
    }

    /** Something that reading needs is missing; the message says what, and how to get it. */
    static final class NotInstalled extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotInstalled(IllegalStateException cause) {
            super(cause.getMessage(), cause);
        }
    }

    TextReader reader(String language) {
        return readers.computeIfAbsent(language, l -> {
            try {
                return TesseractReader.open(l);
            } catch (IllegalStateException e) {
                throw new NotInstalled(e);
            }
        });
    }

    /** A file that made trouble is opened anew the next time. */
    void letGo() throws IOException {
        zones = null;
        files.close();
    }
}
