package jalon.server.mail;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import jalon.server.JalonSettings;
import java.util.Date;
import java.util.Properties;
import org.springframework.stereotype.Component;

/** Mails that the server itself writes. Marked as automatic (RFC 3834), so that no other program answers them. */
@Component
public class Letters {
    private final JalonSettings.Mail settings;

    Letters(JalonSettings settings) {
        this.settings = settings.mail();
    }

    public boolean possible() {
        return settings != null && settings.host() != null;
    }

    /** Whether a mail can be written to it: it looks like one address. */
    public static boolean isAddress(String text) {
        try {
            return InternetAddress.parse(text, true).length == 1 && text.contains("@");
        } catch (AddressException e) {
            return false;
        }
    }

    /** @param from null for the server's own address */
    public void send(String from, String to, String subject, String text) throws MessagingException {
        send(from, to, subject, text, null);
    }

    /**
     * From the server's own address.
     *
     * @param id that the mail has each time it is sent, before the server's domain
     * @return false when the mail server says for good that there is nobody of this address
     */
    public boolean sendOnce(String to, String subject, String text, String id) throws MessagingException {
        try {
            send(null, to, subject, text, id);
            return true;
        } catch (SendFailedException e) {
            if (e.getInvalidAddresses() == null || e.getInvalidAddresses().length == 0) {
                throw e;
            }
            return false;
        }
    }

    private void send(String from, String to, String subject, String text, String id) throws MessagingException {
        if (!possible()) {
            throw new MessagingException("no mail server is set (jalon.mail.host)");
        }
        Properties p = new Properties();
        p.put("mail.smtp.host", settings.host());
        p.put("mail.smtp.port", Integer.toString(settings.port() < 1 ? 25 : settings.port()));
        p.put("mail.smtp.connectiontimeout", "10000");
        p.put("mail.smtp.timeout", "20000");
        p.put("mail.smtp.starttls.enable", "true");
        MimeMessage mail = new MimeMessage(Session.getInstance(p)) {
            @Override
            protected void updateMessageID() throws MessagingException {
                if (id == null) {
                    super.updateMessageID();
                } else {
                    setHeader("Message-ID", "<" + id + settings.from().replaceFirst(".*@", "@") + ">");
                }
            }
        };
        mail.setFrom(new InternetAddress(from == null ? settings.from() : from));
        mail.setRecipients(Message.RecipientType.TO, InternetAddress.parse(to));
        mail.setSubject(subject, "UTF-8");
        mail.setText(text, "UTF-8");
        mail.setSentDate(new Date());
        mail.setHeader("Auto-Submitted", "auto-generated");
        Transport.send(mail);
    }
}
