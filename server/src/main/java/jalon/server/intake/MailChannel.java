package jalon.server.intake;

import jakarta.mail.Address;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.FolderNotFoundException;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.UIDFolder;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.util.SharedByteArrayInputStream;
import jalon.server.NotPossible;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Batch;
import jalon.server.batch.CameBy;
import jalon.server.batch.NewBatch;
import jalon.server.batch.Receiving;
import jalon.server.mail.Letters;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Looks into a mailbox (IMAP, RFC 9051): the attachments of a mail become a batch, then the mail is moved to a done folder.
 * It is known by its number in the mailbox (UIDVALIDITY and UID), so that one that was taken when the server died is only
 * moved. A mail with nothing usable is moved aside, and its sender is told.
 */
@Component
class MailChannel {
    private static final Logger LOG = LoggerFactory.getLogger(MailChannel.class);
    private static final int MOST_AT_ONCE = 50;

    /** A mail is taken apart in memory; mail servers refuse larger ones anyway. */
    private static final int LARGEST = 150_000_000;

    private final Receiving receiving;
    private final Letters letters;
    private final ChannelTries tries;
    private final AllowedHosts hosts;
    private final Times times;

    MailChannel(Receiving receiving, Letters letters, ChannelTries tries, AllowedHosts hosts, Times times) {
        this.hosts = hosts;
        this.tries = tries;
        this.times = times;
        this.receiving = receiving;
        this.letters = letters;
    }

    ChannelVisit visit(ChannelRows.Row channel, ChannelSettings.Mailbox box) throws ChannelProblem {
        String where = box.host() + ":" + box.port();
        try {
            hosts.check(box.host());
        } catch (NotPossible e) {
            throw new ChannelProblem(e);
        }
        try (Store store = Session.getInstance(properties(box)).getStore(protocol(box))) {
            store.connect(box.host(), box.port(), box.user(), box.password());
            Folder inbox = store.getFolder(box.inbox());
            if (!inbox.exists()) {
                throw new ChannelProblem(Problem.MAIL_FOLDER_MISSING.with(box.user(), where, box.inbox()));
            }
            Folder done = folder(store, box.done());
            Folder aside = folder(store, box.aside());
            inbox.open(Folder.READ_WRITE);
            try {
                return take(channel, box, inbox, done, aside);
            } finally {
                inbox.close(true);
            }
        } catch (AuthenticationFailedException e) {
            throw new ChannelProblem(Problem.MAIL_REFUSED.with(where, box.user()), e);
        } catch (FolderNotFoundException e) {
            throw new ChannelProblem(Problem.MAIL_FOLDER_GONE.with(e.getFolder()), e);
        } catch (MessagingException e) {
            throw new ChannelProblem(Problem.MAIL_SERVER.with(where, plain(e)), e);
        } catch (IOException e) {
            throw new ChannelProblem(Problem.MAIL_NOT_FETCHED.with(where, e.getMessage()), e);
        } catch (NotPossible e) {
            throw new ChannelProblem(e);
        }
    }

    private static String plain(MessagingException e) {
        Throwable cause = e;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        return cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
    }

    private static String protocol(ChannelSettings.Mailbox box) {
        return box.privacy() == ChannelSettings.Privacy.tls ? "imaps" : "imap";
    }

    private static Properties properties(ChannelSettings.Mailbox box) {
        String start = "mail." + protocol(box) + ".";
        Properties p = new Properties();
        p.put(start + "connectiontimeout", "10000");
        p.put(start + "timeout", "60000");
        p.put(start + "writetimeout", "60000");
        // In parts of 16 kB, as is usual, a mail of 40 MB is asked for 2,500 times.
        p.put(start + "fetchsize", "4000000");
        p.put(start + "socketFactory.fallback", "false");
        p.put(start + "ssl.checkserveridentity", "true");
        if (box.privacy() == ChannelSettings.Privacy.starttls) {
            p.put(start + "starttls.enable", "true");
            p.put(start + "starttls.required", "true");
        }
        if (box.certificate() != null) {
            // That one certificate is known; what name it carries says nothing more.
            p.put(start + "ssl.checkserveridentity", "false");
            p.put(start + "ssl.socketFactory", PinnedCertificate.sockets(box.certificate()));
        }
        return p;
    }

    private static Folder folder(Store store, String name) throws MessagingException, ChannelProblem {
        Folder folder = store.getFolder(name);
        if (!folder.exists() && !folder.create(Folder.HOLDS_MESSAGES)) {
            throw new ChannelProblem(Problem.MAIL_FOLDER_NOT_MADE.with(name));
        }
        return folder;
    }

    private ChannelVisit take(
            ChannelRows.Row channel, ChannelSettings.Mailbox box, Folder inbox, Folder done, Folder aside)
            throws MessagingException, IOException {
        int taken = 0;
        int rejected = 0;
        int failed = 0;
        Trouble problem = null;
        Message[] mails = inbox.getMessages();
        // Those that failed stay in front: as many behind them are looked at all the same.
        for (int i = 0; i < mails.length && i - failed < MOST_AT_ONCE; i++) {
            Message mail = mails[i];
            String item = ((UIDFolder) inbox).getUIDValidity() + ":" + ((UIDFolder) inbox).getUID(mail);
            List<String> reasons;
            try {
                reasons = onItsOwn(inbox, channel, mail, item);
            } catch (TryAgain e) {
                problem = problem == null ? e.what : problem;
                failed++;
                continue;
            }
            if (reasons.isEmpty()) {
                move(inbox, mail, done);
                taken++;
            } else {
                tell(box, mail, reasons);
                move(inbox, mail, aside);
                rejected++;
            }
            tries.forget(channel.id(), item);
        }
        boolean more = mails.length - failed > MOST_AT_ONCE;
        return new ChannelVisit(taken, rejected, more ? Duration.ZERO : null, problem);
    }

