package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import jalon.core.image.GrayPlane;
import jalon.core.image.Skew;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The image check: what is found, what people do about it, and that the received bytes stay as they came. */
class ImagesTest extends ServerCase {
    private String no;
    private String path;
    private List<Path> files;

    @BeforeEach
    void wornLetters() throws Exception {
        // Faint, blurred, with a corner missing.
        files = Paper.wornLetters(scans, Harbour.portMerrow(), 5, 39).files().subList(2, 5);
        no = bring("dues-letters", files);
        path = "/api/batches/" + no;
    }

    @Test
    void whatIsUnfitIsFoundKeptRepairedAndAskedForAgain() throws Exception {
        assertThat(operator.stage(no)).isEqualTo("pages");
        assertThat(findings(1)).containsExactly("contrast");
        assertThat(findings(2)).containsExactly("blur");
        assertThat(findings(3)).containsExactly("corner");
        decide(Map.of("act", "acceptImage", "pages", List.of(1)));
        assertThat(page(no, 1).get("needsEye").asBoolean()).isFalse();
        assertThat(page(no, 1).get("image").get("acceptedBy").asString()).isEqualTo("M. Tarrow");

        List<Map<String, Object>> recipe = List.of(Map.of("do", "levels", "brightness", 0.0, "contrast", 0.5));
        String picture = path + "/pages/2/picture?width=200";
        byte[] before = operator.bytes(picture);
        String asked = URLEncoder.encode("[{\"do\":\"levels\",\"contrast\":0.5}]", StandardCharsets.UTF_8);
        assertThat(operator.bytes(picture + "&recipe=" + asked)).as("previewed").isNotEqualTo(before);
        decide(Map.of("act", "repairPage", "page", 2, "recipe", recipe));
        assertThat(page(no, 2).get("image").get("repairs").get(0).get("do").asString())
                .isEqualTo("levels");
        assertThat(page(no, 2).get("needsEye").asBoolean()).isFalse();
        operator.post(path + "/undo", Map.of());
        assertThat(page(no, 2).get("needsEye").asBoolean()).isTrue();
        operator.post(path + "/redo", Map.of());
        assertThat(operator.bytes(picture)).as("the received page").isEqualTo(before);

        decide(Map.of("act", "askAgain", "page", 3, "because", "a corner is missing"));
        assertThat(rescans()).containsExactly("3 a corner is missing");
        assertThatThrownBy(() -> operator.post(path + "/filing", Map.of())).hasMessageContaining("to be scanned again");
        assertThatThrownBy(() -> decide(Map.of("act", "askAgain", "page", 3, "because", " ")))
                .hasMessageContaining("Say why");
        operator.upload(path + "/insert?replaces=3", files.get(1));
        await().until(() -> operator.get(path).get("pages").size() == 4);
        assertThat(rescans()).as("the new page took its place").isEmpty();
        assertThat(operator.get("/api/batches/" + no)
                        .get("ledger")
                        .get("setAside")
                        .asInt())
                .isEqualTo(1);

        assertThat(operator.get(path + "/log").toString())
                .contains("askedAgain", "a corner is missing", "repaired", "UNDONE", "keptImage");
        String csv = new String(operator.bytes(path + "/image-report.csv"), StandardCharsets.UTF_8);
        assertThat(csv).contains("contrast 0.21 under 0.30", "M. Tarrow, 20");
        assertThat(new String(operator.bytes(path + "/image-report.pdf"), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF");
        for (JsonNode page : operator.get(path + "/report").get("pages")) {
            String hash = page.get("sha256").asString();
            Path kept = DATA.resolve("data/received/" + hash.substring(0, 2) + "/" + hash.substring(2));
            byte[] bytes = Files.readAllBytes(kept);
            assertThat(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)))
                    .as("received bytes of page " + page.get("no"))
                    .isEqualTo(hash);
        }
    }

    @Test
    void aLimitSavedWithTheStreamHoldsForNewBatchesOnly() throws Exception {
        var supervisor = api("t.vane", "merrow-supervisor");
        String before = new String(supervisor.bytes("/api/streams/dues-letters"), StandardCharsets.UTF_8);
        String after = before.replace("\"pages\": {", "\"pages\": { \"limits\": { \"blur\": null, \"corner\": 60 },");
        supervisor.post("/api/streams", Map.of("json", after));
        try {
            assertThat(findings(2)).containsExactly("blur");
            String later = bring("dues-letters", files.subList(1, 2));
            assertThat(page(later, 1).get("image").get("findings")).isEmpty();
        } finally {
            supervisor.post("/api/streams", Map.of("json", before));
        }
        String unknown = before.replace("\"pages\": {", "\"pages\": { \"limits\": { \"beauty\": 1 },");
        assertThatThrownBy(() -> supervisor.post("/api/streams", Map.of("json", unknown)))
                .hasMessageContaining("/pages/limits");
    }

