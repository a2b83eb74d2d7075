package jalon.server.scan;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.words.Words;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Trouble;
import jalon.server.batch.PageInsertion;
import jalon.server.batch.Receiving;
import jalon.server.batch.Side;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One stack on its way from a scanner into a batch. A sheet is complete when all its sides are stored. After a fault the
 * sides of the sheet that was not complete are set aside, and going on begins with that sheet: none is lost, none twice.
 */
public final class Scan {
    private static final Logger LOG = LoggerFactory.getLogger(Scan.class);
    private static final Duration NOT_READY = Duration.ofSeconds(60);
    private static final long PAUSE_MS = 300;
    private static final int MOST_PAGES = 5_000;

    private final Order order;
    private final EsclDevice device;
    private final Receiving receiving;
    private final PageInsertion insertion;
    private final Book book;
    private volatile Standing standing;
    private volatile Trouble trouble;
    private volatile boolean stopping;
    private volatile int pages;
    private volatile int sheets;
    private volatile Integer half;
    private boolean replaced;

    /**
     * What was asked for.
     *
     * @param no of the batch
     * @param scanner by name
     * @param place where the sheets come to stand in a batch that was complete before, or null
     */
    record Order(String no, String scanner, ScanSettings settings, String who, PageInsertion.Place place) {}

    /** Where it is written down how it stands with a stack. */
    interface Book {
        void write(Standing standing, Trouble trouble);

        /** Whether this server still has it: one that gave no sign for too long is taken for stopped. */
        boolean isOurs();
    }

    /** A stack that has not begun, or stopped as it is said here. */
    Scan(Order order, EsclDevice device, Receiving receiving, PageInsertion insertion, Book book, State before) {
        this.order = order;
        this.device = device;
        this.receiving = receiving;
        this.insertion = insertion;
        this.book = book;
        this.standing = before.standing();
        this.trouble = before.trouble();
        this.pages = before.stored().pages();
        this.sheets = before.stored().sheets();
        this.replaced = pages > 0;
    }

    /** How it stands with a stack. */
    public enum Standing {
        scanning,
        empty,
        stopped,
        fault
    }

    /**
     * @param trouble what happened and what to do, or null while all is well
     * @param added whether the sheets go into a batch that was complete before
     */
    public record State(
            String no,
            String scanner,
            Standing standing,
            @JsonUnwrapped Stored stored,
            Trouble trouble,
            ScanSettings settings,
            boolean added) {}

    /** @param pages images that are stored, @param sheets complete sheets */
    public record Stored(int pages, int sheets) {}

    State state() {
        return new State(
                order.no(),
                order.scanner(),
                standing,
                new Stored(pages, sheets),
                trouble,
                order.settings(),
                order.place() != null);
    }

    private void stands(Standing now, Trouble because) {
        trouble = because;
        book.write(now, because);
        standing = now;
    }

    boolean running() {
        return standing == Standing.scanning;
    }

    void stop() {
        stopping = true;
    }

    Runnable again() {
        stands(Standing.scanning, null);
        stopping = false;
        return this::run;
    }

    void run() {
        URI job = null;
        try {
            job = device.start(order.settings());
            fetchAll(job);
        } catch (ScanFault e) {
            fault(e.what());
        } catch (NotPossible e) {
            fault(e);
        } catch (IOException | RuntimeException e) {
            LOG.error("scan for {}", order.no(), e);
            fault(Problem.SCAN_BROKE.with());
        } finally {
            if (job != null && standing != Standing.empty) {
                device.cancel(job);
            }
        }
    }

