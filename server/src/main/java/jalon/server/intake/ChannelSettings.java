package jalon.server.intake;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.nio.file.Path;

/** What a channel needs to know; one record a kind. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = ChannelSettings.Folder.class, name = "folder"),
    @JsonSubTypes.Type(value = ChannelSettings.Mailbox.class, name = "mailbox"),
    @JsonSubTypes.Type(value = ChannelSettings.Scanner.class, name = "scanner")
})
public sealed interface ChannelSettings {
    ChannelKind kind();

    /** When it is looked at: every so many seconds, or by a schedule when that is set. */
    default Integer everySeconds() {
        return null;
    }

    /** Six parts, seconds first, as Spring's cron expressions; or null. */
    default String cron() {
        return null;
    }

    /**
     * @param folder an absolute path on the server
     * @param byStream whether files lie in sub-folders named like the streams they are for
     * @param gatherSeconds files that come within this long of each other are one batch; 0: one file, one batch
     * @param settleSeconds a file is complete when it has not changed for this long
     */
    record Folder(
            String folder,
            boolean byStream,
            Integer everySeconds,
            String cron,
            Integer gatherSeconds,
            Integer settleSeconds)
            implements ChannelSettings {
        public Folder {
            everySeconds = everySeconds == null ? 5 : everySeconds;
            gatherSeconds = gatherSeconds == null ? 0 : gatherSeconds;
            settleSeconds = settleSeconds == null ? 2 : settleSeconds;
        }

        @Override
        public ChannelKind kind() {
            return ChannelKind.FOLDER;
        }

        Path path() {
            return Path.of(folder).toAbsolutePath().normalize();
        }
    }

    /** How a connection to a mail server is kept private. */
    enum Privacy {
        tls,
        starttls
    }

    /**
     * @param certificate SHA-256 of the server's certificate, in hexadecimal, to trust that one and no other; null for the
     *     usual authorities
     * @param password written only; null when saved again keeps the one there is
     * @param inbox folder that is looked at
     * @param done where a mail goes when its attachments are a batch
     * @param aside where a mail goes that had nothing usable
     * @param replyFrom address that senders of unusable mails hear from, or null: they are not told
     */
    record Mailbox(
            String host,
            Integer port,
            Privacy privacy,
            String certificate,
            String user,
            String password,
            String inbox,
            String done,
            String aside,
            String replyFrom,
            Integer everySeconds,
            String cron)
            implements ChannelSettings {
        public Mailbox {
            privacy = privacy == null ? Privacy.tls : privacy;
            port = port == null ? (privacy == Privacy.tls ? 993 : 143) : port;
            inbox = inbox == null ? "INBOX" : inbox;
            done = done == null ? "Done" : done;
            aside = aside == null ? "Aside" : aside;
            everySeconds = everySeconds == null ? 30 : everySeconds;
        }

        @Override
        public ChannelKind kind() {
            return ChannelKind.MAILBOX;
        }

        Mailbox withPassword(String other) {
            return new Mailbox(
                    host, port, privacy, certificate, user, other, inbox, done, aside, replyFrom, everySeconds, cron);
        }
    }

    /** @param address of the device's eSCL service, such as {@code http://10.0.0.5/eSCL} */
    record Scanner(String address) implements ChannelSettings {
        @Override
        public ChannelKind kind() {
            return ChannelKind.SCANNER;
        }
    }
}
