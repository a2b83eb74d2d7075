package jalon.core.apart;

import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
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

    Tools(Teller teller) {
        this.teller = teller;
    }

    /** @param filePage from 1 */
    Scan decoded(Path file, int filePage) throws IOException, UnreadableFile {
        Scan scan = files.scan(file, filePage - 1);
        teller.decoded((long) scan.image().getWidth() * scan.image().getHeight());
        return scan;
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
        files.close();
    }
}
