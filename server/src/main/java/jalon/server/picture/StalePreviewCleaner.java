package jalon.server.picture;

import jalon.server.Times;
import jalon.server.live.RecurringWork;
import java.io.IOException;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** Throws away old pictures of pages seen through repairs; most were tried with a slider and never again. */
@Component
class StalePreviewCleaner implements RecurringWork {
    private static final Duration KEPT = Duration.ofDays(7);

    private final PageRenditions renditions;
    private final Times times;

    StalePreviewCleaner(PageRenditions renditions, Times times) {
        this.renditions = renditions;
        this.times = times;
    }

    @Override
    public String name() {
        return "stale-previews";
    }

    @Override
    public Duration pause() {
        return Duration.ofHours(1);
    }

    @Override
    public void run() throws IOException {
        renditions.clearPreviews(times.now().minus(KEPT));
    }
}
