package jalon.server.filing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How many of this server's workers are at each place now. One that does not answer must not take all of them: one worker is
 * left for other work, and nobody goes where somebody has been waiting for long.
 */
final class PlaceTurns {
    private static final Duration LONG = Duration.ofSeconds(15);

    private final int most;
    private final Map<String, List<Instant>> there = new HashMap<>();

    /** @param workers that there are */
    PlaceTurns(int workers) {
        most = Math.max(1, workers - 1);
    }

    /** @return false when it is to be tried a little later */
    synchronized boolean enter(String place, Instant now) {
        List<Instant> since = there.computeIfAbsent(place, p -> new ArrayList<>());
        boolean slow = since.stream().anyMatch(s -> s.plus(LONG).isBefore(now));
        return !slow && since.size() < most && since.add(now);
    }

    /** @param since when it was entered */
    synchronized void leave(String place, Instant since) {
        there.get(place).remove(since);
    }
}
