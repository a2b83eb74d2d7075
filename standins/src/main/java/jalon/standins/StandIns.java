package jalon.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import tools.jackson.databind.json.JsonMapper;

/**
 * The harbour's simulated scanner, mail server, directory of people, file server, document repository, object store and ledger, with a small page on which paper is put into the scanner,
 * faults are made and mended, and mails are sent. Writes the channels and places that Jalon needs for them to files.
 */
public final class StandIns {
    private static final String SUPERVISOR = "t.vane@merrow.example";
    private static final String STREAM = "dues-letters";

    private final ScannerStandIn scanner;
    private final MailStandIn mail;
    private PlacesStandIn places;
    private long seed = 100;

    private StandIns(ScannerStandIn scanner, MailStandIn mail) {
        this.scanner = scanner;
        this.mail = mail;
    }

    /**
     * Arguments: port of the page, scanner's port, IMAPS port, SMTP port, file for the channels, folder for scans and for what
     * is filed, port of the file server and those after it, file for the places, the directory's port, file for what Jalon has
     * to know of the directory.
     */
    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        var scanner = ScannerStandIn.start(Integer.parseInt(args[1]));
        scanner.pace(700);
        var mail = MailStandIn.start(Integer.parseInt(args[2]), Integer.parseInt(args[3]));
        mail.person(SUPERVISOR);
        var all = new StandIns(scanner, mail);
        Path state = Files.createDirectories(Path.of(args[5]));
        Files.createDirectories(state.resolve("copier"));
        Files.createDirectories(state.resolve("camera"));
        all.places = new PlacesStandIn(state, Integer.parseInt(args[6]), mail);
        all.places.write(Path.of(args[7]));
        directory(Integer.parseInt(args[8]), Path.of(args[9]));
        Files.writeString(Path.of(args[4]), all.channels(state));
        HttpServer page = HttpServer.create(
                new InetSocketAddress(InetAddress.getLoopbackAddress(), Integer.parseInt(args[0])), 0);
        page.createContext("/", all::page);
        page.setExecutor(Executors.newSingleThreadExecutor());
        page.start();
        scanner.load(STREAM, 4, 17, false);
        new CountDownLatch(1).await();
    }

    private static void directory(int port, Path file) throws IOException {
        String secret = UUID.randomUUID().toString();
        var directory = DirectoryStandIn.start(port, secret);
        directory.person(new DirectoryStandIn.Entry(
                "u-101", "p.castell", "P. Castell", List.of("harbour-office", "scanning", "personnel")));
        directory.person(new DirectoryStandIn.Entry(
                "u-102", "l.hardwin", "L. Hardwin", List.of("harbour-office", "records-keepers")));
        directory.person(new DirectoryStandIn.Entry("u-103", "o.fenn", "O. Fenn", List.of("pilots")));
        Files.writeString(file, """
                jalon.directory.name=Port Merrow directory
                jalon.directory.issuer=%s
                jalon.directory.client-id=%s
                jalon.directory.client-secret=%s
                jalon.directory.supervisors=records-keepers
                jalon.directory.operators=scanning
                jalon.directory.readers=harbour-office
                """.formatted(directory.issuer(), DirectoryStandIn.CLIENT, secret));
    }

    private String channels(Path state) throws Exception {
        return """
                [
                 {"name":"copier","stream":"overnight-letters","settings":{"kind":"folder","folder":"%s","everySeconds":2}},
                 {"name":"camera","stream":"dues-letters","settings":{"kind":"folder","folder":"%s","everySeconds":5,"gatherSeconds":10}},
                 {"name":"scans@merrow.example","stream":"mailed-letters","settings":%s},
                 {"name":"front office","settings":{"kind":"scanner","address":"%s"}}
                ]
                """.formatted(
                        state.resolve("copier").toAbsolutePath(),
                        state.resolve("camera").toAbsolutePath(),
                        JsonMapper.builder().build().writeValueAsString(mail.channel(5)),
                        scanner.address());
    }

    private void page(HttpExchange x) throws IOException {
        try (x) {
            if (x.getRequestMethod().equals("POST")) {
                act(form(new String(x.getRequestBody().readAllBytes(), StandardCharsets.UTF_8)));
                x.getResponseHeaders().set("Location", "/");
                x.sendResponseHeaders(303, -1);
                return;
            }
            byte[] html = html().getBytes(StandardCharsets.UTF_8);
            x.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
            x.sendResponseHeaders(200, html.length);
            x.getResponseBody().write(html);
        }
    }

    private void act(Map<String, String> wish) throws IOException {
        switch (wish.getOrDefault("do", "")) {
            case "load" -> scanner.load(wish.get("stream"), 5, seed++, Boolean.parseBoolean(wish.get("both")));
            case "clear" -> scanner.clear();
            case "fault" -> scanner.fail(ScannerStandIn.Fault.valueOf(wish.get("kind")), 1);
            case "attend" -> scanner.attend();
            case "mail" -> letter("Dues for the quarter", true);
            case "empty-mail" -> letter("A question", false);
            default -> {}
        }
    }

    private void letter(String subject, boolean attached) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        if (attached) {
            Path folder = Files.createTempDirectory("letter");
            for (Path file :
                    Paper.duesLetters(folder, Harbour.portMerrow(), 1, seed++).files()) {
                files.put(file.getFileName().toString(), Files.readAllBytes(file));
                Files.delete(file);
            }
            Files.delete(folder);
        }
        mail.person("agent@quay.example");
        mail.deliver("agent@quay.example", subject, files);
    }

    private static Map<String, String> form(String body) {
        Map<String, String> values = new LinkedHashMap<>();
        for (String pair : body.split("&")) {
            String[] parts = pair.split("=", 2);
            values.put(parts[0], parts.length < 2 ? "" : URLDecoder.decode(parts[1], StandardCharsets.UTF_8));
        }
        return values;
    }

    private String html() {
        StringBuilder page = new StringBuilder("<!doctype html><meta charset=utf-8><title>Port Merrow stand-ins</title>"
                + "<style>body{font:17px sans-serif;margin:2em;max-width:44em}form{display:inline}button{font:inherit;margin:3px}</style>"
                + "<h1>Port Merrow stand-ins</h1><h2>Scanner: " + scanner.sheets() + " sheets in the feeder</h2>");
        for (String stream : new String[] {"dues-letters", "berth-applications", "licence-renewals"}) {
            page.append(button("Put in 5 " + stream, "load", "stream", stream));
        }
        page.append(button("Take all out", "clear", "", "")).append("<p>After one more sheet: ");
        for (var fault : ScannerStandIn.Fault.values()) {
            if (fault != ScannerStandIn.Fault.NONE) {
                page.append(button(
                        fault.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                        "fault",
                        "kind",
                        fault.name()));
            }
        }
        return page.append("<p>")
                .append(button("Clear the jam, close the cover, plug it in", "attend", "", ""))
                .append("<h2>Mail to " + MailStandIn.ADDRESS + "</h2>")
                .append(button("Send a letter", "mail", "", ""))
                .append(button("Send a mail without attachment", "empty-mail", "", ""))
                .append("<h2>Mails to " + SUPERVISOR + "</h2>")
                .append(received())
                .append("<h2>Ledger</h2><p><a href='" + places.ledgerPage() + "'>What the ledger was given</a>")
                .toString();
    }

    /** The newest first. */
    private String received() {
        StringBuilder all = new StringBuilder();
        for (MimeMessage one : mail.receivedBy(SUPERVISOR)) {
            try {
                all.insert(
                        0,
                        "<details><summary>" + escaped(one.getSubject()) + "</summary><pre>"
                                + escaped(String.valueOf(one.getContent())) + "</pre></details>");
            } catch (MessagingException | IOException e) {
                all.insert(0, "<p>" + escaped(e.getMessage()));
            }
        }
        return all.toString();
    }

    static String escaped(String text) {
        return String.valueOf(text).replace("&", "&amp;").replace("<", "&lt;");
    }

    private static String button(String label, String act, String name, String value) {
        return "<form method=post><input type=hidden name=do value=" + act + ">"
                + (name.isEmpty() ? "" : "<input type=hidden name=" + name + " value='" + value + "'>") + "<button>"
                + label + "</button></form>";
    }
}
