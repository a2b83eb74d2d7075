package jalon.server.picture;

import jalon.server.Times;
import jalon.server.live.RecurringWork;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** Forgets readings of zones whose batches were filed long ago; whoever looks again reads again. */
@Component
class StaleZoneCleaner implements RecurringWork {
    private static final Duration KEPT = Duration.ofDays(30);

    private final ZoneRows rows;
    private final Times times;

    StaleZoneCleaner(ZoneRows rows, Times times) {
        this.rows = rows;
        this.times = times;
    }

    @Override
    public String name() {
        return "stale-zones";
    }

    @Override
    public Duration pause() {
        return Duration.ofHours(1);
    }

    @Override
    public void run() {
        rows.forget(times.now().minus(KEPT));
    }
}
