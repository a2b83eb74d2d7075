package jalon.server;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** The one clock of the server. */
@Component
public class Times {
    private final Clock clock;

    public Times(Clock clock) {
        this.clock = clock;
    }

    /** To the microsecond, which is what the database keeps. */
    public Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** In UTC. */
    public LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    public Clock clock() {
        return clock;
    }
}
