package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Hostile;
import jalon.standins.MailStandIn;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.security.MessageDigest;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The server is killed at random instants while a folder, a mailbox and a program feed it. The folder's files share a few
 * names and one time, some are sent twice with the same bytes, and one in twenty is a page that never ends. Afterwards every
 * file is in the store, in the ledger as often as it was sent, and filed once by itself, unless its batch has a page that
 * nobody can read. {@code -Djalon.kills=50} for the long run.
 */
@Tag("whole")
class RandomKillsTest {
    private static final int KILLS = Integer.getInteger("jalon.kills", 2);

    /** Pages that never end take a worker for seconds, not for a quarter of a minute. */
    private static final String PATIENCE = "--jalon.reading.patience=0.3";

    /** More is not sent before some of it was taken: the server is down most of the time. */
    private static final int MOST_WAITING = 60;

    /** Every file is a document, and nothing is ever in doubt. */
    private static final String UNATTENDED = """
            {"jalon": 1, "stream": "unattended", "title": "Unattended",
             "filing": {"by": "itself"}, "cut": {"rules": [{"by": "file"}]},
             "pages": {"blank": "keep", "limits": {"resolution": null, "fineness": null, "shortSide": null,
               "longSide": null, "length": null, "contrast": null, "darkness": null, "cutOff": null, "upright": null,
               "blur": null, "edge": null, "uneven": null, "skew": null, "specks": null, "compression": null}},
             "types": [{"type": "slip"}],
             "destinations": [{"destination": "unattended", "to": "folder", "file": "{batch} {no}", "formats": ["pdf"]}]}""";

    @TempDir
    Path folder;

    private final String database = TestDatabase.fresh();
    private final Random random = new Random(11);
    /** How often each content was sent. */
    private final Map<String, Integer> sent = new ConcurrentHashMap<>();

    private int dropped;
    private byte[] last;
    private final AtomicInteger made = new AtomicInteger();
    private final CountDownLatch over = new CountDownLatch(1);
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();

    @BeforeAll
    static void othersFailOnTheirOwn() {
        // The mail library throws in its own threads when the server is killed; that is not the waiting one's failure.
        Awaitility.doNotCatchUncaughtExceptionsByDefault();
    }

    @Test
    void everyFileIsThereAsOftenAsItWasSent() throws Exception {
        Path copier = Files.createDirectories(folder.resolve("copier"));
        int port = ServerProcess.freePort();
        try (var mail = MailStandIn.start(0, 0)) {
            ServerProcess server = ServerProcess.start(folder, database, port, PATIENCE);
            Api supervisor = server.signedIn("t.vane", "merrow-supervisor");
            supervisor.post("/api/streams", Map.of("json", UNATTENDED));
            String secret = supervisor
                    .post("/api/tokens", Map.of("name", "gate", "streams", List.of("unattended")))
                    .get("secret")
                    .asString();
            channel(
                    supervisor,
                    "copier",
                    Map.of(
                            "kind",
                            "folder",
                            "folder",
                            copier.toString(),
                            "everySeconds",
                            1,
                            "settleSeconds",
                            0,
                            "gatherSeconds",
                            1));
            channel(supervisor, "post", mail.channel(1));
            List<Thread> senders = List.of(
                    sender(150, () -> drop(copier)),
                    sender(400, () -> {
                        if (mail.in("INBOX") < MOST_WAITING) {
                            mail.deliver("ewa@merrow.example", "dues", Map.of("dues.png", page()));
                        }
                    }),
                    sender(300, () -> post(port, secret)));
            for (int i = 0; i < KILLS; i++) {
                over.await(200 + random.nextInt(2500), TimeUnit.MILLISECONDS);
                server.kill();
                server = ServerProcess.start(folder, database, port, PATIENCE);
                if (random.nextInt(4) > 0) {
                    server.signedIn("t.vane", "merrow-supervisor");
                }
            }
            server.signedIn("t.vane", "merrow-supervisor");
            over.countDown();
            for (Thread s : senders) {
                s.join();
            }
            await().atMost(Duration.ofMinutes(2)).untilAsserted(() -> {
                assertThat(mail.in("INBOX")).as("mails not taken").isZero();
                assertThat(waiting(copier)).as("files not taken").isZero();
            });
            awaitFiled();
            server.kill();
        }
        assertThat(sent).hasSizeGreaterThan(2 * KILLS);
        filedOnce();
        Map<String, Integer> recorded = new HashMap<>();
        int pages = 0;
        try (var connection = DriverManager.getConnection(database + "?user=root");
                var rows = connection
                        .createStatement()
                        .executeQuery("select f.sha256, (select count(*) from page p where p.file_id = f.id) from"
                                + " received_file f")) {
            while (rows.next()) {
                recorded.merge(rows.getString(1), 1, Integer::sum);
                pages += rows.getInt(2);
            }
        }
        assertThat(recorded).isEqualTo(sent);
        int files = sent.values().stream().mapToInt(Integer::intValue).sum();
        assertThat(pages).as("pages in the ledger").isEqualTo(files);
        for (String hash : sent.keySet()) {
            Path kept = folder.resolve("data/received/" + hash.substring(0, 2) + "/" + hash.substring(2));
            assertThat(hash(Files.readAllBytes(kept))).isEqualTo(hash);
        }
        System.out.println(KILLS + " kills, " + files + " files, each as often as it was sent");
    }