    private void fetchAll(URI job) throws ScanFault, IOException {
        Instant quietSince = Instant.now();
        int fetched = 0;
        int sides = order.settings().sides();
        while (true) {
            if (stopping && half == null) {
                stands(Standing.stopped, Problem.SCAN_STOPPED.with(sheets).trouble());
                return;
            }
            Path page = Files.createTempFile("jalon-scan-", ".page");
            try {
                int answer = device.next(job, page);
                if (!book.isOurs()) {
                    // Another server has told people to go on; what comes now is fed again there.
                    half = null;
                    return;
                }
                if (answer == 200) {
                    if (++fetched > MOST_PAGES) {
                        throw new ScanFault(Problem.SCANNER_NO_END.with());
                    }
                    store(page, sides);
                    quietSince = Instant.now();
                    continue;
                }
                if (answer == 503 && Instant.now().isBefore(quietSince.plus(NOT_READY)) && !jammed()) {
                    Thread.sleep(PAUSE_MS);
                    continue;
                }
                ended(answer, fetched);
                return;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new ScanFault(Problem.STOPPING.with());
            } finally {
                Files.deleteIfExists(page);
            }
        }
    }

    private void store(Path page, int sides) throws IOException, ScanFault {
        if (cutShort(page)) {
            throw new ScanFault(Problem.SCANNED_PAGE_CUT_SHORT.with());
        }
        Side side = half == null ? Side.FRONT : Side.BACK;
        int sheet = half == null ? receiving.nextSheet(order.no()) : half;
        var where = new Receiving.Sheet(sheet, side);
        String name = String.format(Locale.ROOT, "sheet-%03d-%s", sheet, Words.name(side));
        Receiving.Received received;
        try (InputStream in = Files.newInputStream(page)) {
            received = order.place() == null
                    ? receiving.add(order.no(), name, in, null, where)
                    : insertion.insert(order.no(), name, in, placeNow(), where, order.who());
        }
        if (received.rejected() != null) {
            throw new ScanFault(
                    Problem.SCANNED_PAGE_UNREADABLE.with(received.rejected().words()));
        }
        replaced = true;
        pages++;
        half = sides == 2 && half == null ? Integer.valueOf(sheet) : null;
        if (half == null) {
            sheets++;
        }
    }

    /** Only the first page takes a place or fills a gap; what follows stands behind it. */
    private PageInsertion.Place placeNow() {
        return replaced ? new PageInsertion.Place(order.place().before(), null, null) : order.place();
    }

    /** A JPEG ends with its end mark (ITU-T T.81); a connection that broke leaves one without. */
    private static boolean cutShort(Path page) throws IOException {
        try (var file = new RandomAccessFile(page.toFile(), "r")) {
            if (file.length() < 4) {
                return true;
            }
            boolean jpeg = file.readUnsignedByte() == 0xFF && file.readUnsignedByte() == 0xD8;
            file.seek(file.length() - 2);
            return jpeg && (file.readUnsignedByte() != 0xFF || file.readUnsignedByte() != 0xD9);
        }
    }

    private boolean jammed() throws ScanFault {
        return trouble(device.status().feeder()).isPresent();
    }

    private static Optional<Problem> trouble(String feeder) {
        return Optional.ofNullable(
                switch (feeder) {
                    case "ScannerAdfJam", "ScannerAdfMispick" -> Problem.SCANNER_JAM;
                    case "ScannerAdfMultipickDetected" -> Problem.SCANNER_DOUBLE_FEED;
                    case "ScannerAdfHatchOpen" -> Problem.SCANNER_COVER_OPEN;
                    default -> null;
                });
    }

    private void ended(int answer, int fetched) throws ScanFault {
        Optional<Problem> fault = trouble(device.status().feeder());
        if (fault.isPresent()) {
            throw new ScanFault(fault.get().with());
        }
        if (answer != 404 && answer != 410) {
            throw new ScanFault(Problem.SCANNER_STOPPED.with(answer));
        }
        if (half != null) {
            throw new ScanFault(Problem.SCANNER_HALF_SHEET.with());
        }
        stands(Standing.empty, fetched == 0 ? Problem.FEEDER_EMPTY.with().trouble() : null);
    }

    private void fault(NotPossible what) {
        if (half != null) {
            insertion.setHalfAside(order.no(), half);
            pages--;
            half = null;
        }
        stands(Standing.fault, what.trouble());
    }
}