    @Test
    void theArchiveShowsPagesAsTheyWereFiledAndOnWishAsReceived() throws Exception {
        var stack = Paper.wornLetters(scans, Harbour.portMerrow(), 2, 39);
        no = bring("dues-letters", stack.files());
        path = "/api/batches/" + no;
        for (JsonNode page : operator.get(path).get("pages")) {
            decide(Map.of("act", "acceptImage", "pages", List.of(page.get("no").asInt())));
        }
        for (JsonNode document : operator.get(path).get("documents")) {
            decide(Map.of(
                    "act", "confirmStake", "page", document.get("pages").get(0).asInt()));
        }
        settleTheRest(no, stack);
        operator.post(path + "/filing", Map.of());
        awaitStage(no, "done");
        JsonNode leaning = operator.get("/api/archive?q=batch:" + no)
                .get("found")
                .valueStream()
                .map(d -> opened(d.get("id").asLong()))
                .filter(d -> d.get("pages").get(0).get("lean").asDouble() > 9)
                .findFirst()
                .orElseThrow();
        assertThat(leaning.get("document").get("document").get("fields").valueStream())
                .as("in the order of the type, not of the alphabet")
                .extracting(f -> f.get("title").asString())
                .containsSubsequence("Vessel", "Written on", "Amount");
        assertThat(leaning.get("pages").get(0).get("lean").asDouble()).isBetween(9.0, 10.0);
        assertThat(leaning.get("pages").get(0).get("repairs").get(0).get("do").asString())
                .isEqualTo("straighten");
        String picture = "/api/archive/"
                + leaning.get("document").get("document").get("id").asLong() + "/pages/1/picture?width=900";
        assertThat(lean(operator.bytes(picture))).as("as filed").isCloseTo(0, within(0.15));
        assertThat(lean(operator.bytes(picture + "&received=true")))
                .as("as received")
                .isBetween(9.0, 10.0);
    }

    private JsonNode opened(long id) {
        try {
            return operator.get("/api/archive/" + id);
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    private static double lean(byte[] jpeg) throws Exception {
        var image = ImageIO.read(new ByteArrayInputStream(jpeg));
        return Skew.of(GrayPlane.of(image, 100)).degrees();
    }

    /** Each is measured, or left out of a figure, and shown; none keeps the batch from going on. */
    @Test
    void oddPicturesAreMeasuredAsFarAsTheyCanBe() throws Exception {
        Map<String, BufferedImage> odd = new LinkedHashMap<>();
        odd.put("dot", new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY));
        odd.put("black", new BufferedImage(800, 1100, BufferedImage.TYPE_BYTE_GRAY));
        odd.put("deep", new BufferedImage(800, 1100, BufferedImage.TYPE_USHORT_GRAY));
        odd.put("glass", new BufferedImage(800, 1100, BufferedImage.TYPE_INT_ARGB));
        odd.put("palette", new BufferedImage(800, 1100, BufferedImage.TYPE_BYTE_INDEXED));
        odd.put("receipt", new BufferedImage(640, 7800, BufferedImage.TYPE_3BYTE_BGR));
        List<Path> pictures = new ArrayList<>();
        for (var picture : odd.entrySet()) {
            Path file = scans.resolve(picture.getKey() + ".png");
            ImageIO.write(picture.getValue(), "png", file.toFile());
            pictures.add(file);
        }
        no = bring("dues-letters", pictures);
        path = "/api/batches/" + no;
        JsonNode figures = operator.get(path + "/figures");
        assertThat(figures).hasSize(odd.size());
        assertThat(figures.get(0)
                        .get("figures")
                        .valueStream()
                        .map(f -> f.get("kind").asString()))
                .as("of a single pixel")
                .contains("resolution")
                .doesNotContain("blur", "contrast", "specks");
        for (int page = 1; page <= odd.size(); page++) {
            String asked = URLEncoder.encode(
                    "[{\"do\":\"straighten\"},{\"do\":\"whitenEdges\"},{\"do\":\"evenLight\"},"
                            + "{\"do\":\"dropColour\"},{\"do\":\"bitonal\"}]",
                    StandardCharsets.UTF_8);
            assertThat(operator.bytes(path + "/pages/" + page + "/picture?width=200&recipe=" + asked))
                    .as("page " + page)
                    .startsWith(0xFF, 0xD8);
        }
        assertThat(new String(operator.bytes(path + "/image-report.csv"), StandardCharsets.UTF_8))
                .hasLineCount(odd.size() + 1);
    }

    private void decide(Map<String, ?> decision) throws Exception {
        operator.post(path + "/decisions", decision);
    }

    private List<String> findings(int page) throws Exception {
        return page(no, page)
                .get("image")
                .get("findings")
                .valueStream()
                .map(f -> f.get("kind").asString())
                .toList();
    }

    private List<String> rescans() throws Exception {
        return operator.get("/api/rescans")
                .valueStream()
                .filter(r -> r.get("batch").asString().equals(no))
                .map(r -> r.get("page").asInt() + " " + r.get("because").asString())
                .toList();
    }
}
