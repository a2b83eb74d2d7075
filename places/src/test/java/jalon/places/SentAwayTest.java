package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jakarta.mail.Multipart;
import jakarta.mail.internet.MimeMessage;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlace.Placed;
import jalon.core.output.FilingPlace.Ready;
import jalon.core.stream.Destination;
import jalon.places.PlaceTrouble.Why;
import jalon.standins.MailStandIn;
import jalon.standins.ProgramStandIn;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents sent to people and handed to programs: they cannot be fetched again. */
class SentAwayTest {
    private static final String OWNER = "e.brack@quay.example";

    @TempDir
    Path folder;

    private List<Placed> put(PlaceSettings to, int bytes, Map<String, String> properties) throws IOException {
        Path pdf = Files.write(folder.resolve("a.pdf"), "x".repeat(bytes).getBytes(StandardCharsets.UTF_8));
        Path json = Files.writeString(folder.resolve("a.json"), "{\"vessel\":\"Käthe\"}");
        var formats = List.of(Destination.Format.PDF, Destination.Format.JSON);
        var origin = new FiledDocument.Origin("letters", "dues", "B-0007", 3);
        var document =
                new FiledDocument("Dues letter", origin, Map.of("vessel", "Käthe"), List.of(), Map.of(), Instant.EPOCH);
        var parcel = new FilingPlace.Parcel(
                new FilingPlace.Spot("Dues/2026", "Letter \"Käthe\"", formats, Destination.Taken.NUMBER),
                document,
                properties,
                List.of(Ready.of(formats.get(0), pdf), Ready.of(formats.get(1), json)));
        return to.place().put(parcel, FilingPlace.Remembered.nothing());
    }

    private static PlaceSettings.Mail mail(MailStandIn server, String to, PlaceSettings.Sealed sealed) {
        return new PlaceSettings.Mail(
                "127.0.0.1", server.smtpPort(), sealed, null, null, "jalon@merrow.example", to, 1, null);
    }

    private static PlaceTrouble trouble(PlaceSettings to) {
        return catchThrowableOfType(PlaceTrouble.class, () -> to.place().tryIt());
    }

    @Test
    void aMailHasTheFilesAndTheSameNameAtEachTry() throws Exception {
        try (MailStandIn server = MailStandIn.start(0, 0)) {
            server.person(OWNER);
            var to = mail(server, null, PlaceSettings.Sealed.NO);
            to.place().tryIt();
            Map<String, String> said = Map.of(
                    "to", OWNER, "subject", "Your letter\r\nBcc: x@quay.example\r\nabout Käthe", "text", "Good day,");
            List<Placed> first = put(to, 1000, said);
            assertThat(put(to, 1000, said)).isEqualTo(first);
            MimeMessage[] mails = server.receivedBy(OWNER);
            assertThat(mails).hasSize(2);
            assertThat(mails[1].getMessageID())
                    .isEqualTo(mails[0].getMessageID())
                    .isEqualTo(first.get(0).identifier());
            assertThat(mails[0].getSubject()).isEqualTo("Your letter Bcc: x@quay.example about Käthe");
            assertThat(mails[0].getAllRecipients()).hasSize(1);
            assertThat(mails[0].getHeader("Auto-Submitted")).containsExactly("auto-generated");
            Multipart parts = (Multipart) mails[0].getContent();
            assertThat(parts.getCount()).isEqualTo(3);
            assertThat(parts.getBodyPart(0).getContent().toString()).startsWith("Good day,");
            assertThat(parts.getBodyPart(1).getInputStream().readAllBytes()).hasSize(1000);
            assertThat(jakarta.mail.internet.MimeUtility.decodeText(
                            parts.getBodyPart(1).getFileName()))
                    .isEqualTo("Letter \"Käthe\".pdf");
        }
    }

