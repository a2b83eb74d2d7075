package jalon.server;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** The one clock of the server; its zone is the installation's. */
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

    /** The day of an instant where the installation stands: its days end at its own midnight. */
    public LocalDate day(Instant instant) {
        return LocalDate.ofInstant(instant, clock.getZone());
    }

    public Clock clock() {
        return clock;
    }
}
