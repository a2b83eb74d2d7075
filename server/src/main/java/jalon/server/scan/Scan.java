package jalon.server.scan;

import jalon.server.JsonName;
import jalon.server.NotPossible;
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

    private final String no;
    private final String scanner;
    private final EsclDevice device;
    private final ScanSettings settings;
    private final PageInsertion.Place place;
    private final Receiving receiving;
    private final PageInsertion insertion;
    private final String who;
    private volatile Standing standing = Standing.scanning;
    private volatile String message = "";
    private volatile boolean stopping;
    private volatile int pages;
    private volatile int sheets;
    private volatile Integer half;
    private boolean replaced;

    Scan(
            String no,
            String scanner,
            EsclDevice device,
            ScanSettings settings,
            PageInsertion.Place place,
            Receiving receiving,
            PageInsertion insertion,
            String who) {
        this.no = no;
        this.scanner = scanner;
        this.device = device;
        this.settings = settings;
        this.place = place;
        this.receiving = receiving;
        this.insertion = insertion;
        this.who = who;
    }

    /** How it stands with a stack. */
    public enum Standing {
        scanning,
        empty,
        stopped,
        fault
    }

    /**
     * @param pages images that are stored, @param sheets complete sheets
     * @param message what happened and what to do, empty while all is well
     * @param added whether the sheets go into a batch that was complete before
     */
    public record State(
            String no,
            String scanner,
            Standing standing,
            int pages,
            int sheets,
            String message,
            ScanSettings settings,
            boolean added) {}

    State state() {
        return new State(no, scanner, standing, pages, sheets, message, settings, place != null);
    }

    boolean running() {
        return standing == Standing.scanning;
    }

    void stop() {
        stopping = true;
    }

    Runnable again() {
        standing = Standing.scanning;
        message = "";
        stopping = false;
        return this::run;
    }

    void run() {
        URI job = null;
        try {
            job = device.start(settings);
            fetchAll(job);
        } catch (ScanFault | NotPossible e) {
            fault(e.getMessage());
        } catch (IOException | RuntimeException e) {
            LOG.error("scan for {}", no, e);
            fault("Something went wrong that Jalon did not expect; it is written in the server's log.");
        } finally {
            if (job != null && standing != Standing.empty) {
                device.cancel(job);
            }
        }
    }

    private void fetchAll(URI job) throws ScanFault, IOException {
        Instant quietSince = Instant.now();
        int fetched = 0;
        int sides = settings.duplex() && settings.source() == ScanSettings.Source.feeder ? 2 : 1;
        while (true) {
            if (stopping && half == null) {
                standing = Standing.stopped;
                message = "Stopped after sheet " + sheets + ".";
                return;
            }
            Path page = Files.createTempFile("jalon-scan-", ".page");
            try {
                int answer = device.next(job, page);
                if (answer == 200) {
                    if (++fetched > MOST_PAGES) {
                        throw new ScanFault("The scanner does not stop sending pages.");
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
                throw new ScanFault("Stopped.");
            } finally {
                Files.deleteIfExists(page);
            }
        }
    }

    private void store(Path page, int sides) throws IOException, ScanFault {
        if (cutShort(page)) {
            throw new ScanFault("the page arrived cut short");
        }
        Side side = half == null ? Side.FRONT : Side.BACK;
        int sheet = half == null ? receiving.nextSheet(no) : half;
        var where = new Receiving.Sheet(sheet, side);
        String name = String.format(Locale.ROOT, "sheet-%03d-%s", sheet, JsonName.of(side));
        Receiving.Received received;
        try (InputStream in = Files.newInputStream(page)) {
            received = place == null
                    ? receiving.add(no, name, in, null, where)
                    : insertion.insert(no, name, in, placeNow(), where, who);
        }
        if (received.rejected() != null) {
            throw new ScanFault("the page could not be read (" + received.rejected() + ")");
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
        return replaced ? new PageInsertion.Place(place.before(), null, null) : place;
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
        return !trouble(device.status().feeder()).isEmpty();
    }

    private static String trouble(String feeder) {
        return switch (feeder) {
            case "ScannerAdfJam", "ScannerAdfMispick" -> "The paper has jammed";
            case "ScannerAdfMultipickDetected" -> "The feeder took more than one sheet at once";
            case "ScannerAdfHatchOpen" -> "The scanner's cover is open";
            default -> "";
        };
    }

    private void ended(int answer, int fetched) throws ScanFault {
        String trouble = trouble(device.status().feeder());
        if (!trouble.isEmpty()) {
            throw new ScanFault(trouble);
        }
        if (answer != 404 && answer != 410) {
            throw new ScanFault("The scanner stopped answering (" + answer + ")");
        }
        if (half != null) {
            throw new ScanFault("The scanner sent only the front of the last sheet");
        }
        standing = Standing.empty;
        message = fetched == 0 ? "The feeder is empty. Put paper in and go on." : "";
    }

    private void fault(String what) {
        if (half != null) {
            insertion.setHalfAside(no, half);
            pages--;
            half = null;
        }
        int next = sheets + 1;
        String here = sheets == 0
                ? "No sheet of this stack is here yet."
                : sheets == 1 ? "Sheet 1 is here." : "Sheets 1 to " + sheets + " of this stack are here.";
        String sentence =
                Character.toUpperCase(what.charAt(0)) + what.substring(1).replaceFirst("\\.$", "");
        message = sentence + ". " + here + " Put sheet " + next + " and those after it back and go on.";
        standing = Standing.fault;
    }
}
