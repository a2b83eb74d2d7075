package jalon.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The harbour's object store: a small part of S3 on the loopback, one bucket, one pair of keys. It takes requests signed by
 * version 4, objects put whole, looked at, fetched, listed and taken away, and refuses a key that it has where that is asked.
 */
public final class ObjectStoreStandIn implements AutoCloseable {
    public static final String BUCKET = "records";
    public static final String ACCESS_KEY = "merrow";

    private static final int OK = 200;
    private static final int NO_CONTENT = 204;
    private static final int BAD_REQUEST = 400;
    private static final int FORBIDDEN = 403;
    private static final int NOT_FOUND = 404;
    private static final int PRECONDITION_FAILED = 412;

    private final HttpServer server;
    private final Path root;
    private final Map<String, Map<String, String>> metadata = new ConcurrentHashMap<>();
    private volatile String secret;

    private ObjectStoreStandIn(HttpServer server, Path root, String secret) {
        this.server = server;
        this.root = root;
        this.secret = secret;
    }

    /** @param port 0 for a free one, @param root where its objects lie */
    public static ObjectStoreStandIn start(int port, Path root, String secret) throws IOException {
        Files.createDirectories(root.resolve(BUCKET));
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        var store = new ObjectStoreStandIn(server, root, secret);
        server.createContext("/", store::handle);
        server.setExecutor(Executors.newFixedThreadPool(4));
        server.start();
        return store;
    }

    public String url() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Where the objects lie as files. */
    public Path folder() {
        return root.resolve(BUCKET);
    }

    /** What was said of an object when it was put. */
    public Map<String, String> metadata(String key) {
        return metadata.getOrDefault(key, Map.of());
    }

    /** From now on only this one lets in. */
    public void secret(String other) {
        secret = other;
    }

    /** As Jalon is told of it. */
    public String settings() {
        return """
                {"kind":"s3","url":"%s","bucket":"%s","accessKey":"%s","password":"%s","folder":"filed"}""".formatted(url(), BUCKET, ACCESS_KEY, secret);
    }

    private static final class Refused extends Exception {
        private static final long serialVersionUID = 1L;
        private final int status;

        Refused(int status, String code) {
            super(code);
            this.status = status;
        }
    }

