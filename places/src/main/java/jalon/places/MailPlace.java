package jalon.places;

import jakarta.activation.DataHandler;
import jakarta.activation.FileDataSource;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.SendFailedException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jalon.core.name.NameTemplate;
import jalon.core.output.FiledDocument;
import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.util.Date;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import javax.net.ssl.SSLException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.eclipse.angus.mail.util.MailConnectException;

/**
 * Sends documents to people by mail (RFC 5321). A mail that was sent cannot be taken back or looked at again, and where the
 * answer was lost it is sent once more: with the same Message-ID, by which mail servers and readers know it for the same.
 */
final class MailPlace implements SentAway {
    private static final int PATIENCE_MILLIS = 30_000;
    private static final int LONG_PATIENCE_MILLIS = 300_000;
    private static final int MILLION = 1_000_000;

    /** Base64 makes four letters of three bytes, and lines of them. */
    private static final double ENCODED = 1.37;

    private static final int TOO_LARGE = 552;

    private final PlaceSettings.Mail to;

    MailPlace(PlaceSettings.Mail to) {
        this.to = to;
    }

    @Override
    public String where() {
        return to.where();
    }

    private Session session() {
        Properties p = new Properties();
        p.put("mail.transport.protocol", "smtp");
        p.put("mail.smtp.host", to.host());
        p.put("mail.smtp.port", Integer.toString(to.port()));
        p.put("mail.smtp.connectiontimeout", Integer.toString(PATIENCE_MILLIS));
        p.put("mail.smtp.timeout", Integer.toString(LONG_PATIENCE_MILLIS));
        p.put("mail.smtp.writetimeout", Integer.toString(LONG_PATIENCE_MILLIS));
        p.put("mail.smtp.ssl.enable", Boolean.toString(to.sealed() == PlaceSettings.Sealed.TLS));
        p.put("mail.smtp.starttls.enable", Boolean.toString(to.sealed() == PlaceSettings.Sealed.STARTTLS));
        p.put("mail.smtp.starttls.required", Boolean.toString(to.sealed() == PlaceSettings.Sealed.STARTTLS));
        p.put("mail.smtp.ssl.checkserveridentity", "true");
        p.put("mail.smtp.auth", Boolean.toString(to.user() != null));
        return Session.getInstance(p);
    }

    private interface Sending {
        void with(Transport transport) throws MessagingException, IOException;
    }

    /** What the mail server answers, as whoever looks after it understands it. */
    private void connected(Session session, Sending sending) throws IOException {
        try (Transport transport = session.getTransport()) {
            transport.connect(to.host(), to.port(), to.user(), to.password());
            sending.with(transport);
        } catch (AuthenticationFailedException e) {
            throw new PlaceTrouble(Why.NOT_LET_IN, String.valueOf(to.user()), e);
        } catch (MailConnectException e) {
            throw new PlaceTrouble(Why.NOT_REACHED, to.host(), e);
        } catch (SMTPSendFailedException e) {
            boolean large = e.getReturnCode() == TOO_LARGE;
            throw large
                    ? tooLarge()
                    : new PlaceTrouble(Why.REFUSED, e.getMessage().strip(), e);
        } catch (SendFailedException e) {
            Exception why = e.getNextException() == null ? e : e.getNextException();
            throw new PlaceTrouble(Why.REFUSED, String.valueOf(why.getMessage()).strip(), e);
        } catch (MessagingException e) {
            boolean notTrusted = e.getNextException() instanceof SSLException;
            throw notTrusted
                    ? new PlaceTrouble(Why.NOT_TRUSTED, to.host(), e)
                    : new PlaceTrouble(Why.REFUSED, e.getMessage(), e);
        }
    }

    private PlaceTrouble tooLarge() {
        return new PlaceTrouble(Why.TOO_LARGE, to.largestMb() + " MB");
    }

    @Override
    public List<Placed> put(Parcel parcel, Remembered remembered) throws IOException {
        Session session = session();
        String id = "<" + parcel.key() + "@" + to.from().replaceFirst(".*@", "") + ">";
        List<String> names = parcel.names();
        String receiver = parcel.properties().getOrDefault("to", to.to());
        if (receiver == null) {
            throw new PlaceTrouble(Why.LACKS, "to");
        }
        var mail = new Named(session, id);
        try {
            mail.setFrom(new InternetAddress(to.from(), true));
            mail.setRecipients(Message.RecipientType.TO, InternetAddress.parse(receiver, true));
            mail.setSubject(
                    oneLine(parcel.properties()
                            .getOrDefault("subject", parcel.document().title())),
                    "UTF-8");
            mail.setSentDate(Date.from(parcel.document().at()));
            mail.setHeader("Auto-Submitted", "auto-generated");
            mail.setContent(content(parcel, names));
            mail.saveChanges();
        } catch (MessagingException e) {
            throw new PlaceTrouble(Why.REFUSED, receiver + ": " + e.getMessage(), e);
        }
        remembered.about(names);
        connected(session, transport -> transport.sendMessage(mail, mail.getAllRecipients()));
        return names.stream().map(name -> new Placed(name, id)).toList();
    }

    private MimeMultipart content(Parcel parcel, List<String> names) throws MessagingException, PlaceTrouble {
        MimeMultipart parts = new MimeMultipart();
        String words = parcel.properties().getOrDefault("text", "");
        boolean large =
                parcel.files().stream().mapToLong(Ready::bytes).sum() * ENCODED > to.largestMb() * (double) MILLION;
        if (large && to.link() == null) {
            throw tooLarge();
        }
        MimeBodyPart text = new MimeBodyPart();
        text.setText(large ? words + "\n\n" + link(parcel.document().origin()) + "\n" : words + "\n", "UTF-8");
        parts.addBodyPart(text);
        for (int i = 0; i < names.size() && !large; i++) {
            MimeBodyPart part = new MimeBodyPart();
            part.setDataHandler(new DataHandler(
                    new FileDataSource(parcel.files().get(i).file().toFile())));
            part.setFileName(names.get(i));
            part.setDisposition(Part.ATTACHMENT);
            parts.addBodyPart(part);
        }
        return parts;
    }

    private String link(FiledDocument.Origin origin) {
        return NameTemplate.parse(to.link()).text(Map.of("batch", origin.batch(), "no", Integer.toString(origin.no())));
    }

    /** A value that holds a line's end must not become a header of its own. */
    private static String oneLine(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }

    /** Signs in and leaves again: nothing is sent. */
    @Override
    public void tryIt() throws IOException {
        connected(session(), transport -> {});
    }

    private static final class Named extends MimeMessage {
        private final String id;

        Named(Session session, String id) {
            super(session);
            this.id = id;
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
        }
    }
}
