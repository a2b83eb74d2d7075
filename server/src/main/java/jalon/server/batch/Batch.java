package jalon.server.batch;

import jalon.server.NotPossible;
import java.time.Instant;
import java.util.Locale;

/**
 * @param stageSince since when it is in its stage
 * @param arrived whether all its files are here
 * @param filedAt when filing was begun; from then on nothing about it can be changed
 * @param withPerson who worked on it last, or null
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
        int doubts) {

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