    @Test
    void whatIsTooLargeIsSentAsALinkOrNotAtAll() throws Exception {
        try (MailStandIn server = MailStandIn.start(0, 0)) {
            server.person(OWNER);
            var small = mail(server, OWNER, PlaceSettings.Sealed.NO);
            assertThat(catchThrowableOfType(PlaceTrouble.class, () -> put(small, 900_000, Map.of()))
                            .why())
                    .isEqualTo(Why.TOO_LARGE);
            assertThat(server.receivedBy(OWNER)).isEmpty();
            var linked = new PlaceSettings.Mail(
                    "127.0.0.1",
                    server.smtpPort(),
                    PlaceSettings.Sealed.NO,
                    null,
                    null,
                    "jalon@merrow.example",
                    OWNER,
                    1,
                    "https://jalon.merrow.example/desk/batches/{batch}/filing#{no}");
            put(linked, 900_000, Map.of());
            Multipart parts = (Multipart) server.receivedBy(OWNER)[0].getContent();
            assertThat(parts.getCount()).isEqualTo(1);
            assertThat(parts.getBodyPart(0).getContent().toString())
                    .contains("https://jalon.merrow.example/desk/batches/B-0007/filing#3");
        }
    }

    @Test
    void whatKeepsAMailFromBeingSentIsSaid() throws Exception {
        MailStandIn server = MailStandIn.start(0, 0);
        PlaceSettings.Mail to = mail(server, null, PlaceSettings.Sealed.NO);
        try (server) {
            PlaceTrouble nobody = catchThrowableOfType(PlaceTrouble.class, () -> put(to, 10, Map.of()));
            assertThat(nobody.why()).isEqualTo(Why.LACKS);
            assertThat(nobody).hasMessage("to");
            assertThat(trouble(mail(server, null, PlaceSettings.Sealed.STARTTLS)))
                    .as("nothing is sent in the open that should be sealed")
                    .isNotNull();
            PlaceTrouble address =
                    catchThrowableOfType(PlaceTrouble.class, () -> put(to, 10, Map.of("to", "no address")));
            assertThat(address).hasMessageStartingWith("no address: ");
        }
        assertThat(trouble(to).why()).isEqualTo(Why.NOT_REACHED);
    }

    @Test
    void aProgramTakesADocumentOnceHoweverOftenItIsBrought() throws Exception {
        try (ProgramStandIn program = ProgramStandIn.start(0, "merrow-secret")) {
            var to = new PlaceSettings.Program(program.url(), "merrow", "merrow-secret");
            to.place().tryIt();
            assertThat(program.arrived()).as("a trial brings nothing").isEmpty();
            List<Placed> placed = put(to, 5, Map.of("account", "4711"));
            assertThat(put(to, 5, Map.of("account", "4711"))).isEqualTo(placed);
            assertThat(program.asked()).isEqualTo(3);
            assertThat(program.arrived()).hasSize(1);
            ProgramStandIn.Arrived arrived = program.arrived().get(0);
            assertThat(arrived.data())
                    .contains("\"batch\":\"B-0007\"", "\"vessel\":\"Käthe\"", "\"account\":\"4711\"")
                    .contains("\"bytes\":5");
            assertThat(arrived.files()).hasSize(2);
            assertThat(new String(arrived.files().get("Letter %22Käthe%22.pdf"), StandardCharsets.UTF_8))
                    .isEqualTo("xxxxx");
            assertThat(placed.get(0).identifier()).startsWith("/documents/");
        }
    }

    @Test
    void whatAProgramSaysIsPassedOn() throws Exception {
        ProgramStandIn program = ProgramStandIn.start(0, "merrow-secret");
        var to = new PlaceSettings.Program(program.url(), "merrow", "merrow-secret");
        try (program) {
            assertThat(trouble(to.withSecrets(new PlaceSettings.Secrets("old", null)))
                            .why())
                    .isEqualTo(Why.NOT_LET_IN);
            program.refuses(503);
            assertThat(trouble(to))
                    .hasMessage("503 not now")
                    .extracting(PlaceTrouble::why)
                    .isEqualTo(Why.REFUSED);
            program.refuses(413);
            assertThat(trouble(to).why()).isEqualTo(Why.TOO_LARGE);
            program.refuses(302);
            assertThat(trouble(to).why()).as("nothing is followed elsewhere").isEqualTo(Why.REFUSED);
        }
        assertThat(trouble(to).why()).isEqualTo(Why.NOT_REACHED);
    }
}
