package jalon.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jalon.demo.ScanFiles;
import jalon.demo.Scanner;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import org.w3c.dom.Element;

/**
 * A network scanner that is not there: speaks eSCL on loopback, with a feeder that is loaded with the harbour's paper, a
 * flatbed, duplex, and faults on request. A fault lasts until {@link #attend}, as a jam lasts until somebody clears it.
 */
public final class ScannerStandIn implements AutoCloseable {
    /** What can go wrong. */
    public enum Fault {
        NONE,
        JAM,
        DOUBLE_FEED,
        COVER_OPEN,
        GONE,
        CUT_SHORT,
        NONSENSE,
        ENDLESS
    }

    private final HttpServer server;
    private final Tray tray = new Tray();
    private final Map<String, Job> jobs = new ConcurrentHashMap<>();
    private final Random random = new Random(5);
    private volatile Fault fault = Fault.NONE;
    private volatile int faultAfter;
    private volatile long pageMillis;
    private volatile boolean tripped;

    private ScannerStandIn(HttpServer server) {
        this.server = server;
    }

    /** @param port 0 for any that is free */
    public static ScannerStandIn start(int port) throws IOException {
        HttpServer http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        var scanner = new ScannerStandIn(http);
        http.createContext("/eSCL", scanner::answer);
        http.setExecutor(Executors.newCachedThreadPool(r -> {
            Thread t = new Thread(r, "scanner-stand-in");
            t.setDaemon(true);
            return t;
        }));
        http.start();
        return scanner;
    }

    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/eSCL";
    }

    /** Puts a stack into the feeder, on top of what is there. */
    public void load(String stream, int documents, long seed, boolean bothSides) {
        tray.load(stream, documents, seed, bothSides);
    }

    public void clear() {
        tray.clear();
    }

    public int sheets() {
        return tray.size();
    }

    /** @param afterSheets how many sheets of a job go well before */
    public void fail(Fault kind, int afterSheets) {
        faultAfter = afterSheets;
        fault = kind;
    }

    /** How long a page takes. */
    public void pace(long millisPerPage) {
        pageMillis = millisPerPage;
    }

    private void answer(HttpExchange x) throws IOException {
        String path = x.getRequestURI().getPath().replaceFirst("^/eSCL", "");
        try (x) {
            if (fault == Fault.GONE && faultAfter <= 0) {
                return;
            }
            if (fault == Fault.NONSENSE && faultAfter <= 0) {
                send(x, 200, "text/html", "<html>hello".getBytes(StandardCharsets.UTF_8));
            } else if (path.equals("/ScannerCapabilities")) {
                send(x, 200, "text/xml", EsclXml.capabilities());
            } else if (path.equals("/ScannerStatus")) {
                send(x, 200, "text/xml", EsclXml.status(feederState(), jobs));
            } else if (path.equals("/ScanJobs") && x.getRequestMethod().equals("POST")) {
                begin(x);
            } else if (path.endsWith("/NextDocument")) {
                next(x, path.replaceAll(".*/ScanJobs/|/NextDocument", ""));
            } else if (x.getRequestMethod().equals("DELETE")) {
                Job job = jobs.remove(path.replaceAll(".*/", ""));
                send(x, job == null ? 404 : 200, "text/plain", new byte[0]);
            } else {
                send(x, 404, "text/plain", new byte[0]);
            }
        }
    }

    private static void send(HttpExchange x, int status, String type, byte[] body) throws IOException {
        x.getResponseHeaders().set("Content-Type", type);
        x.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
        if (body.length > 0) {
            x.getResponseBody().write(body);
        }
    }

    private String feederState() {
        return switch (tripped ? fault : Fault.NONE) {
            case JAM -> "ScannerAdfJam";
            case DOUBLE_FEED -> "ScannerAdfMultipickDetected";
            case COVER_OPEN -> "ScannerAdfHatchOpen";
            default -> tray.size() == 0 ? "ScannerAdfEmpty" : "ScannerAdfLoaded";
        };
    }

    private void begin(HttpExchange x) throws IOException {
        Element settings = EsclXml.settings(x.getRequestBody());
        Scanner.Mode mode = switch (EsclXml.value(settings, "ColorMode", "Grayscale8")) {
            case "BlackAndWhite1" -> Scanner.Mode.BITONAL;
            case "RGB24" -> Scanner.Mode.COLOUR;
            default -> Scanner.Mode.GREY;
        };
        boolean feeder = EsclXml.value(settings, "InputSource", "Feeder").equals("Feeder");
        if (tripped || feeder && tray.size() == 0) {
            send(x, 409, "text/plain", new byte[0]);
            return;
        }
        String id = UUID.randomUUID().toString();
        jobs.values().removeIf(j -> j.over);
        jobs.put(
                id,
                new Job(
                        mode,
                        Integer.parseInt(EsclXml.value(settings, "XResolution", "200")),
                        Boolean.parseBoolean(EsclXml.value(settings, "Duplex", "false")),
                        feeder,
                        EsclXml.value(
                                                settings,
                                                "DocumentFormatExt",
                                                EsclXml.value(settings, "DocumentFormat", "image/jpeg"))
                                        .equals("image/png")
                                ? "image/png"
                                : "image/jpeg"));
        x.getResponseHeaders().set("Location", address() + "/ScanJobs/" + id);
        send(x, 201, "text/plain", new byte[0]);
    }

    private void next(HttpExchange x, String id) throws IOException {
        Job job = jobs.get(id);
        if (job == null || job.over) {
            send(x, 404, "text/plain", new byte[0]);
            return;
        }
        synchronized (job) {
            Tray.Leaf leaf = tray.peek();
            boolean done = job.feeder ? leaf == null : job.sheets > 0;
            if (done) {
                job.over = true;
                send(x, 404, "text/plain", new byte[0]);
                return;
            }
            if (fault != Fault.NONE
                    && job.sheets >= faultAfter
                    && (fault != Fault.CUT_SHORT || !job.duplex || job.back)) {
                trip(x, job, leaf);
                return;
            }
            jalon.demo.Sheet side = leaf == null ? null : job.back ? leaf.back() : leaf.front();
            byte[] page = picture(job, side);
            advance(job);
            send(x, 200, job.format, page);
        }
    }

    private void advance(Job job) {
        if (job.duplex && job.feeder && !job.back) {
            job.back = true;
            return;
        }
        job.back = false;
        job.sheets++;
        if (fault != Fault.ENDLESS) {
            tray.fed();
        }
    }

    private void trip(HttpExchange x, Job job, Tray.Leaf leaf) throws IOException {
        switch (fault) {
            case GONE, NONSENSE -> faultAfter = 0;
            case CUT_SHORT -> {
                byte[] page = picture(job, job.back ? leaf.back() : leaf.front());
                x.getResponseHeaders().set("Content-Type", "image/jpeg");
                x.sendResponseHeaders(200, page.length);
                OutputStream out = x.getResponseBody();
                out.write(page, 0, page.length / 2);
                out.flush();
                fault = Fault.NONE;
                job.over = true;
            }
            case ENDLESS -> {
                byte[] page = picture(job, leaf.front());
                send(x, 200, "image/jpeg", page);
            }
            default -> {
                tripped = true;
                job.over = true;
                send(x, 503, "text/plain", new byte[0]);
            }
        }
    }

    /** Somebody cleared the jam or closed the cover. */
    public void attend() {
        tripped = false;
        fault = Fault.NONE;
    }

    private byte[] picture(Job job, jalon.demo.Sheet side) throws IOException {
        if (pageMillis > 0) {
            try {
                Thread.sleep(pageMillis);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        Random r = new Random(random.nextLong());
        BufferedImage image = Scanner.scan(
                side == null ? jalon.demo.Sheet.BLANK : side, Scanner.Setting.feeder(job.mode, job.dpi, r), r);
        Path file = Files.createTempFile("standin", ".page");
        try {
            if (job.format.equals("image/png")) {
                ScanFiles.png(file, image, job.dpi);
            } else {
                ScanFiles.jpeg(file, job.mode == Scanner.Mode.BITONAL ? grey(image) : image, job.dpi);
            }
            return Files.readAllBytes(file);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** JPEG has no pages of one bit a pixel. */
    private static BufferedImage grey(BufferedImage bitonal) {
        var grey = new BufferedImage(bitonal.getWidth(), bitonal.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        var g = grey.createGraphics();
        g.drawImage(bitonal, 0, 0, null);
        g.dispose();
        return grey;
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