    private void handle(HttpExchange exchange) throws IOException {
        try (exchange) {
            try {
                byte[] body = exchange.getRequestBody().readAllBytes();
                check(exchange, body);
                String[] path = URLDecoder.decode(
                                exchange.getRequestURI()
                                        .getRawPath()
                                        .substring(1)
                                        .replace("+", "%2B"),
                                StandardCharsets.UTF_8)
                        .split("/", 2);
                if (!path[0].equals(BUCKET)) {
                    throw new Refused(NOT_FOUND, "NoSuchBucket");
                }
                if (path.length < 2 || path[1].isEmpty()) {
                    bucket(exchange);
                } else {
                    object(exchange, path[1], body);
                }
            } catch (Refused e) {
                boolean bodiless = exchange.getRequestMethod().equals("HEAD");
                answer(exchange, e.status, bodiless ? null : "<Error><Code>" + e.getMessage() + "</Code></Error>");
            } catch (GeneralSecurityException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static void answer(HttpExchange exchange, int status, String xml) throws IOException {
        byte[] bytes = xml == null ? new byte[0] : xml.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/xml");
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        exchange.getResponseBody().write(bytes);
    }

    /** Signature version 4 over the request, and the digest of the body that it signs. */
    private void check(HttpExchange exchange, byte[] body) throws Refused, GeneralSecurityException {
        var headers = exchange.getRequestHeaders();
        String authorization = headers.getFirst("Authorization");
        if (authorization == null || !authorization.startsWith("AWS4-HMAC-SHA256 ")) {
            throw new Refused(FORBIDDEN, "AccessDenied");
        }
        Map<String, String> said = Arrays.stream(
                        authorization.substring(authorization.indexOf(' ')).split(","))
                .map(part -> part.strip().split("=", 2))
                .collect(Collectors.toMap(part -> part[0], part -> part[1]));
        String[] scope = said.get("Credential").split("/", 2);
        if (!scope[0].equals(ACCESS_KEY)) {
            throw new Refused(FORBIDDEN, "InvalidAccessKeyId");
        }
        String sum = Objects.requireNonNullElse(headers.getFirst("x-amz-content-sha256"), sha256(body));
        String signedHeaders = said.get("SignedHeaders");
        StringBuilder canonical = new StringBuilder(
                exchange.getRequestMethod() + "\n" + exchange.getRequestURI().getRawPath() + "\n"
                        + query(exchange.getRequestURI().getRawQuery()) + "\n");
        for (String name : signedHeaders.split(";")) {
            String values = headers.getOrDefault(name, List.of()).stream()
                    .map(v -> v.strip().replaceAll(" +", " "))
                    .collect(Collectors.joining(","));
            canonical.append(name).append(':').append(values).append('\n');
        }
        canonical.append('\n').append(signedHeaders).append('\n').append(sum);
        String toSign = "AWS4-HMAC-SHA256\n" + headers.getFirst("x-amz-date") + "\n" + scope[1] + "\n"
                + sha256(canonical.toString().getBytes(StandardCharsets.UTF_8));
        byte[] key = ("AWS4" + secret).getBytes(StandardCharsets.UTF_8);
        for (String part : scope[1].split("/")) {
            key = hmac(key, part);
        }
        if (!HexFormat.of().formatHex(hmac(key, toSign)).equals(said.get("Signature"))) {
            throw new Refused(FORBIDDEN, "SignatureDoesNotMatch");
        }
        if (!"UNSIGNED-PAYLOAD".equals(sum) && !sha256(body).equals(sum)) {
            throw new Refused(BAD_REQUEST, "XAmzContentSHA256Mismatch");
        }
    }

    private static String query(String raw) {
        return raw == null
                ? ""
                : Arrays.stream(raw.split("&"))
                        .map(p -> p.contains("=") ? p : p + "=")
                        .sorted()
                        .collect(Collectors.joining("&"));
    }

    private static byte[] hmac(byte[] key, String text) throws GeneralSecurityException {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(key, "HmacSHA256"));
        return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
    }

    private static String sha256(byte[] bytes) throws GeneralSecurityException {
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    }

    private void bucket(HttpExchange exchange) throws IOException {
        if (exchange.getRequestMethod().equals("HEAD")) {
            answer(exchange, OK, null);
            return;
        }
        List<String> keys = new ArrayList<>();
        try (Stream<Path> all = Files.walk(folder())) {
            all.filter(Files::isRegularFile)
                    .map(f -> folder().relativize(f).toString())
                    .filter(f -> !f.startsWith("."))
                    .sorted()
                    .forEach(keys::add);
        }
        StringBuilder xml = new StringBuilder("<ListBucketResult><Name>" + BUCKET + "</Name><KeyCount>" + keys.size()
                + "</KeyCount><IsTruncated>false</IsTruncated>");
        for (String key : keys) {
            xml.append("<Contents><Key>")
                    .append(key.replace("&", "&amp;").replace("<", "&lt;"))
                    .append("</Key><Size>")
                    .append(Files.size(folder().resolve(key)))
                    .append("</Size><LastModified>")
                    .append(Files.getLastModifiedTime(folder().resolve(key)))
                    .append("</LastModified></Contents>");
        }
        answer(exchange, OK, xml.append("</ListBucketResult>").toString());
    }

    private void object(HttpExchange exchange, String key, byte[] body)
            throws IOException, Refused, GeneralSecurityException {
        Path file = folder().resolve(key).normalize();
        if (!file.startsWith(folder())) {
            throw new Refused(BAD_REQUEST, "InvalidURI");
        }
        switch (exchange.getRequestMethod()) {
            case "PUT" -> put(exchange, key, file, body);
            case "DELETE" -> {
                Files.deleteIfExists(file);
                answer(exchange, NO_CONTENT, null);
            }
            default -> get(exchange, key, file);
        }
    }

    private void put(HttpExchange exchange, String key, Path file, byte[] body)
            throws IOException, Refused, GeneralSecurityException {
        var headers = exchange.getRequestHeaders();
        String sum = headers.getFirst("x-amz-checksum-sha256");
        if (sum != null
                && !HexFormat.of().formatHex(Base64.getDecoder().decode(sum)).equals(sha256(body))) {
            throw new Refused(BAD_REQUEST, "BadDigest");
        }
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(folder(), ".part", "");
        Files.write(part, body);
        if ("*".equals(headers.getFirst("If-None-Match"))) {
            try {
                Files.createLink(file, part);
            } catch (FileAlreadyExistsException e) {
                throw new Refused(PRECONDITION_FAILED, "PreconditionFailed");
            } finally {
                Files.delete(part);
            }
        } else {
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        }
        Map<String, String> said = new TreeMap<>();
        headers.forEach((name, values) -> {
            String lower = name.toLowerCase(Locale.ROOT);
            if (lower.startsWith("x-amz-meta-")) {
                said.put(lower.substring("x-amz-meta-".length()), values.get(0));
            }
        });
        metadata.put(key, said);
        exchange.getResponseHeaders().set("ETag", etag(body));
        answer(exchange, OK, null);
    }

    private static String etag(byte[] body) throws GeneralSecurityException {
        return "\"" + HexFormat.of().formatHex(MessageDigest.getInstance("MD5").digest(body)) + "\"";
    }

    private void get(HttpExchange exchange, String key, Path file)
            throws IOException, Refused, GeneralSecurityException {
        if (!Files.isRegularFile(file)) {
            throw new Refused(NOT_FOUND, "NoSuchKey");
        }
        byte[] bytes = Files.readAllBytes(file);
        var headers = exchange.getResponseHeaders();
        headers.set("ETag", etag(bytes));
        headers.set("Content-Type", "application/octet-stream");
        headers.set(
                "Last-Modified",
                java.time.format.DateTimeFormatter.RFC_1123_DATE_TIME.format(
                        Instant.now().atOffset(java.time.ZoneOffset.UTC)));
        metadata(key).forEach((name, value) -> headers.set("x-amz-meta-" + name, value));
        if (exchange.getRequestMethod().equals("HEAD")) {
            headers.set("Content-Length", Integer.toString(bytes.length));
            exchange.sendResponseHeaders(OK, -1);
        } else {
            exchange.sendResponseHeaders(OK, bytes.length == 0 ? -1 : bytes.length);
            exchange.getResponseBody().write(bytes);
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
