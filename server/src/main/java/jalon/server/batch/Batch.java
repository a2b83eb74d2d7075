package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.server.NotPossible;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;

/**
 * @param stageSince since when it is in its stage
 * @param arrived whether all its files are here
 * @param filedAt when filing was begun; from then on nothing about it can be changed
 * @param withPerson who has it, or null
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
        CameBy channel,
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

    /** After this long without an act a batch can be taken from the one who has it. */
    private static final Duration STALE = Duration.ofMinutes(15);

    /** Whether this person may work on it now. */
    public boolean isFree(String who, Instant now) {
        return onHold == null && !withdrawn() && !isWithAnother(who, now);
    }

    boolean isWithAnother(String who, Instant now) {
        return withPerson != null
                && !withPerson.equals(who)
                && heldSince != null
                && heldSince.isAfter(now.minus(STALE));
    }

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
