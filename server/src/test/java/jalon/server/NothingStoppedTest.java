package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Harbour;
import jalon.demo.Hostile;
import jalon.demo.Paper;
import jalon.standins.MailStandIn;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** No file, mail, page or delivery keeps the others from being worked on, and what cannot be done is told. */
class NothingStoppedTest extends ChannelCase {
    private final Duration patient = Duration.ofSeconds(120);

    @Test
    void pagesThatNeverEndAreToldAfterThreeAttemptsWhileOthersAreReadAndCanBeTriedAgain() throws Exception {
        Path folder = folder("hostile");
        channel("hostile", folderSettings(folder, 0, false));
        for (int i = 1; i <= 2; i++) {
            Files.write(folder.resolve("endless" + i + ".pdf"), Hostile.selfDrawingPdf());
        }
        Files.write(folder.resolve("looping.pdf"), Hostile.loopingPagesPdf());
        Files.copy(letter, folder.resolve("letter.jpg"));
        await().atMost(patient).until(() -> batchOf("letter.jpg") != null);
        await().atMost(patient)
                .until(() -> !operator.stage(batchOf("letter.jpg")).equals("intake"));
        for (int i = 1; i <= 2; i++) {
            String file = "endless" + i + ".pdf";
            await().atMost(patient).until(() -> batchOf(file) != null);
            await().atMost(patient).until(() -> operator.stage(batchOf(file)).equals("pages"));
        }
        String no = batchOf("endless1.pdf");
        JsonNode told = operator.get("/api/batches/" + no).get("rejected").get(0);
        assertThat(told.get("page").asInt()).isEqualTo(1);
        assertThat(told.get("reason").get("code").asString()).isEqualTo("timeUp");
        assertThat(told.get("reason").get("attempts").asInt()).isEqualTo(3);
        assertThat(folder.resolve("rejected/looping.pdf")).exists();
        operator.post("/api/batches/" + no + "/pages/1/try-again", Map.of());
        assertThat(operator.get("/api/batches/" + no).get("rejected")).isEmpty();
        assertThatThrownBy(() -> operator.post("/api/batches/" + no + "/pages/7/try-again", Map.of()))
                .hasMessageContaining("no page 7");
    }

    @Test
    void aMailThatCannotBeTakenApartIsSetAsideAfterThreeTriesAndStopsNoOther() throws Exception {
        try (var mail = MailStandIn.start(0, 0)) {
            mail.deliverRaw("From: ewa@merrow.example\r\nSubject: broken\r\nMIME-Version: 1.0\r\n"
                    + "Content-Type: multipart/mixed\r\n\r\nno parts\r\n");
            mail.deliver("agent@quay.example", "whole", Map.of("dues.jpg", Files.readAllBytes(letter)));
            Map<String, Object> box = new LinkedHashMap<>(mail.channel(1));
            box.put("password", MailStandIn.PASSWORD);
            channel("broken post", box);
            await().atMost(soon).until(() -> mail.in("Done") == 1);
            await().atMost(soon).until(() -> mail.in("Aside") == 1 && mail.in("INBOX") == 0);
            assertThat(seen("broken post").get("rejected").asInt()).isEqualTo(1);
        }
    }

    @Test
    void aDeliveryThatIsRefusedSaysWhatCanBeDoneAndDoesIt() throws Exception {
        ObjectNode stream = (ObjectNode) operator.get("/api/streams/dues-letters");
        stream.put("stream", "refusing-letters");
        ((ObjectNode) stream.get("destinations").get(0)).put("taken", "refuse").put("file", "always this");
        ((ObjectNode) stream.get("destinations").get(0)).put("folder", "");
        supervisor.post("/api/streams", Map.of("json", stream.toString()));
        String first = filed();
        awaitStage(first, "done");
        for (Map<String, String> fate : List.of(
                Map.of("fate", "number"),
                Map.of("fate", "rename", "name", "another/name"),
                Map.of("fate", "leaveOut"))) {
            String no = filed();
            await().atMost(soon).until(() -> refused(no) != null);
            JsonNode refused = refused(no);
            assertThat(words(refused.get("reason"))).contains("There is another always this");
            assertThat(onBoard(no).get("doubts").asInt()).isEqualTo(1);
            assertThat(onBoard(no).get("filing").asBoolean()).isFalse();
            assertThat(operator.stage(no)).isEqualTo("filing");
            operator.post(
                    "/api/batches/" + no + "/deliveries/" + refused.get("id").asLong(), fate);
            awaitStage(no, "done");
            assertThat(operator.get("/api/batches/" + no + "/filing").toString())
                    .contains(
                            switch (fate.get("fate")) {
                                case "number" -> "always this (";
                                case "rename" -> "another-name";
                                default -> "\"leftOut\"";
                            });
            assertThatThrownBy(() -> operator.post(
                            "/api/batches/" + no + "/deliveries/"
                                    + refused.get("id").asLong(),
                            fate))
                    .hasMessageContaining("nothing more");
        }
    }

    /** A letter of the refusing stream, settled and sent to be filed. */
    private String filed() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 1, 49);
        String no = bring("refusing-letters", stack.files());
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        return no;
    }

    private JsonNode onBoard(String no) throws Exception {
        for (JsonNode b : operator.get("/api/board").get("batches")) {
            if (b.get("no").asString().equals(no)) {
                return b;
            }
        }
        throw new AssertionError("not on the board: " + no);
    }

    private JsonNode refused(String no) throws Exception {
        for (JsonNode d : operator.get("/api/batches/" + no + "/filing").get("deliveries")) {
            if (d.get("state").asString().equals("refused")) {
                return d;
            }
        }
        return null;
    }

    private String batchOf(String file) throws Exception {
        for (JsonNode b : batches("folder hostile")) {
            if (operator.get("/api/batches/" + b.get("no").asString())
                    .toString()
                    .contains(file)) {
                return b.get("no").asString();
            }
        }
        return null;
    }
}
