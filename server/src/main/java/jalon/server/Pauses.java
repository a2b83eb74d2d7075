package jalon.server;

import java.time.Duration;

/** How long to wait before something that failed is tried again. */
public final class Pauses {
    private static final Duration FIRST = Duration.ofSeconds(5);
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private Pauses() {}

    /** Doubling from five seconds to ten minutes: after an outage of a day nobody waits for another. */
    public static Duration after(int failures) {
        Duration pause = FIRST.multipliedBy(1L << Math.min(Math.max(failures, 1) - 1, 10));
        return pause.compareTo(LONGEST) > 0 ? LONGEST : pause;
    }
}
