package jalon.server.intake;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jalon.server.batch.Receiving;
import jalon.standins.MailStandIn;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import org.junit.jupiter.api.Test;

class AttachmentsTest {
    private static final byte[] SOME = "some bytes".getBytes(StandardCharsets.UTF_8);

    @Test
    void attachmentsOfForwardedMailsCountAndNamesComeDecoded() throws Exception {
        byte[] inner = bytes(MailStandIn.mail("agent@quay.example", "inner", Map.of("tief über.pdf", SOME)));
        byte[] middle = bytes(MailStandIn.mail("agent@quay.example", "middle", Map.of("in.eml", inner)));
        assertThat(names(MailStandIn.mail("ewa@merrow.example", "outer", Map.of("mid.eml", middle))))
                .containsExactly("tief über.pdf");
        var outer = parsed(bytes(MailStandIn.mail("ewa@merrow.example", "outer", Map.of("mid.eml", middle))));
        try (var in = Attachments.of(outer).get(0).bytes().getInputStream()) {
            assertThat(in.readAllBytes()).isEqualTo(SOME);
        }
        assertThat(names(MailStandIn.mail("ewa@merrow.example", "none", Map.of())))
                .isEmpty();
    }

    @Test
    void aMailNestedWithoutEndIsNotFollowedWithoutEnd() throws Exception {
        byte[] mail = bytes(MailStandIn.mail("x@quay.example", "core", Map.of("a.pdf", SOME)));
        for (int i = 0; i < 30; i++) {
            mail = bytes(MailStandIn.mail("x@quay.example", "layer " + i, Map.of("in.eml", mail)));
        }
        assertThat(names(parsed(mail))).isEmpty();
    }

    @Test
    void theSmallPicturesOfSignaturesAreNotPages() throws Exception {
        String mail = """
                From: ewa@merrow.example
                Subject: hello
                MIME-Version: 1.0
                Content-Type: multipart/related; boundary=b

                --b
                Content-Type: text/html

                <img src="cid:logo">
                --b
                Content-Type: image/png; name=logo.png
                Content-Disposition: inline
                Content-Transfer-Encoding: base64

                aGVsbG8=
                --b
                Content-Type: application/pdf
                Content-Transfer-Encoding: base64

                aGVsbG8=
                --b--
                """;
        assertThat(names(parsed(mail.replace("\n", "\r\n").getBytes(StandardCharsets.US_ASCII))))
                .containsExactly("attachment-1.pdf");
    }

    private static List<String> names(MimeMessage mail) throws Exception {
        return Attachments.of(parsed(bytes(mail))).stream()
                .map(Receiving.Incoming::name)
                .toList();
    }

    private static byte[] bytes(MimeMessage mail) throws Exception {
        var out = new ByteArrayOutputStream();
        mail.writeTo(out);
        return out.toByteArray();
    }

    private static MimeMessage parsed(byte[] mail) throws Exception {
        return new MimeMessage(
                Session.getInstance(new Properties()), new jakarta.mail.util.SharedByteArrayInputStream(mail));
    }
}
