package jalon.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jalon's API as a program of its own uses it. */
public final class Api {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(10))
            .build();

    public Api(String base) {
        this.base = base;
    }

    public void signIn(String name, String password) throws IOException, InterruptedException {
        String form = "username=" + URLEncoder.encode(name, StandardCharsets.UTF_8) + "&password="
                + URLEncoder.encode(password, StandardCharsets.UTF_8);
        send("/api/sign-in", "application/x-www-form-urlencoded", HttpRequest.BodyPublishers.ofString(form));
    }

    public JsonNode get(String path) throws IOException, InterruptedException {
        return answer(HttpRequest.newBuilder(URI.create(base + path)).GET().build());
    }

    /** What is at an address, as it comes: a picture, a file. */
    public byte[] bytes(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = http.send(
                HttpRequest.newBuilder(URI.create(base + path)).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
        if (answer.statusCode() >= 300) {
            throw new IOException("GET " + path + " was answered with " + answer.statusCode());
        }
        return answer.body();
    }

    /** Gives each line of an answer that never ends, such as news, to a listener, in a thread of its own. */
    public void listen(String path, Consumer<String> lines) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
        var unused = http.sendAsync(request, HttpResponse.BodyHandlers.ofLines())
                .thenAccept(answer -> answer.body().forEach(lines));
    }

    public JsonNode post(String path, Object body) throws IOException, InterruptedException {
        return send(path, "application/json", HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
    }

    /** An act, on the batch as it was seen. @param request key of its own: sent again it is done once */
    public JsonNode post(String path, Object body, int revision, String request)
            throws IOException, InterruptedException {
        return send(
                "POST",
                path,
                "application/json",
                HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)),
                "If-Match",
                "\"" + revision + "\"",
                "Idempotency-Key",
                request);
    }

    public JsonNode put(String path, Object body) throws IOException, InterruptedException {
        return send(
                "PUT", path, "application/json", HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
    }

    public JsonNode delete(String path) throws IOException, InterruptedException {
        return send("DELETE", path, "application/json", HttpRequest.BodyPublishers.noBody());
    }

    /** Brings files in as one batch; they are read from then on. @return its number */
    public String bring(String stream, List<Path> files) throws IOException, InterruptedException {
        String no = open(stream, files);
        post("/api/batches/" + no + "/arrived", Map.of());
        return no;
    }

    /** Opens a batch with files in it, to which more may come. @return its number */
    public String open(String stream, List<Path> files) throws IOException, InterruptedException {
        String no = post("/api/batches", Map.of("stream", stream)).get("no").asString();
        for (Path file : files) {
            upload("/api/batches/" + no + "/files", file);
        }
        return no;
    }

    public String stage(String no) throws IOException, InterruptedException {
        return get("/api/batches/" + no).get("stage").asString();
    }

    public JsonNode upload(String path, Path file) throws IOException, InterruptedException {
        return upload(path, file.getFileName().toString(), Files.readAllBytes(file));
    }

    public JsonNode upload(String path, String name, byte[] content) throws IOException, InterruptedException {
        String boundary = "jalon-demo-7d1f";
        var body = new ByteArrayOutputStream();
        body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(content);
        body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(
                path,
                "multipart/form-data; boundary=" + boundary,
                HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()));
    }

    private JsonNode send(String path, String type, HttpRequest.BodyPublisher body)
            throws IOException, InterruptedException {
        return send("POST", path, type, body);
    }

    /** @param headers names and values in turn */
    private JsonNode send(String method, String path, String type, HttpRequest.BodyPublisher body, String... headers)
            throws IOException, InterruptedException {
        get("/api/csrf");
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", token)
                .method(method, body);
        return answer((headers.length == 0 ? request : request.headers(headers)).build());
    }

    private JsonNode answer(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(request.method() + " " + request.uri().getPath() + " was answered with "
                    + answer.statusCode() + ": " + answer.body());
        }
        return answer.body().isBlank() ? JSON.valueToTree(Map.of()) : JSON.readTree(answer.body());
    }
}
