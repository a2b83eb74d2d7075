package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What people and programs send by mistake or malice: each a clear message, the rest of the batch goes on. */
class HostileSendersTest extends ServerCase {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "../../etc/passwd.jpg|passwd.jpg",
                "C:\\scans\\a.jpg|a.jpg",
                "a\tb\u0007.jpg|ab.jpg",
                "ship \uD83D\uDEA2.jpg|ship \uD83D\uDEA2.jpg",
                "\u202Egpj.exe|gpj.exe",
                "..|..",
            })
    void aSendersFileNameIsShownAndNeverUsedAsAPath(String sent, String shown) throws Exception {
        Path page =
                Paper.duesLetters(scans, Harbour.portMerrow(), 1, 71).files().get(0);
        String no = open();
        JsonNode answer = operator.upload("/api/batches/" + no + "/files", unescaped(sent), Files.readAllBytes(page));
        assertThat(answer.get("name").asString()).isEqualTo(unescaped(shown));
        assertThat(answer.get("pages").asInt()).isEqualTo(1);
        try (var all = Files.walk(DATA.resolve("data/received"))) {
            assertThat(all.filter(Files::isRegularFile))
                    .allMatch(f -> f.getFileName().toString().matches("[0-9a-f]{62}"));
        }
    }

    @Test
    void filesThatCannotBeReadAreToldAndTheRestOfTheBatchBalances() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 73);
        Map<String, byte[]> bad = Map.of(
                "empty.pdf", new byte[0],
                "letter.jpg", "Dear Harbour Master".getBytes(StandardCharsets.UTF_8),
                "endless.tif", loopingTiff(),
                "huge.png", hugePng());
        String no = open();
        List<String> reasons = new ArrayList<>();
        for (var file : bad.entrySet()) {
            JsonNode answer = operator.upload("/api/batches/" + no + "/files", file.getKey(), file.getValue());
            reasons.add(answer.get("rejected").get("code").asString());
        }
        assertThat(reasons).containsExactlyInAnyOrder("emptyFile", "unknownKind", "noPage", "tooLarge");
        for (Path file : stack.files()) {
            operator.upload("/api/batches/" + no + "/files", file);
        }
        operator.post("/api/batches/" + no + "/arrived", Map.of());
        leftIntake(no);
        JsonNode batch = operator.get("/api/batches/" + no);
        assertThat(batch.get("rejected")).hasSize(4);
        assertThat(batch.get("ledger").get("received").asInt()).isEqualTo(stack.pages());
        assertThat(batch.get("documents")).hasSize(2);
    }

    @Test
    void requestsThatMakeNoSenseAreAnsweredWithWhatToDo() throws Exception {
        String no = open();
        assertThatThrownBy(() -> operator.post("/api/batches", Map.of("stream", "no-such")))
                .hasMessageContaining("no stream");
        assertThatThrownBy(() -> operator.get("/api/batches/B-9999")).hasMessageContaining("404");
        assertThatThrownBy(() -> operator.get("/api/batches/1%20or%201=1")).hasMessageContaining("There is no batch");
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/decisions", Map.of("act", "burn", "page", 1)))
                .hasMessageContaining("burn")
                .hasMessageContaining("is none of plantStake, liftStake");
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/filing", Map.of()))
                .hasMessageContaining("still being read");
        operator.post("/api/batches/" + no + "/arrived", Map.of());
        leftIntake(no);
        for (Map<String, ?> odd : List.of(
                Map.of("act", "setAside"),
                Map.of("act", "setAside", "pages", List.of(7)),
                Map.of("act", "plantStake", "page", 3))) {
            assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/decisions", odd))
                    .hasMessageContaining("422");
        }
        assertThatThrownBy(() -> operator.upload("/api/batches/" + no + "/files", "late.jpg", new byte[3]))
                .hasMessageContaining("open a new one");
    }

    @Test
    void anOperatorCannotSaveStreamsAndAReaderSeesOnlyTheArchive() throws Exception {
        String no = open();
        Api reader = api("i.ravenel", "merrow-reader");
        for (String path :
                List.of("/api/batches/" + no, "/api/board", "/api/streams", "/api/folders", "/v3/api-docs")) {
            assertThatThrownBy(() -> reader.get(path)).as(path).hasMessageContaining("403");
        }
        assertThatThrownBy(() -> reader.post("/api/batches", Map.of("stream", "dues-letters")))
                .hasMessageContaining("ask a supervisor");
        assertThatThrownBy(() -> operator.post("/api/registers/vessels", Map.of("csv", "a,b")))
                .hasMessageContaining("403");
    }

    private String open() throws Exception {
        return operator.post("/api/batches", Map.of("stream", "dues-letters"))
                .get("no")
                .asString();
    }

    private static String unescaped(String s) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < s.length(); i++) {
            if (s.startsWith("\\u", i)) {
                out.append((char) Integer.parseInt(s.substring(i + 2, i + 6), 16));
                i += 5;
            } else if (s.startsWith("\\t", i)) {
                out.append('\t');
                i++;
            } else {
                out.append(s.charAt(i));
            }
        }
        return out.toString();
    }

    /** Two directories that point at each other. */
    private static byte[] loopingTiff() {
        ByteBuffer b = ByteBuffer.allocate(64).order(ByteOrder.LITTLE_ENDIAN);
        b.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        b.putShort((short) 0).putInt(16).putShort((short) 0);
        b.putShort((short) 0).putInt(8);
        return b.array();
    }

    /** 30,000 x 30,000 pixels of one colour in a few kB. */
    private static byte[] hugePng() throws Exception {
        var out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        ByteBuffer head = ByteBuffer.allocate(13).putInt(30_000).putInt(30_000);
        head.put((byte) 1).put((byte) 0);
        chunk(out, "IHDR", head.array());
        var data = new ByteArrayOutputStream();
        try (var deflate = new DeflaterOutputStream(data)) {
            deflate.write(new byte[200_000]);
        }
        chunk(out, "IDAT", data.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] body) throws Exception {
        var data = new DataOutputStream(out);
        byte[] name = type.getBytes(StandardCharsets.US_ASCII);
        CRC32 crc = new CRC32();
        crc.update(name);
        crc.update(body);
        data.writeInt(body.length);
        data.write(name);
        data.write(body);
        data.writeInt((int) crc.getValue());
    }
}
