package jalon.server.people;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.words.Words;
import jalon.server.Times;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Has sign-ins wait that fail one after another, by name and by address, longer each time. An attempt is counted before the
 * password is looked at, so that many at once are many; a right one clears its name, and itself for its address.
 */
@Service
public class SignInGuard {
    private static final int FREE = 5;
    private static final Duration FIRST = Duration.ofSeconds(2);

    /** A colleague whose name somebody else tries can be in again soon; an address can wait longer. */
    private static final Duration LONGEST_BY_NAME = Duration.ofMinutes(5);

    private static final Duration LONGEST_BY_ADDRESS = Duration.ofMinutes(30);

    /** An office behind one address mistypes more often than one person. */
    private static final int FREE_BY_ADDRESS = 20;

    private static final Duration FORGOTTEN = Duration.ofHours(24);
    private static final int LONGEST_NAME = 100;

    private final SignInRows rows;
    private final ActivityLog log;
    private final Times times;

    SignInGuard(SignInRows rows, ActivityLog log, Times times) {
        this.times = times;
        this.rows = rows;
        this.log = log;
    }

    /** What a wait is about. */
    public enum Kind {
        @JsonProperty("name")
        NAME,
        @JsonProperty("address")
        ADDRESS
    }

    /** @param until before this no attempt is looked at */
    public record Wait(Kind kind, String who, int failures, Instant lastAt, Instant until) {}

    /**
     * Counts an attempt.
     *
     * @return how long it has to wait before it may be made; zero: now
     */
    @Transactional
    public Duration attempt(String name, String address) {
        Instant now = times.now();
        String known = known(name);
        Duration byName = wait(Kind.NAME, known, now);
        Duration byAddress = wait(Kind.ADDRESS, address, now);
        Duration longer = byName.compareTo(byAddress) > 0 ? byName : byAddress;
        if (longer.isZero()) {
            count(Kind.NAME, known, FREE, LONGEST_BY_NAME, now);
            count(Kind.ADDRESS, address, FREE_BY_ADDRESS, LONGEST_BY_ADDRESS, now);
        }
        return longer;
    }

    private Duration wait(Kind kind, String who, Instant now) {
        rows.begin(kind, who, now);
        Wait wait = rows.lock(kind, who);
        return wait.until().isAfter(now) ? Duration.between(now, wait.until()) : Duration.ZERO;
    }

    private void count(Kind kind, String who, int free, Duration longest, Instant now) {
        Wait wait = rows.lock(kind, who);
        int failures = wait.lastAt().isBefore(now.minus(FORGOTTEN)) ? 1 : wait.failures() + 1;
        Duration pause = pause(failures, free, longest);
        rows.count(kind, who, failures, now, now.plus(pause));
        if (!pause.isZero()) {
            log.add(ActivityLog.JALON, Act.SIGN_IN_WAITS.with(Words.name(kind), who, failures, pause.toSeconds()));
        }
    }

    static Duration pause(int failures, int free, Duration longest) {
        if (failures < free) {
            return Duration.ZERO;
        }
        Duration pause = FIRST.multipliedBy(1L << Math.min(failures - free, 20));
        return pause.compareTo(longest) > 0 ? longest : pause;
    }

    /** The attempt was right. */
    @Transactional
    public void succeeded(String name, String address) {
        rows.lift(Kind.NAME, known(name));
        // Not all that failed from there: somebody who tries many names may have one of their own.
        rows.forgive(Kind.ADDRESS, address);
        rows.forget(times.now().minus(FORGOTTEN));
    }

    /** Those that have to wait now, or failed lately. */
    public List<Wait> all() {
        return rows.since(times.now().minus(FORGOTTEN));
    }

    @Transactional
    public void lift(Kind kind, String who, String by) {
        rows.lift(kind, who);
        log.add(by, Act.LIFTED_WAIT.with(Words.name(kind), who));
    }

    static String known(String name) {
        String plain = name == null ? "" : name.strip().toLowerCase(Locale.ROOT);
        return plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
    }
}
