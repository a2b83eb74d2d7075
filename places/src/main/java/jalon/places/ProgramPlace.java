package jalon.places;

import jalon.core.output.FiledDocument;
import jalon.core.page.Sha256;
import jalon.core.words.Words;
import jalon.places.PlaceTrouble.Why;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import tools.jackson.databind.json.JsonMapper;

/**
 * Hands documents to a program: one POST of {@code multipart/form-data} (RFC 7578), the part {@code data} saying what it is, the
 * parts {@code file} its files. It carries a digest of its body (RFC 9530), a key that another try of the same has too, and
 * a signature over them (RFC 9421, {@code hmac-sha256}).
 */
final class ProgramPlace implements SentAway {
    private static final int TOO_LARGE = 413;
    private static final int MOST_OF_ANSWER = 200;
    private static final String SIGNED = "(\"@method\" \"@target-uri\" \"content-digest\" \"idempotency-key\")";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final PlaceSettings.Program to;
    private final Web web;

    ProgramPlace(PlaceSettings.Program to) {
        this.to = to;
        this.web = new Web(to);
    }

    @Override
    public String where() {
        return to.where();
    }

    private record FileSaid(String name, String format, long bytes, String sha256) {}

    /** A body in pieces, so that no file need be held in memory: digested once, sent once. */
    private static final class Body {
        private final String boundary;
        private final List<Object> pieces = new ArrayList<>();

        Body(String boundary) {
            this.boundary = boundary;
        }

        Body part(String disposition, String type, Object content) {
            String head = "--" + boundary + "\r\nContent-Disposition: form-data; " + disposition + "\r\nContent-Type: "
                    + type + "\r\n\r\n";
            pieces.add(head.getBytes(StandardCharsets.UTF_8));
            pieces.add(content);
            pieces.add("\r\n".getBytes(StandardCharsets.UTF_8));
            return this;
        }

        Body end() {
            pieces.add(("--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
            return this;
        }

        String digest() throws IOException {
            List<InputStream> all = new ArrayList<>();
            for (Object piece : pieces) {
                all.add(
                        piece instanceof Path file
                                ? Files.newInputStream(file)
                                : new ByteArrayInputStream((byte[]) piece));
            }
            try (var whole = new SequenceInputStream(Collections.enumeration(all))) {
                byte[] sha256 = HexFormat.of().parseHex(Sha256.of(whole));
                return "sha-256=:" + Base64.getEncoder().encodeToString(sha256) + ":";
            }
        }

        BodyPublisher publisher() throws IOException {
            List<BodyPublisher> all = new ArrayList<>();
            for (Object piece : pieces) {
                all.add(
                        piece instanceof Path file
                                ? BodyPublishers.ofFile(file)
                                : BodyPublishers.ofByteArray((byte[]) piece));
            }
            return BodyPublishers.concat(all.toArray(BodyPublisher[]::new));
        }
    }

    @Override
    public List<Placed> put(Parcel parcel, Remembered remembered) throws IOException {
        FiledDocument document = parcel.document();
        List<String> names = parcel.names();
        List<FileSaid> files = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            Ready file = parcel.files().get(i);
            files.add(new FileSaid(names.get(i), Words.name(file.format()), file.bytes(), file.sha256()));
        }
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("stream", document.origin().stream());
        data.put("type", document.origin().type());
        data.put("batch", document.origin().batch());
        data.put("document", document.origin().no());
        data.put("title", document.title());
        data.put("filed", document.at().toString());
        data.put("folder", parcel.spot().folder());
        data.put("fields", document.fields());
        data.put("properties", parcel.properties());
        data.put("files", files);
        String key = parcel.key();
        Body body = data(key, data);
        for (int i = 0; i < names.size(); i++) {
            String quoted =
                    names.get(i).replace("\"", "%22").replace("\r", "%0D").replace("\n", "%0A");
            body.part(
                    "name=\"file\"; filename=\"" + quoted + "\"",
                    "application/octet-stream",
                    parcel.files().get(i).file());
        }
        remembered.about(names);
        String at = asked(key, body.end()).headers().firstValue("Location").orElse(null);
        return names.stream().map(name -> new Placed(name, at)).toList();
    }

    private static Body data(String key, Map<String, Object> data) {
        return new Body(key).part("name=\"data\"", "application/json", JSON.writeValueAsBytes(data));
    }

    /** A request that brings nothing: {@code data} is {@code {"trial": true}}. */
    @Override
    public void tryIt() throws IOException {
        String key = "trial-" + Instant.now().toEpochMilli();
        asked(key, data(key, Map.of("trial", true)).end());
    }

    private HttpResponse<String> asked(String key, Body body) throws IOException {
        String digest = body.digest();
        String parameters = SIGNED + ";created=" + Instant.now().getEpochSecond() + ";keyid=\"" + to.keyId()
                + "\";alg=\"hmac-sha256\"";
        String base = "\"@method\": POST\n\"@target-uri\": " + to.url() + "\n\"content-digest\": " + digest
                + "\n\"idempotency-key\": \"" + key + "\"\n\"@signature-params\": " + parameters;
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(to.url()))
                .header("Content-Type", "multipart/form-data; boundary=" + body.boundary)
                .header("Idempotency-Key", "\"" + key + "\"")
                .header("Content-Digest", digest)
                .header("Signature-Input", "jalon=" + parameters)
                .header("Signature", "jalon=:" + signed(base) + ":")
                .POST(body.publisher());
        HttpResponse<String> answer = web.send(request, BodyHandlers.ofString());
        int status = answer.statusCode();
        if (status / 100 == 2) {
            return answer;
        }
        String said = answer.body().strip();
        String words = status + " " + said.substring(0, Math.min(said.length(), MOST_OF_ANSWER));
        throw switch (status) {
            case Web.UNAUTHORIZED -> new PlaceTrouble(Why.NOT_LET_IN, to.keyId());
            case Web.FORBIDDEN -> new PlaceTrouble(Why.NOT_ALLOWED, words.strip());
            case TOO_LARGE -> new PlaceTrouble(Why.TOO_LARGE, words.strip());
            case Web.INSUFFICIENT_STORAGE -> new PlaceTrouble(Why.FULL, to.url());
            default -> new PlaceTrouble(Why.REFUSED, words.strip());
        };
    }

    private String signed(String base) throws PlaceTrouble {
        if (to.password() == null || to.password().isEmpty()) {
            throw new PlaceTrouble(Why.NO_SECRET, to.keyId());
        }
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(to.password().getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return Base64.getEncoder().encodeToString(mac.doFinal(base.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has this", e);
        }
    }
}
