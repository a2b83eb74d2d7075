package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.standins.FileServerStandIn;
import jalon.standins.ObjectStoreStandIn;
import jalon.standins.ProgramStandIn;
import jalon.standins.RepositoryStandIn;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The server is killed at random instants while it files in a file server, a repository, an object store and a program, and so are
 * they. Afterwards each document is at each place once, whole, and what goes on does so in its order. Then all
 * of it is erased, with the server and the places killed as often again, and nothing of it is left. {@code -Djalon.kills=50} for the long
 * run.
 */
@Tag("whole")
class KilledWhileFilingTest {
    private static final int KILLS = Integer.getInteger("jalon.kills", 2);

    /** The more often it is killed, the more has to be left to file. */
    private static final int DOCUMENTS = 6 + 2 * KILLS;

    private static final String STREAM = """
            {"jalon": 1, "stream": "everywhere", "title": "Everywhere", "filing": {"by": "itself"},
             "cut": {"rules": [{"by": "file"}]},
             "pages": {"blank": "keep", "limits": {"resolution": null, "fineness": null, "shortSide": null,
               "longSide": null, "length": null, "contrast": null, "darkness": null, "cutOff": null, "upright": null,
               "blur": null, "edge": null, "uneven": null, "skew": null, "specks": null, "compression": null}},
             "types": [{"type": "slip"}],
             "destinations": [
              {"destination": "office", "to": "place", "place": "office", "folder": "{batch}", "file": "slip",
               "list": "day"},
              {"destination": "papers", "to": "place", "place": "papers", "folder": "Slips", "file": "slip"},
              {"destination": "store", "to": "place", "place": "store", "file": "slip", "formats": ["pdf", "json"]},
              {"destination": "ledger", "to": "place", "place": "ledger", "file": "{batch} {no}"},
              {"destination": "album", "to": "place", "place": "office", "folder": "Album", "file": "album",
               "taken": "append"},
              {"destination": "sheets", "to": "place", "place": "papers", "folder": "Sheets", "file": "sheet",
               "taken": "version", "properties": {"cmis:objectTypeId": "merrow:paper"}}]}""";

    /** What failed often waits long for its next try. */
    private static final Duration PATIENCE = Duration.ofMinutes(3).plusSeconds(20L * KILLS);

    @TempDir
    Path folder;

    private final String database = TestDatabase.fresh();
    private final Random random = new Random(17);
    private int officePort;
    private int storePort;
    private FileServerStandIn office;
    private ObjectStoreStandIn store;
    private RepositoryStandIn papers;
    private ProgramStandIn ledger;

    @Test
    void eachDocumentIsAtEachPlaceOnceAndWholeAndGoneWhenItIsErased() throws Exception {
        int port = ServerProcess.freePort();
        officePort = ServerProcess.freePort();
        storePort = ServerProcess.freePort();
        office = FileServerStandIn.start(officePort, folder.resolve("office"), "secret");
        store = ObjectStoreStandIn.start(storePort, folder.resolve("store"), "secret");
        papers = RepositoryStandIn.start(ServerProcess.freePort(), "secret");
        ledger = ProgramStandIn.start(ServerProcess.freePort(), "secret");
        try {
            ServerProcess server = ServerProcess.start(folder, database, port);
            Api supervisor = server.signedIn("t.vane", "merrow-supervisor");
            Map.of(
                            "office", office.settings(),
                            "papers", papers.settings(),
                            "store", store.settings(),
                            "ledger", ledger.settings())
                    .forEach((name, settings) -> save(supervisor, name, settings));
            supervisor.post("/api/streams", Map.of("json", STREAM));
            String no = supervisor
                    .post("/api/batches", Map.of("stream", "everywhere"))
                    .get("no")
                    .asString();
            for (int i = 1; i <= DOCUMENTS; i++) {
                supervisor.upload("/api/batches/" + no + "/files", slip(i));
            }
            supervisor.post("/api/batches/" + no + "/arrived", Map.of());
            await().atMost(Duration.ofMinutes(2))
                    .until(() -> supervisor
                            .get("/api/batches/" + no + "/filing")
                            .get("begun")
                            .asBoolean());
            server = killed(KILLS, server, port, 2500);
            Api last = server.signedIn("t.vane", "merrow-supervisor");
            await().atMost(PATIENCE)
                    .pollInterval(Duration.ofSeconds(1))
                    .until(() -> last.get("/api/batches/" + no)
                            .get("stage")
                            .asString()
                            .equals("done"));
            assertThat(files(office.folder()))
                    .filteredOn(f -> f.endsWith(".pdf"))
                    .hasSize(2 * DOCUMENTS);
            await().untilAsserted(() -> assertThat(files(office.folder()))
                    .filteredOn(f -> !f.endsWith(".pdf"))
                    .singleElement()
                    .satisfies(list -> assertThat(Files.readAllLines(Path.of(list)))
                            .as("the list has each once")
                            .hasSize(1 + DOCUMENTS)
                            .doesNotHaveDuplicates()));
            for (int i = 1; i <= DOCUMENTS; i++) {
                Path album = office.folder().resolve(i == 1 ? "Album/album.pdf" : "Album/album v" + i + ".pdf");
                try (var pdf = Loader.loadPDF(album.toFile())) {
                    assertThat(pdf.getNumberOfPages())
                            .as(album.getFileName().toString())
                            .isEqualTo(i);
                }
            }
            assertThat(files(store.folder())).hasSize(2 * DOCUMENTS);
            assertThat(inPapers("Slips", "children")).hasSize(DOCUMENTS);
            assertThat(inPapers("Sheets", "children")).hasSize(1);
            assertThat(inPapers("Sheets/sheet.pdf", "versions")).hasSize(DOCUMENTS);
            assertThat(ledger.arrived()).hasSize(DOCUMENTS);
            last.post("/api/batches/" + no + "/filing/check", Map.of());
            String begun = "\"ledger\"";
            await().untilAsserted(() -> {
                JsonNode plan = last.get("/api/batches/" + no + "/filing");
                assertThat(plan.get("deliveries"))
                        .hasSize(6 * DOCUMENTS)
                        .allMatch(d -> d.get("destination").toString().equals(begun)
                                || d.get("checked").isNull()
                                || d.get("checked").get("found").asString().equals("same"));
                assertThat(plan.get("deliveries"))
                        .filteredOn(d -> d.get("destination").asString().equals("sheets"))
                        .filteredOn(d -> !d.get("checked").isNull())
                        .as("of versions at one place the newest is looked at")
                        .hasSize(1);
            });
            askedToErase(last, no);
            server = killed((KILLS + 1) / 2, server, port, 1500);
            Api then = server.signedIn("t.vane", "merrow-supervisor");
            await().atMost(PATIENCE).pollInterval(Duration.ofSeconds(1)).until(() -> isErased(then, no));
            assertThat(files(office.folder())).as("with its list").isEmpty();
            assertThat(files(store.folder())).isEmpty();
            assertThat(inPapers("Slips", "children")).isEmpty();
            assertThat(inPapers("Sheets", "children")).isEmpty();
            server.kill();
            System.out.println(KILLS + " kills, " + DOCUMENTS
                    + " documents once and whole at each of four places; the program was asked " + ledger.asked()
                    + " times");
        } finally {
            office.close();
            store.close();
            papers.close();
            ledger.close();
        }
    }

