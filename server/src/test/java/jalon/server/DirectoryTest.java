package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.standins.DirectoryStandIn;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** People sign in by the organisation's directory, which says who they are and what they do here. */
class DirectoryTest extends ServerCase {
    /** A browser at a station. */
    private static HttpClient browser() {
        return HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
    }

    private HttpResponse<String> get(HttpClient browser, String path) throws Exception {
        URI at = URI.create(path.startsWith("http") ? path : "http://127.0.0.1:" + port + path);
        return browser.send(HttpRequest.newBuilder(at).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** There and back again. @return where the browser comes to stand */
    private String signIn(HttpClient browser, String subject) throws Exception {
        HttpResponse<String> asks = get(browser, "/oauth2/authorization/directory");
        assertThat(asks.body()).contains("Who are you?");
        URI back = get(browser, asks.uri() + "&as=" + subject).uri();
        return back.getPath() + (back.getQuery() == null ? "" : "?" + back.getQuery());
    }

    private JsonNode me(HttpClient browser) throws Exception {
        return JsonMapper.shared().readTree(get(browser, "/api/me").body());
    }

    private static void knows(String subject, String signIn, String name, String... groups) {
        DIRECTORY.person(new DirectoryStandIn.Entry(subject, signIn, name, List.of(groups)));
    }

    @Test
    void theDirectorySaysWhoSomebodyIsAndWhatThePersonDoesHere() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        long personnel = supervisor
                .post("/api/groups", Map.of("name", "Personnel papers", "directoryName", "personnel"))
                .get("id")
                .asLong();
        assertThatThrownBy(() -> supervisor.post("/api/groups", Map.of("name", "Others", "directoryName", "personnel")))
                .hasMessageContaining("Personnel papers");
        knows("s-1", "P.Castell", "P. Castell", "harbour-office", "scanning", "personnel");
        HttpClient browser = browser();
        assertThat(JsonMapper.shared()
                        .readTree(get(browser, "/api/sign-in-ways").body())
                        .get(0)
                        .get("name")
                        .asString())
                .isEqualTo("Port Merrow directory");
        assertThat(signIn(browser, "s-1")).isEqualTo("/desk/board");
        assertThat(me(browser).get("signIn").asString()).isEqualTo("p.castell");
        assertThat(me(browser).get("role").asString()).isEqualTo("operator");
        assertThat(get(browser, "/api/board").statusCode()).isEqualTo(200);
        assertThat(account(supervisor, "p.castell").get("groups").toString()).isEqualTo("[" + personnel + "]");
        assertThatThrownBy(() -> api("p.castell", "")).hasMessageContaining("401");
        assertThatThrownBy(() -> supervisor.post("/api/people/p.castell/password", Map.of()))
                .hasMessageContaining("by the directory");

        // Another day, with another name and other work there; the person is the same.
        knows("s-1", "p.marlowen", "P. Marlowen", "harbour-office");
        HttpClient another = browser();
        assertThat(signIn(another, "s-1")).isEqualTo("/desk/board");
        assertThat(me(another).get("signIn").asString())
                .as("the log has this name")
                .isEqualTo("p.castell");
        assertThat(me(another).get("name").asString()).isEqualTo("P. Marlowen");
        assertThat(get(another, "/api/board").statusCode()).as("a reader now").isEqualTo(403);
        assertThat(get(browser, "/api/board").statusCode())
                .as("what was open with the old role is over")
                .isEqualTo(401);
        assertThat(account(supervisor, "p.castell").get("groups")).isEmpty();
    }

    private static JsonNode account(Api supervisor, String signIn) throws Exception {
        for (JsonNode account : supervisor.get("/api/people")) {
            if (account.get("signIn").asString().equals(signIn)) {
                return account;
            }
        }
        throw new AssertionError("no " + signIn);
    }

    @Test
    void nobodyComesInWhomNobodyLetIn() throws Exception {
        knows("s-2", "o.fenn", "O. Fenn", "pilots");
        assertThat(signIn(browser(), "s-2")).isEqualTo("/desk/sign-in?refused=directoryNoRole");
        knows("s-3", "m.tarrow", "Another M. Tarrow", "records-keepers");
        HttpClient browser = browser();
        assertThat(signIn(browser, "s-3"))
                .as("one with a password here is somebody else until a supervisor says so")
                .isEqualTo("/desk/sign-in?refused=directoryTaken");
        assertThat(get(browser, "/api/me").statusCode()).isEqualTo(401);
        knows("s-4", "Ä B", "Ä. B.", "scanning");
        assertThat(signIn(browser(), "s-4")).isEqualTo("/desk/sign-in?refused=directoryName");

        Api supervisor = api("t.vane", "merrow-supervisor");
        supervisor.post(
                "/api/people", Map.of("signIn", "j.wold", "name", "J. Wold", "role", "reader", "directory", true));
        knows("s-5", "j.wold", "J. Wold", "scanning");
        assertThat(signIn(browser(), "s-5")).isEqualTo("/desk/board");
        assertThat(account(supervisor, "j.wold").get("role").asString()).isEqualTo("operator");
        knows("s-6", "j.wold", "Another J. Wold", "scanning");
        assertThat(signIn(browser(), "s-6"))
                .as("a name that was given again")
                .isEqualTo("/desk/sign-in?refused=directoryTaken");
        supervisor.put(
                "/api/people/j.wold", Map.of("name", "J. Wold", "role", "operator", "directory", true, "locked", true));
        assertThat(signIn(browser(), "s-5")).isEqualTo("/desk/sign-in?refused=directoryLocked");
        assertThat(get(browser(), "/login/oauth2/code/directory?code=x&state=y")
                        .uri()
                        .getPath())
                .as("an answer that nobody asked for")
                .isEqualTo("/desk/sign-in");
    }

    @Test
    void signingOutSignsOutThereToo() throws Exception {
        knows("s-7", "l.hardwin", "L. Hardwin", "records-keepers");
        var cookies = new CookieManager();
        HttpClient browser = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
        signIn(browser, "s-7");
        assertThat(get(browser, "/api/people").statusCode()).isEqualTo(200);
        get(browser, "/api/csrf");
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
        var request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/sign-out"))
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.noBody())
                .build();
        HttpResponse<String> out = browser.send(request, HttpResponse.BodyHandlers.ofString());
        assertThat(out.statusCode()).isEqualTo(200);
        assertThat(get(browser, out.body()).uri().getPath()).isEqualTo("/desk/sign-in");
        assertThat(DIRECTORY.signedOut()).containsExactly("l.hardwin");
        assertThat(get(browser, "/api/me").statusCode()).isEqualTo(401);
    }
}
