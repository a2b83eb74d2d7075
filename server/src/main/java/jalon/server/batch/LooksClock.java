package jalon.server.batch;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Once an hour throws away old pictures of pages seen through repairs; most were tried with a slider and never again. */
@Component
class LooksClock extends TickingClock {
    private static final Duration KEPT = Duration.ofDays(7);

    private final PageRenditions renditions;

    LooksClock(PageRenditions renditions) {
        super("looks-clock", Duration.ofMinutes(1), Duration.ofHours(1));
        this.renditions = renditions;
    }

    @Override
    void tick() throws IOException {
        renditions.clearLooks(Instant.now().minus(KEPT));
    }
}