    /** This mail failed and is tried again at the next look; the others need not wait for it. */
    private static final class TryAgain extends Exception {
        private static final long serialVersionUID = 1L;

        private final transient Trouble what;

        TryAgain(Trouble what) {
            super(what.words());
            this.what = what;
        }
    }

    /**
     * @param item the mail's number in the mailbox
     * @return why nothing of the mail can be used, or that three tries failed; empty when it is a batch now
     */
    private List<String> onItsOwn(Folder inbox, ChannelRows.Row channel, Message mail, String item)
            throws MessagingException, IOException, TryAgain {
        String why;
        try {
            String origin = "mail:" + channel.id() + ":" + item;
            return receiving.takenBefore(origin) ? List.of() : fetched(channel, mail, origin);
        } catch (DataAccessException | TransactionException e) {
            throw e;
        } catch (MessagingException | IOException e) {
            if (!inbox.isOpen()) {
                // The connection broke: that is not this mail's fault.
                throw e;
            }
            why = "it could not be taken apart (" + e.getMessage() + ")";
        } catch (NotPossible e) {
            if (e.isMachine()) {
                throw e;
            }
            why = e.getMessage();
        } catch (RuntimeException e) {
            LOG.error("mail {}", item, e);
            why = "taking it apart failed in a way that Jalon did not expect ("
                    + e.getClass().getSimpleName() + ")";
        }
        if (tries.failed(channel.id(), item, why, times.now())) {
            return List.of("in " + ChannelTries.MOST + " tries " + why);
        }
        String subject = mail.getSubject() == null ? "without a subject" : "\"" + mail.getSubject() + "\"";
        throw new TryAgain(
                Problem.MAIL_TRIED_AGAIN.with(subject, sender(mail), why).trouble());
    }

    /** Fetches the mail whole and takes it apart here: servers are often wrong about how mails inside mails are made. */
    private List<String> fetched(ChannelRows.Row channel, Message mail, String origin)
            throws MessagingException, IOException {
        if (mail.getSize() > LARGEST) {
            return List.of("the mail is larger than " + LARGEST / 1_000_000 + " MB; send the pages in several mails");
        }
        var whole = new ByteArrayOutputStream(Math.max(1024, mail.getSize()));
        mail.writeTo(whole);
        var in = new SharedByteArrayInputStream(whole.toByteArray());
        return batch(channel, new MimeMessage(Session.getInstance(new Properties()), in), origin);
    }

    /** @return why nothing of the mail can be used; empty when it is a batch now */
    private List<String> batch(ChannelRows.Row channel, Message mail, String origin)
            throws MessagingException, IOException {
        List<Receiving.Incoming> files = Attachments.of(mail);
        if (files.isEmpty()) {
            return List.of("the mail has no attachment");
        }
        Date sent = mail.getSentDate();
        String sender = sender(mail);
        var wanted = new NewBatch(
                channel.stream(),
                "mail from " + (sender == null ? "nobody" : sender),
                CameBy.MAIL,
                null,
                "channel " + channel.name(),
                new Batch.Mail(sender, mail.getSubject(), sent == null ? null : Instant.ofEpochMilli(sent.getTime())),
                null);
        Receiving.Batched made = receiving.wholeBatch(wanted, files, origin, id -> {});
        List<String> reasons = new ArrayList<>();
        if (made.no() == null) {
            made.files().forEach(f -> reasons.add(f.name() + ": " + f.rejected().words()));
        }
        return reasons;
    }

    /** Null where none can be told: strangers write what they like there. */
    private static String sender(Message mail) throws MessagingException {
        try {
            Address[] from = mail.getFrom();
            return from != null && from.length > 0 && from[0] instanceof InternetAddress a ? a.getAddress() : null;
        } catch (AddressException e) {
            return null;
        }
    }

    private void tell(ChannelSettings.Mailbox box, Message mail, List<String> reasons) throws MessagingException {
        String sender = sender(mail);
        boolean automatic =
                mail.getHeader("Auto-Submitted") != null && !mail.getHeader("Auto-Submitted")[0].equalsIgnoreCase("no");
        if (box.replyFrom() == null || sender == null || automatic) {
            return;
        }
        String subject = mail.getSubject() == null ? "your mail" : mail.getSubject();
        try {
            letters.send(
                    box.replyFrom(),
                    sender,
                    "Not taken: " + subject,
                    "Nothing of your mail \"" + subject + "\" could be used:\n\n  " + String.join("\n  ", reasons)
                            + "\n\nPlease send the pages again as TIFF, JPEG, PNG or PDF.\n");
        } catch (MessagingException e) {
            // The mail is set aside all the same, with its reason in the log; a reply that fails must not block the
            // rest.
            LOG.warn("{} could not be told that a mail was not taken: {}", sender, plain(e));
        }
    }

    private static void move(Folder from, Message mail, Folder to) throws MessagingException {
        from.copyMessages(new Message[] {mail}, to);
        mail.setFlag(Flags.Flag.DELETED, true);
    }
}
