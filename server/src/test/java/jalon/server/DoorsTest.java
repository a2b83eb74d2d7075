package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Where nobody has any business, nobody gets. */
class DoorsTest extends ChannelCase {
    @Autowired
    private JdbcTemplate database;

    @Test
    void onlyFoldersThatTheInstallationNamesAreWatchedAndNeverJalonsOwnNorAnothers() throws Exception {
        Path own = Files.createDirectories(DATA.toAbsolutePath().resolve("data/received"));
        Path link = scans.resolve("way-round");
        Files.createSymbolicLink(link, own);
        Path shared = folder("shared/inner");
        channel("first", folderSettings(shared.getParent(), 0, true));
        for (var odd : Map.of(
                        Path.of("/etc"),
                        "may not be watched",
                        own,
                        "Jalon's own files",
                        link,
                        "Jalon's own files",
                        DATA.toAbsolutePath(),
                        "Jalon's own files",
                        shared,
                        "first watches",
                        shared.getParent(),
                        "first watches",
                        scans,
                        "first watches")
                .entrySet()) {
            assertThatThrownBy(() -> supervisor.post(
                            "/api/channels",
                            Map.of(
                                    "name",
                                    "odd",
                                    "stream",
                                    "dues-letters",
                                    "settings",
                                    folderSettings(odd.getKey(), 0, false))))
                    .as(odd.getKey().toString())
                    .hasMessageContaining("422")
                    .hasMessageContaining(odd.getValue());
        }
    }

    @Test
    void linksAreToldAndNotFollowed() throws Exception {
        Path folder = folder("links");
        Path secret = Files.copy(letter, scans.resolve("secret.jpg"));
        Files.createSymbolicLink(folder.resolve("a-link.jpg"), secret);
        channel("links", folderSettings(folder, 0, false));
        Files.copy(letter, folder.resolve("b.jpg"));
        await().atMost(soon).until(() -> count("folder links") == 1 && !Files.exists(folder.resolve("b.jpg")));
        await().atMost(soon).until(() -> problem("links").contains("a-link.jpg is a link"));
        assertThat(secret).exists();
        assertThat(count("folder links")).isEqualTo(1);
        // A folder that becomes a way into Jalon's own store after it was saved.
        supervisor.post("/api/channels/" + made + "/pause", Map.of());
        Files.delete(folder.resolve("a-link.jpg"));
        Files.delete(folder);
        Files.createSymbolicLink(folder, DATA.toAbsolutePath().resolve("data/received"));
        supervisor.post("/api/channels/" + made + "/resume", Map.of());
        await().atMost(soon).until(() -> problem("links").contains("Jalon's own files"));
    }

    @Test
    void signInsThatFailHaveToWaitAndASupervisorSeesAndLiftsThem() throws Exception {
        String name = "i.ravenel";
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(() -> api(name, "wrong")).hasMessageContaining("401");
        }
        assertThatThrownBy(() -> api(name, "merrow-reader"))
                .hasMessageContaining("429")
                .hasMessageContaining("Try again in");
        assertThat(api("m.tarrow", "merrow-operator"))
                .as("others are not held up")
                .isNotNull();
        JsonNode wait = null;
        for (JsonNode w : supervisor.get("/api/sign-in-waits")) {
            wait = w.get("who").asString().equals(name) ? w : wait;
        }
        assertThat(wait).isNotNull();
        assertThat(wait.get("failures").asInt()).isEqualTo(5);
        Api other = operator;
        assertThatThrownBy(() -> other.get("/api/sign-in-waits")).hasMessageContaining("403");
        supervisor.post("/api/sign-in-waits/lift", Map.of("kind", "name", "who", name));
        assertThat(api(name, "merrow-reader")).isNotNull();
        assertThat(database.queryForList("select code from log_entry", String.class))
                .contains("signInWaits", "liftedWait");
    }
}
