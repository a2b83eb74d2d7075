package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.server.NotPossible;
import java.time.Instant;
import java.util.Locale;

/**
 * @param stageSince since when it is in its stage
 * @param arrived whether all its files are here
 * @param filedAt when filing was begun; from then on nothing about it can be changed
 * @param withPerson who has it, or null
 * @param channel how it came: {@code upload}, {@code scanner}, {@code folder}, {@code mail} or {@code program}
 * @param channelId the watched folder that still adds to it, or null
 * @param heldSince when the one who has it last did something about it
 * @param onHold why nobody is to work on it, or null
 * @param sender of the mail it came in, or null
 */
public record Batch(
        long id,
        String stream,
        int streamVersion,
        String source,
        String madeBy,
        Instant madeAt,
        Instant dueAt,
        Stage stage,
        Instant stageSince,
        boolean arrived,
        Instant filedAt,
        String withPerson,
        int documents,
        int doubts,
        String channel,
        Long channelId,
        IntakeRules.Priority priority,
        Integer expectedPages,
        Integer expectedDocuments,
        Instant heldSince,
        String onHold,
        String withdrawnBy,
        String withdrawnBecause,
        String sender,
        String subject,
        Instant sentAt) {

    public boolean withdrawn() {
        return withdrawnBy != null;
    }

    public String no() {
        return no(id);
    }

    public static String no(long id) {
        return String.format(Locale.ROOT, "B-%04d", id);
    }

    static long id(String no) {
        if (!no.matches("B-\\d{4,15}")) {
            throw NotPossible.missing("There is no batch " + no + ".");
        }
        return Long.parseLong(no.substring(2));
    }
}
