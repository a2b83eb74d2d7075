package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.standins.MailStandIn;
import jalon.standins.StartTlsDoor;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Folders and mailboxes feed batches unattended; what goes wrong is told by channel and does not stop the others. */
class ChannelsTest extends ChannelCase {
    @Autowired
    private JalonSettings settings;

    @Autowired
    private JdbcTemplate database;

    @Test
    void filesAreGatheredUntilItIsQuietAndLeaveOnlyWhenTheyAreSettled() throws Exception {
        Path folder = Files.createDirectories(scans.resolve("camera"));
        channel(
                "camera",
                Map.of(
                        "kind",
                        "folder",
                        "folder",
                        folder.toString(),
                        "everySeconds",
                        1,
                        "gatherSeconds",
                        2,
                        "settleSeconds",
                        1));
        Files.copy(letter, folder.resolve("a.jpg"));
        Files.copy(letter, folder.resolve("b.jpg.part"));
        await().atMost(soon).until(() -> !Files.exists(folder.resolve("a.jpg")));
        assertThat(folder.resolve("b.jpg.part")).exists();
        Files.move(folder.resolve("b.jpg.part"), folder.resolve("b.jpg"));
        await().atMost(soon).until(() -> !Files.exists(folder.resolve("b.jpg")));
        String no = await().atMost(soon).until(() -> batchFrom("folder camera"), n -> n != null);
        leftIntake(no);
        assertThat(operator.get("/api/batches/" + no).get("pages")).hasSize(2);
        assertThat(seen("camera").get("taken").asInt()).isEqualTo(2);
    }

    @Test
    void aFolderThatGoesAwayIsToldAndFoundAgainAndSubFoldersNameTheirStream() throws Exception {
        Path folder =
                Files.createDirectories(scans.resolve("sorted/dues-letters")).getParent();
        channel(
                "sorted",
                Map.of(
                        "kind",
                        "folder",
                        "folder",
                        folder.toString(),
                        "byStream",
                        true,
                        "everySeconds",
                        1,
                        "settleSeconds",
                        0));
        Path aside = scans.resolve("elsewhere");
        Files.move(folder, aside);
        await().atMost(soon).until(() -> problem("sorted").contains("There is no folder"));
        assertThat(seen("sorted").get("failures").asInt()).isPositive();
        Files.move(aside, folder);
        Files.copy(letter, folder.resolve("dues-letters/x.jpg"));
        supervisor.post("/api/channels/" + made + "/run", Map.of());
        await().atMost(soon)
                .until(() ->
                        batchFrom("folder sorted") != null && problem("sorted").isEmpty());
        Files.createDirectories(folder.resolve("a-stream-of-no-name"));
        Files.copy(letter, folder.resolve("a-stream-of-no-name/y.jpg"));
        Files.copy(letter, folder.resolve("dues-letters/z.jpg"));
        await().atMost(soon).until(() -> problem("sorted").contains("named like no stream"));
        await().atMost(soon).until(() -> count("folder sorted") == 2);
        assertThat(folder.resolve("a-stream-of-no-name/y.jpg"))
                .as("nothing is lost")
                .exists();
        assertThat(seen("sorted").get("failures").asInt())
                .as("the others go on at their usual pace")
                .isZero();
    }

    @Test
    void channelsArePausedScheduledAndRefusedWhenTheyMakeNoSense() throws Exception {
        Path folder = Files.createDirectories(scans.resolve("slow"));
        channel(
                "slow",
                Map.of("kind", "folder", "folder", folder.toString(), "cron", "0 0 3 * * *", "settleSeconds", 0));
        await().atMost(soon).until(() -> !seen("slow").get("lookedAt").isNull());
        assertThat(Instant.parse(seen("slow").get("nextAt").asString())).isAfter(Instant.now());
        supervisor.post("/api/channels/" + made + "/pause", Map.of());
        assertThatThrownBy(() -> supervisor.post("/api/channels/" + made + "/run", Map.of()))
                .hasMessageContaining("paused");
        supervisor.post("/api/channels/" + made + "/resume", Map.of());
        for (Map<String, ?> odd : List.of(
                Map.of("kind", "folder", "folder", "relative"),
                Map.of("kind", "folder", "folder", "/srv/x", "cron", "now and then"),
                Map.of("kind", "folder", "folder", "/srv/x", "everySeconds", 0),
                Map.of("kind", "mailbox", "host", "mail.example"),
                Map.of("kind", "scanner", "address", "scanner"))) {
            assertThatThrownBy(() -> supervisor.post(
                            "/api/channels", Map.of("name", "odd", "stream", "dues-letters", "settings", odd)))
                    .as(odd.toString())
                    .hasMessageContaining("422");
        }
        assertThatThrownBy(() -> operator.post("/api/channels/" + made + "/pause", Map.of()))
                .hasMessageContaining("403");
    }

