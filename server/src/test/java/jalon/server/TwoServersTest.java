package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.standins.ScannerStandIn;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Two servers on one database and one data folder; one of them is killed. */
@Tag("whole")
class TwoServersTest {
    private static final Duration PATIENT = Duration.ofSeconds(120);

    @TempDir
    Path folder;

    private final String database = TestDatabase.fresh();

    @Test
    void newsReachBothAndAStackWhoseServerIsKilledIsToldAndGoneOnWithAtTheOther() throws Exception {
        try (var scanner = ScannerStandIn.start(0)) {
            ServerProcess first = ServerProcess.start(folder, database, ServerProcess.freePort());
            Api supervisor = first.signedIn("t.vane", "merrow-supervisor");
            ServerProcess second = ServerProcess.start(folder, database, ServerProcess.freePort());
            try {
                Api here = first.signedIn("m.tarrow", "merrow-operator");
                Api there = second.signedIn("m.tarrow", "merrow-operator");
                List<String> heard = new CopyOnWriteArrayList<>();
                there.listen("/api/events", heard::add);
                long device = supervisor
                        .post(
                                "/api/channels",
                                Map.of(
                                        "name",
                                        "scanner",
                                        "settings",
                                        Map.of("kind", "scanner", "address", scanner.address())))
                        .get("id")
                        .asLong();
                scanner.load("dues-letters", 2, 9, false);
                scanner.fail(ScannerStandIn.Fault.ENDLESS, 0);
                String no = here.post(
                                "/api/scans",
                                Map.of(
                                        "scanner",
                                        device,
                                        "stream",
                                        "dues-letters",
                                        "settings",
                                        Map.of("source", "feeder", "dpi", 150, "duplex", true, "size", "A4")))
                        .get("no")
                        .asString();
                String scan = "/api/scans/" + no;
                await().atMost(PATIENT).until(() -> here.get(scan).get("pages").asInt() >= 3);
                await().atMost(PATIENT).until(() -> heard.contains("data:" + no));
                assertThat(there.get(scan).get("standing").asString()).isEqualTo("scanning");
                first.kill();

                scanner.attend();
                int left = scanner.sheets();
                JsonNode told = await().atMost(PATIENT)
                        .until(
                                () -> there.get(scan),
                                s -> s.get("standing").asString().equals("fault"));
                assertThat(ServerCase.words(told.get("trouble"))).contains("Jalon was stopped");
                int whole = told.get("sheets").asInt();
                assertThat(whole).isPositive();
                assertThat(told.get("pages").asInt()).isEqualTo(2 * whole);
                there.post(scan + "/continue", Map.of());
                JsonNode ended = await().atMost(PATIENT)
                        .until(
                                () -> there.get(scan),
                                s -> s.get("standing").asString().equals("empty"));
                assertThat(ended.get("sheets").asInt()).isEqualTo(whole + left);
                there.post("/api/batches/" + no + "/arrived", Map.of());
                await().atMost(PATIENT).until(() -> !there.stage(no).equals("intake"));
                JsonNode batch = there.get("/api/batches/" + no);
                int kept = 0;
                for (JsonNode page : batch.get("pages")) {
                    kept += page.get("role").asString().equals("setAside") ? 0 : 1;
                }
                assertThat(kept).isEqualTo(2 * ended.get("sheets").asInt());
                assertThat(there.get("/api/batches/" + no + "/log").toString()).containsOnlyOnce("scanBrokenOff");
            } finally {
                first.kill();
                second.kill();
            }
        }
    }
}
