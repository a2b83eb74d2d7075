package jalon.standins;

import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.activation.DataHandler;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.util.Date;
import java.util.HexFormat;
import java.util.Map;
import java.util.Properties;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509TrustManager;

/** The harbour's mail server on loopback: IMAP over TLS and SMTP, by a well-known library, with one mailbox for scans. */
public final class MailStandIn implements AutoCloseable {
    public static final String ADDRESS = "scans@merrow.example";
    public static final String PASSWORD = "merrow-scans";

    private static final long STARTUP_MILLIS = 60_000;

    private final GreenMail mail;
    private final GreenMailUser scans;

    private MailStandIn(GreenMail mail) {
        this.mail = mail;
        this.scans = mail.setUser(ADDRESS, ADDRESS, PASSWORD);
    }

    /** @param imaps and @param smtp ports; 0 for any that is free */
    public static MailStandIn start(int imaps, int smtp) {
        GreenMail mail = new GreenMail(
                new ServerSetup[] {setup(imaps, ServerSetup.PROTOCOL_IMAPS), setup(smtp, ServerSetup.PROTOCOL_SMTP)});
        mail.start();
        return new MailStandIn(mail);
    }

    /** The library gives up after two seconds, which a machine busy with a browser and a database may well need. */
    private static ServerSetup setup(int port, String protocol) {
        ServerSetup setup = new ServerSetup(port, "127.0.0.1", protocol);
        setup.setServerStartupTimeout(STARTUP_MILLIS);
        return setup;
    }

    /** From now on nothing can be delivered to this address. */
    public void full(String address) {
        mail.getUserManager().setMessageDeliveryHandler((message, to) -> {
            if (to.getEmail().equals(address)) {
                throw new MessagingException("the mailbox is full");
            }
            return mail.getUserManager().getUserByEmail(to.getEmail());
        });
    }

    public int imapsPort() {
        return mail.getImaps().getPort();
    }

    public int smtpPort() {
        return mail.getSmtp().getPort();
    }

    /** SHA-256 of the certificate it shows, in hexadecimal. */
    public String fingerprint() throws IOException, GeneralSecurityException {
        SSLContext any = SSLContext.getInstance("TLS");
        any.init(null, new TrustManager[] {new Anybody()}, null);
        try (SSLSocket socket = (SSLSocket) any.getSocketFactory().createSocket("127.0.0.1", imapsPort())) {
            socket.startHandshake();
            byte[] certificate = socket.getSession().getPeerCertificates()[0].getEncoded();
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(certificate));
        }
    }

    /** Settings of a channel that looks into the mailbox for scans, as the API takes them. */
    public Map<String, Object> channel(int everySeconds) throws IOException, GeneralSecurityException {
        return Map.of(
                "kind",
                "mailbox",
                "host",
                "127.0.0.1",
                "port",
                imapsPort(),
                "certificate",
                fingerprint(),
                "user",
                ADDRESS,
                "password",
                PASSWORD,
                "replyFrom",
                ADDRESS,
                "everySeconds",
                everySeconds);
    }

    /** Puts a mail into the mailbox for scans. @param files by name; an ending of .eml is a mail inside the mail */
    public void deliver(String from, String subject, Map<String, byte[]> files) {
        try {
            // As bytes, as a mail arrives: the library renders it several times, and a part's source can be read once.
            var bytes = new ByteArrayOutputStream();
            mail(from, subject, files).writeTo(bytes);
            scans.deliver(new MimeMessage(
                    Session.getInstance(new Properties()), new ByteArrayInputStream(bytes.toByteArray())));
        } catch (MessagingException | IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Puts a mail into the mailbox for scans just as it is written here, whether it is one or not. */
    public void deliverRaw(String mail) {
        try {
            scans.deliver(new MimeMessage(
                    Session.getInstance(new Properties()),
                    new ByteArrayInputStream(mail.getBytes(java.nio.charset.StandardCharsets.ISO_8859_1))));
        } catch (MessagingException e) {
            throw new IllegalStateException(e);
        }
    }

    public static MimeMessage mail(String from, String subject, Map<String, byte[]> files) throws MessagingException {
        MimeMessage message = new MimeMessage(Session.getInstance(new Properties()));
        message.setFrom(new InternetAddress(from));
        message.setRecipients(Message.RecipientType.TO, ADDRESS);
        message.setSubject(subject, "UTF-8");
        message.setSentDate(new Date());
        MimeMultipart parts = new MimeMultipart();
        MimeBodyPart text = new MimeBodyPart();
        text.setText("Please find our papers attached.\n", "UTF-8");
        parts.addBodyPart(text);
        for (var file : files.entrySet()) {
            MimeBodyPart part = new MimeBodyPart();
            boolean inner = file.getKey().endsWith(".eml");
            String type = inner ? "message/rfc822" : "application/octet-stream";
            part.setDataHandler(new DataHandler(new ByteArrayDataSource(file.getValue(), type)));
            if (!inner) {
                part.setFileName(file.getKey());
                part.setDisposition(Part.ATTACHMENT);
            }
            parts.addBodyPart(part);
        }
        message.setContent(parts);
        message.saveChanges();
        return message;
    }

    /** Makes a mailbox, so that what is sent to it can be looked at. */
    public void person(String address) {
        mail.setUser(address, address, "x");
    }

    /** All mails that lie anywhere on the server for this address, newest last. */
    public MimeMessage[] receivedBy(String address) {
        return mail.getReceivedMessagesForDomain(address);
    }

    /** How many mails lie in a folder of the mailbox for scans. */
    public int in(String folder) {
        try {
            var imap = mail.getManagers().getImapHostManager();
            var box = imap.getFolder(scans, folder);
            return box == null ? 0 : box.getMessageCount();
        } catch (RuntimeException e) {
            return 0;
        }
    }

    @Override
    public void close() {
        mail.stop();
    }

    private static final class Anybody implements X509TrustManager {
        @Override
        public void checkClientTrusted(X509Certificate[] chain, String type) {}

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String type) {}

        @Override
        public X509Certificate[] getAcceptedIssuers() {
            return new X509Certificate[0];
        }
    }
}