    /** The server and the places, again and again, at random. @return the server that is left */
    private ServerProcess killed(int kills, ServerProcess first, int port, int longest) throws Exception {
        ServerProcess server = first;
        for (int i = 0; i < kills; i++) {
            passes(200 + random.nextInt(longest));
            papers.fallOver();
            passes(random.nextInt(longest) / 2);
            ledger.fallOver();
            passes(random.nextInt(longest) / 2);
            office.close();
            store.close();
            passes(random.nextInt(longest) / 2);
            server.kill();
            server = ServerProcess.start(folder, database, port);
            server.signedIn("t.vane", "merrow-supervisor");
            office = FileServerStandIn.start(officePort, folder.resolve("office"), "secret");
            store = ObjectStoreStandIn.start(storePort, folder.resolve("store"), "secret");
        }
        return server;
    }

    private static void passes(int ms) throws InterruptedException {
        new CountDownLatch(1).await(ms, TimeUnit.MILLISECONDS);
    }

    /** Their time is over, and all of them go together: their pages lie in one file. */
    private void askedToErase(Api supervisor, String no) throws Exception {
        try (var connection = DriverManager.getConnection(database + "?user=root");
                var statement = connection.createStatement()) {
            statement.execute("update batch set filed_at = filed_at - interval 3 year");
        }
        String keeps = STREAM.replace("{\"type\": \"slip\"}", "{\"type\": \"slip\", \"keep\": {\"years\": 1}}");
        supervisor.post("/api/streams", Map.of("json", keeps));
        await().until(() -> supervisor
                        .get("/api/retention/due/documents?type=slip&stream=everywhere")
                        .size()
                == DOCUMENTS);
        supervisor.post(
                "/api/retention/erase",
                Map.of("documents", List.of(Map.of("batch", no, "document", 1)), "why", "its time is over"));
    }

    /** The more often it failed the longer it waits for its next try: somebody who looks has it tried now. */
    private static boolean isErased(Api supervisor, String no) throws Exception {
        if (supervisor.get("/api/batches/" + no).get("ledger").get("erased").asInt() == DOCUMENTS) {
            return true;
        }
        try {
            supervisor.post("/api/retention/erase/again", Map.of("batch", no, "document", 1));
        } catch (IOException e) {
            // It has just been.
        }
        return false;
    }

    private static void save(Api supervisor, String name, String settings) {
        try {
            supervisor.put("/api/places/" + name, JsonMapper.builder().build().readValue(settings, Map.class));
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** A small page that is like no other. */
    private Path slip(int no) throws IOException {
        var image = new BufferedImage(160, 120, BufferedImage.TYPE_BYTE_GRAY);
        var g = image.createGraphics();
        g.fillRect(0, 0, 160, 120);
        g.setColor(java.awt.Color.BLACK);
        g.drawString("no " + no, 20, 60);
        g.dispose();
        Path file = folder.resolve("slip" + no + ".png");
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private static List<String> files(Path below) throws IOException {
        try (Stream<Path> all = Files.walk(below)) {
            return all.filter(Files::isRegularFile).map(Path::toString).toList();
        }
    }

    /** Asked as any client may. */
    private List<String> inPapers(String path, String what) throws Exception {
        String pair = Base64.getEncoder()
                .encodeToString((RepositoryStandIn.USER + ":secret").getBytes(StandardCharsets.UTF_8));
        var request = HttpRequest.newBuilder(URI.create(papers.url() + "/merrow/root/" + path + "?cmisselector=" + what
                        + "&succinct=true&maxItems=1000"))
                .header("Authorization", "Basic " + pair)
                .build();
        String json = HttpClient.newHttpClient()
                .send(request, HttpResponse.BodyHandlers.ofString())
                .body();
        return JsonMapper.builder().build().readTree(json).findValuesAsString("cmis:name");
    }
}
