package jalon.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A program of the harbour's that takes documents: checks the digest (RFC 9530) and the signature (RFC 9421) of what comes, takes each
 * key once, and shows on a page what arrived.
 */
public final class ProgramStandIn implements AutoCloseable {
    private static final Pattern INPUT = Pattern.compile("jalon=(\\((.*)\\);.*keyid=\"merrow\".*)");
    private static final Pattern PART =
            Pattern.compile("name=\"(data|file)\"(?:; filename=\"([^\"]*)\")?\r\nContent-Type: \\S+\r\n\r\n");
    private static final int CREATED = 201;
    private static final int BAD_REQUEST = 400;
    private static final int UNAUTHORIZED = 401;

    private HttpServer server;
    private final String key;
    private final Map<String, Arrived> arrived = new LinkedHashMap<>();
    private int asked;
    private int refuses;

    /** @param files by name */
    public record Arrived(String data, Map<String, byte[]> files) {}

    private ProgramStandIn(String key) {
        this.key = key;
    }

    /** @param port 0 for a free one, @param key that signs */
    public static ProgramStandIn start(int port, String key) throws IOException {
        var program = new ProgramStandIn(key);
        program.open(port);
        return program;
    }

    private void open(int port) throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/", this::handle);
        server.setExecutor(Executors.newSingleThreadExecutor());
        server.start();
    }

    /** As if killed and started again: what it was being asked is done or not, and nobody hears the answer; what it took it keeps. */
    public void fallOver() throws IOException {
        int port = server.getAddress().getPort();
        server.stop(0);
        open(port);
    }

    public String url() {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/documents";
    }

    /** As Jalon is told of it. */
    public String settings() {
        return """
                {"kind":"program","url":"%s","keyId":"merrow","password":"%s"}""".formatted(url(), key);
    }

    public synchronized List<Arrived> arrived() {
        return List.copyOf(arrived.values());
    }

    /** How often it was asked to take something, taken or not. */
    public synchronized int asked() {
        return asked;
    }

    /** From now on it answers so; 0 for as it should. */
    public synchronized void refuses(int status) {
        refuses = status;
    }

    private synchronized void handle(HttpExchange exchange) throws IOException {
        try (exchange) {
            if (exchange.getRequestMethod().equals("GET")) {
                answer(exchange, 200, page());
                return;
            }
            asked++;
            byte[] body = exchange.getRequestBody().readAllBytes();
            String wrong = wrong(exchange, body);
            if (refuses != 0) {
                answer(exchange, refuses, "not now");
            } else if (wrong != null) {
                answer(exchange, wrong.equals("signature") ? UNAUTHORIZED : BAD_REQUEST, wrong);
            } else {
                String once = exchange.getRequestHeaders().getFirst("Idempotency-Key");
                Arrived what = parts(exchange, body);
                if (!what.data().contains("\"trial\":true")) {
                    arrived.putIfAbsent(once, what);
                }
                exchange.getResponseHeaders().set("Location", "/documents/" + once.replace("\"", ""));
                answer(exchange, CREATED, "");
            }
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void answer(HttpExchange exchange, int status, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        exchange.getResponseBody().write(bytes);
    }

    private String wrong(HttpExchange exchange, byte[] body) throws GeneralSecurityException {
        var headers = exchange.getRequestHeaders();
        String digest = "sha-256=:"
                + Base64.getEncoder()
                        .encodeToString(MessageDigest.getInstance("SHA-256").digest(body)) + ":";
        if (!digest.equals(headers.getFirst("Content-Digest"))) {
            return "digest";
        }
        Matcher input = INPUT.matcher(String.valueOf(headers.getFirst("Signature-Input")));
        if (!input.matches()) {
            return "signature";
        }
        StringBuilder base = new StringBuilder();
        for (String component : input.group(2).split(" ")) {
            String name = component.replace("\"", "");
            String value = switch (name) {
                case "@method" -> exchange.getRequestMethod();
                case "@target-uri" -> url();
                default -> headers.getFirst(name);
            };
            base.append(component).append(": ").append(value).append('\n');
        }
        base.append("\"@signature-params\": ").append(input.group(1));
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(key.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
        byte[] due = mac.doFinal(base.toString().getBytes(StandardCharsets.UTF_8));
        String signature = "jalon=:" + Base64.getEncoder().encodeToString(due) + ":";
        return signature.equals(headers.getFirst("Signature")) ? null : "signature";
    }

    private static Arrived parts(HttpExchange exchange, byte[] body) {
        String type = exchange.getRequestHeaders().getFirst("Content-Type");
        String boundary = "--" + type.substring(type.indexOf("boundary=") + "boundary=".length());
        String data = "";
        Map<String, byte[]> files = new LinkedHashMap<>();
        // One character a byte, so that places in the text are places in the bytes.
        for (String part : new String(body, StandardCharsets.ISO_8859_1).split(Pattern.quote(boundary))) {
            Matcher head = PART.matcher(part);
            if (head.find()) {
                byte[] content = part.substring(head.end(), part.length() - 2).getBytes(StandardCharsets.ISO_8859_1);
                if (head.group(1).equals("data")) {
                    data = new String(content, StandardCharsets.UTF_8);
                } else {
                    files.put(
                            new String(head.group(2).getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8),
                            content);
                }
            }
        }
        return new Arrived(data, files);
    }

    private String page() {
        StringBuilder rows = new StringBuilder("<!doctype html><meta charset=utf-8><title>Port Merrow ledger</title>"
                + "<style>body{font:17px sans-serif;margin:2em}td{padding:4px 12px;vertical-align:top}</style>"
                + "<h1>Port Merrow ledger: " + arrived.size() + " documents arrived</h1><table>");
        List<Arrived> all = new ArrayList<>(arrived.values());
        for (Arrived one : all) {
            rows.append("<tr><td>")
                    .append(StandIns.escaped(String.join(", ", one.files().keySet())))
                    .append("<td><code>")
                    .append(StandIns.escaped(one.data()))
                    .append("</code>");
        }
        return rows.append("</table>").toString();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
