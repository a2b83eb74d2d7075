package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.server.Problem;
import jalon.server.people.ActivityLog;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;

/**
 * A batch as its row says; what is on its pages is worked out elsewhere ({@link Batches#view}).
 *
 * @param stream in the version that was in force when it was opened
 */
public record Batch(
        long id, StreamVersion stream, Origin origin, Course course, Urgency urgency, Holder holder, Counted counted) {
    public Batch {
        // A group whose columns are all null comes as null.
        holder = holder == null ? new Holder(null, null, null) : holder;
    }

    /** @param lesson what its pages are recognised by; null for the newest, which is so until they are all read */
    public record StreamVersion(String name, int version, Integer lesson) {}

    /**
     * @param source in words, such as {@code folder copier}
     * @param madeBy who or what opened it
     * @param channelId the watched folder that still adds to it, or null
     * @param mail it came in; its parts are null when it came otherwise
     * @param continues the filed document that it brings more pages for, or null
     */
    public record Origin(
            String source,
            String madeBy,
            Instant madeAt,
            CameBy channel,
            Long channelId,
            Mail mail,
            Continued continues) {
        public Origin {
            mail = mail == null ? Mail.NONE : mail;
        }

        /** The name of the scanner or watched folder that it came by. */
        Optional<String> station() {
            boolean named = channel == CameBy.SCANNER || channel == CameBy.FOLDER;
            return named ? Optional.of(source.substring(source.indexOf(' ') + 1)) : Optional.empty();
        }

        /** The person who scanned or brought it. */
        Optional<String> operator() {
            boolean byHand = channel == CameBy.SCANNER || channel == CameBy.UPLOAD;
            return byHand ? Optional.of(madeBy) : Optional.empty();
        }
    }

    /** A filed document. @param batch row of its batch, @param document number in it, from 1 */
    public record Continued(long batch, int document) {}

    public record Mail(String sender, String subject, Instant sentAt) {
        static final Mail NONE = new Mail(null, null, null);
    }

    /**
     * @param since since when it is in its stage
     * @param arrived whether all its files are here
     * @param filedAt when filing was begun; from then on nothing about it can be changed
     * @param filedBy on whose word, {@link jalon.server.people.ActivityLog#JALON} when it went by itself; null for a batch
     *     that is not filed, or was before this was kept
     * @param withdrawnBy who took it out for good, or null
     * @param revision how many acts made it what it is
     * @param cutRevision at which of them anything but single values was changed last
     */
    public record Course(
            Stage stage,
            Instant since,
            boolean arrived,
            Instant filedAt,
            String filedBy,
            String withdrawnBy,
            String withdrawnBecause,
            int revision,
            int cutRevision) {}

    public record Urgency(Instant dueAt, IntakeRules.Priority priority) {}

    /**
     * @param person who has it, or null
     * @param since when the one who has it last did something about it
     * @param onHold why nobody is to work on it, or null
     */
    public record Holder(String person, Instant since, String onHold) {}

    /** @param expectedPages as typed, or null, and likewise the documents */
    public record Counted(int documents, int doubts, Integer expectedPages, Integer expectedDocuments) {}

    /** After this long without an act a batch can be taken from the one who has it. */
    private static final Duration STALE = Duration.ofMinutes(15);

    /** Whether this person may work on it now. */
    public boolean isFree(String who, Instant now) {
        return holder.onHold() == null && !withdrawn() && !isWithAnother(who, now);
    }

    boolean isWithAnother(String who, Instant now) {
        return holder.person() != null
                && !holder.person().equals(who)
                && holder.since() != null
                && holder.since().isAfter(now.minus(STALE));
    }

    public boolean withdrawn() {
        return course.withdrawnBy() != null;
    }

    /** Whether it holds the pages by which its stream is made and tried, and is never filed. */
    public boolean isSamples() {
        return origin.channel() == CameBy.SAMPLES;
    }

    /** Whether filing has begun. */
    public boolean filed() {
        return course.filedAt() != null;
    }

    /** Whether it went through without a person. */
    public boolean wentByItself() {
        return ActivityLog.JALON.equals(course.filedBy());
    }

    public Stage stage() {
        return course.stage();
    }

    public String no() {
        return no(id);
    }

    public static String no(long id) {
        return String.format(Locale.ROOT, "B-%04d", id);
    }

    static long id(String no) {
        if (!no.matches("B-\\d{4,15}")) {
            throw Problem.NO_SUCH_BATCH.with(no);
        }
        return Long.parseLong(no.substring(2));
    }
}