    @Test
    void mailsBecomeBatchesAndWhatIsUnusableGoesAsideAndItsSenderHears() throws Exception {
        try (var mail = MailStandIn.start(0, settings.mail().port())) {
            mail.person("ewa@merrow.example");
            byte[] page = Files.readAllBytes(letter);
            var inner = new ByteArrayOutputStream();
            MailStandIn.mail("agent@quay.example", "inner", Map.of("deep.jpg", page))
                    .writeTo(inner);
            mail.deliver("ewa@merrow.example", "Dues for the Amber Breeze", Map.of("../../dues.jpg", page));
            mail.deliver("ewa@merrow.example", "forwarded", Map.of("inner.eml", inner.toByteArray()));
            mail.deliver("ewa@merrow.example", "hello", Map.of());
            mail.deliver("ewa@merrow.example", "wrong kind", Map.of("a.txt", "x".getBytes(StandardCharsets.UTF_8)));
            mail.deliver("ewa@merrow.example", "large", Map.of("large.jpg", page, "ballast.bin", new byte[30_000_000]));
            channel("post", mailbox(mail, MailStandIn.PASSWORD));
            await().atMost(Duration.ofSeconds(90)).until(() -> mail.in("INBOX") == 0);
            assertThat(mail.in("Aside"))
                    .as(() -> java.util.Arrays.stream(mail.receivedBy("merrow.example"))
                            .map(ChannelsTest::text)
                            .toList()
                            .toString())
                    .isEqualTo(2);
            assertThat(mail.in("Done")).isEqualTo(3);
            assertThat(count("mail from ewa@merrow.example")).isEqualTo(3);
            String no = batchFrom("mail from ewa@merrow.example");
            leftIntake(no);
            JsonNode batch = operator.get("/api/batches/" + no);
            assertThat(batch.get("subject").asString()).isIn("Dues for the Amber Breeze", "forwarded", "large");
            assertThat(batch.get("pages").get(0).get("file").asString()).isIn("dues.jpg", "deep.jpg", "large.jpg");
            await().atMost(soon).until(() -> mail.receivedBy("merrow.example").length >= 2);
            assertThat(mail.receivedBy("merrow.example")).anyMatch(m -> text(m).contains("has no attachment"));
        }
    }

    @Test
    void aWrongPasswordAnUnknownCertificateAndADeadHostAreToldApart() throws Exception {
        try (var mail = MailStandIn.start(0, 0)) {
            channel("locked", mailbox(mail, "wrong"));
            await().atMost(soon).until(() -> problem("locked").contains("Check user and password"));
            Map<String, Object> other = new LinkedHashMap<>(mailbox(mail, MailStandIn.PASSWORD));
            other.put("certificate", "00".repeat(32));
            save("locked", other);
            await().atMost(soon).until(() -> problem("locked").contains("not the one that is trusted"));
            Map<String, Object> lost = new LinkedHashMap<>(mailbox(mail, MailStandIn.PASSWORD));
            lost.put("inbox", "Papers");
            save("locked", lost);
            await().atMost(soon).until(() -> problem("locked").contains("no folder \"Papers\""));
            assertThat(supervisor.get("/api/channels").toString()).doesNotContain(MailStandIn.PASSWORD);
            Map<String, Object> dead = new LinkedHashMap<>(mailbox(mail, MailStandIn.PASSWORD));
            dead.put("port", 1);
            save("locked", dead);
            await().atMost(soon).until(() -> problem("locked").contains("could not be used"));
        }
    }

    @Test
    void aMailboxIsReachedThroughStartTlsAndItsPasswordIsKeptSealed() throws Exception {
        try (var mail = MailStandIn.start(0, 0);
                var door = StartTlsDoor.to(mail.imapsPort())) {
            mail.deliver("agent@quay.example", "By STARTTLS", Map.of("dues.jpg", Files.readAllBytes(letter)));
            Map<String, Object> box = new LinkedHashMap<>(mailbox(mail, MailStandIn.PASSWORD));
            box.put("port", door.port());
            box.put("privacy", "starttls");
            channel("through the door", box);
            await().atMost(soon).until(() -> mail.in("Done") == 1);
            assertThat(database.queryForList("select settings from channel", String.class))
                    .anyMatch(s -> s.contains("sealed:"))
                    .noneMatch(s -> s.contains(MailStandIn.PASSWORD));
        }
    }

    private static Map<String, Object> mailbox(MailStandIn mail, String password) throws Exception {
        Map<String, Object> settings = new LinkedHashMap<>(mail.channel(1));
        settings.put("password", password);
        return settings;
    }

    private static String text(jakarta.mail.internet.MimeMessage m) {
        try {
            return String.valueOf(m.getContent());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