    /** Batches with a page that never ends stop at Pages; all others go through by themselves. */
    private void awaitFiled() {
        await().atMost(Duration.ofMinutes(2 + KILLS / 6))
                .pollInterval(Duration.ofSeconds(1))
                .until(() -> count("select count(*) from batch b where b.stage <> 'done' and not exists"
                                + " (select 1 from page p where p.batch_id = b.id and p.rejected is not null)")
                        == 0);
    }

    private void filedOnce() throws Exception {
        long expected = count("select count(*) from page p join batch b on b.id = p.batch_id where b.stage = 'done'");
        assertThat(expected).isPositive();
        assertThat(count("select count(*) from delivery where state = 'done'")).isEqualTo(expected);
        try (var all = Files.walk(folder.resolve("data/filed/unattended"))) {
            // The mark by which a mounted share is known is no document.
            List<Path> files = all.filter(Files::isRegularFile)
                    .filter(file -> !file.getFileName().toString().startsWith("."))
                    .toList();
            assertThat(files).as("filed once each").hasSize((int) expected);
            for (Path file : files) {
                String hash = hash(Files.readAllBytes(file));
                assertThat(count("select count(*) from delivery_file where sha256 = '" + hash + "' and path = '"
                                + file.getFileName() + "'"))
                        .as("%s is what was written for it", file)
                        .isEqualTo(1);
            }
        }
        assertThat(waiting(folder.resolve("data/written")))
                .as("written and not needed")
                .isZero();
    }

    private long count(String query) throws SQLException {
        try (var connection = DriverManager.getConnection(database + "?user=root");
                var row = connection.createStatement().executeQuery(query)) {
            row.next();
            return row.getLong(1);
        }
    }

    private static void channel(Api supervisor, String name, Map<String, ?> settings) throws Exception {
        supervisor.post("/api/channels", Map.of("name", name, "stream", "unattended", "settings", settings));
    }

    private interface Sending {
        void once() throws Exception;
    }

    private Thread sender(int everyMillis, Sending sending) {
        Thread t = new Thread(() -> {
            try {
                while (!over.await(everyMillis, TimeUnit.MILLISECONDS)) {
                    sending.once();
                }
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        t.start();
        return t;
    }

    private void drop(Path copier) throws IOException {
        if (waiting(copier) >= MOST_WAITING) {
            return;
        }
        int no = dropped++;
        Path target = copier.resolve("scan" + no % 50 + ".png");
        if (Files.exists(target)) {
            return;
        }
        if (no % 20 == 10) {
            // Like no other, but for what it does.
            last = Hostile.selfDrawingPdf();
            last[last.length - 1] = (byte) '%';
            last = (new String(last, StandardCharsets.ISO_8859_1) + no).getBytes(StandardCharsets.ISO_8859_1);
        } else if (no % 10 != 5 || last == null) {
            last = drawn();
        }
        sent.merge(hash(last), 1, Integer::sum);
        Path part = copier.resolve("scan" + no % 50 + ".part");
        Files.write(part, last);
        Files.setLastModifiedTime(part, FileTime.from(Instant.parse("2026-11-23T08:00:00Z")));
        Files.move(part, target);
    }

    /** Sends until it is answered, as a program should. */
    private void post(int port, String secret) throws Exception {
        byte[] page = page();
        String head = "--b\r\nContent-Disposition: form-data; name=\"files\"; filename=\"p.png\"\r\n\r\n";
        var body = new ByteArrayOutputStream();
        body.writeBytes(head.getBytes(StandardCharsets.UTF_8));
        body.writeBytes(page);
        body.writeBytes("\r\n--b--\r\n".getBytes(StandardCharsets.UTF_8));
        var request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + port + "/in/v1/streams/unattended/batches"))
                .header("Authorization", "Bearer " + secret)
                .header("Idempotency-Key", "p" + made.incrementAndGet())
                .header("Content-Type", "multipart/form-data; boundary=b")
                .timeout(Duration.ofSeconds(20))
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build();
        await().atMost(Duration.ofSeconds(90))
                .ignoreExceptionsMatching(e -> e instanceof IOException)
                .until(() -> http.send(request, HttpResponse.BodyHandlers.discarding())
                                .statusCode()
                        < 300);
    }

    private byte[] page() throws IOException {
        byte[] page = drawn();
        sent.merge(hash(page), 1, Integer::sum);
        return page;
    }

    /** A small page that is like no other. */
    private byte[] drawn() throws IOException {
        var image = new BufferedImage(160, 120, BufferedImage.TYPE_BYTE_GRAY);
        var g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 160, 120);
        g.setColor(Color.BLACK);
        g.drawString("no " + made.incrementAndGet(), 20, 60);
        g.dispose();
        var out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static String hash(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (java.security.NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static long waiting(Path folder) throws IOException {
        try (var all = Files.list(folder)) {
            return all.count();
        }
    }
}
