package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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
    void scannersAndMailServersAreOnlyWhereTheInstallationSaysSo() {
        for (Map<String, Object> settings : List.<Map<String, Object>>of(
                Map.of("kind", "scanner", "address", "http://10.1.2.3/eSCL"),
                Map.of("kind", "scanner", "address", "http://169.254.169.254/latest"),
                Map.of("kind", "mailbox", "host", "mail.nowhere.example", "user", "in", "password", "x"))) {
            assertThatThrownBy(() -> supervisor.post(
                            "/api/channels",
                            Map.of("name", "elsewhere", "stream", "dues-letters", "settings", settings)))
                    .as(settings.toString())
                    .hasMessageContaining("422")
                    .hasMessageContaining("not among the hosts");
        }
        // It was answered with "something went wrong" once.
        Map<String, Object> noAddress = Map.of("kind", "scanner", "address", "http://the scanner/eSCL");
        assertThatThrownBy(() -> supervisor.post("/api/channels", Map.of("name", "odd", "settings", noAddress)))
                .hasMessageContaining("422");
    }

    @Test
    void aPersonChangesTheOwnPasswordAndWhoeverElseWasSignedInIsOut() throws Exception {
        database.update(
                "insert into person (sign_in, name, role, password_hash) select 'e.lind', 'Ebba Lind', role, password_hash"
                        + " from person where sign_in = 'm.tarrow'");
        Api here = api("e.lind", "merrow-operator");
        Api elsewhere = api("e.lind", "merrow-operator");
        for (var refused : Map.of(
                        "short", "at least 12", "password1234", "easily guessed", "ebba.lind2026", "easily guessed")
                .entrySet()) {
            assertThatThrownBy(() -> here.post("/api/me/password", password("merrow-operator", refused.getKey())))
                    .hasMessageContaining(refused.getValue());
        }
        assertThatThrownBy(() -> here.post("/api/me/password", password("not that one", "quay lantern 7 herring")))
                .hasMessageContaining("another one");
        here.post("/api/me/password", password("merrow-operator", "quay lantern 7 herring"));
        assertThat(here.get("/api/me").get("name").asString()).isEqualTo("Ebba Lind");
        await().atMost(soon)
                .untilAsserted(
                        () -> assertThatThrownBy(() -> elsewhere.get("/api/me")).hasMessageContaining("401"));
        assertThatThrownBy(() -> api("e.lind", "merrow-operator")).hasMessageContaining("401");
        api("e.lind", "quay lantern 7 herring").get("/api/board");
    }

    private static Map<String, String> password(String before, String after) {
        return Map.of("before", before, "after", after);
    }

    @Test
    void behindAProxyThatEndsTlsCookiesAreSecureAndBrowsersComeBackByTlsAlone() throws Exception {
        var request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/csrf"))
                .header("X-Forwarded-Proto", "https")
                .build();
        var answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.discarding());
        assertThat(answer.headers().firstValue("Strict-Transport-Security")).isPresent();
        assertThat(answer.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
    }

    @Test
    void signInsRefusalsAndLooksAtDocumentsAreLogged() throws Exception {
        assertThatThrownBy(() -> api("nobody.here", "x")).hasMessageContaining("401");
        assertThatThrownBy(() -> operator.get("/api/tokens")).hasMessageContaining("403");
        assertThat(logged("m.tarrow", "signedIn")).isPositive();
        assertThat(logged("Jalon", "signInFailed")).isPositive();
        assertThat(logged("m.tarrow", "refused")).isPositive();
    }

    private int logged(String who, String act) {
        Integer count = database.queryForObject(
                "select count(*) from log_entry where who = ? and code = ?", Integer.class, who, act);
        return count == null ? 0 : count;
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
