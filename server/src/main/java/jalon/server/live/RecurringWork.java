package jalon.server.live;

import java.io.IOException;
import java.time.Duration;

/** Something that is done again and again, by one worker at a time; the scheduler sees to it. */
public interface RecurringWork {
    /** Known under this name in the database. */
    String name();

    /** From the end of one time to the beginning of the next. */
    Duration pause();

    /** A time it fails is told in the server's log, and the next comes all the same. */
    void run() throws IOException;
}
