package jalon.server.batch;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Once an hour throws away old pictures of pages seen through repairs; most were tried with a slider and never again. */
@Component
class LooksClock implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(LooksClock.class);
    private static final Duration KEPT = Duration.ofDays(7);

    private final PageRenditions renditions;
    private ScheduledExecutorService clock;

    LooksClock(PageRenditions renditions) {
        this.renditions = renditions;
    }

    private void look() {
        try {
            renditions.clearLooks(Instant.now().minus(KEPT));
        } catch (IOException | RuntimeException e) {
            LOG.warn("Old pictures of repaired pages could not be thrown away", e);
        }
    }

    @Override
    public void start() {
        clock = Executors.newSingleThreadScheduledExecutor(r -> {
            Thread t = new Thread(r, "looks-clock");
            t.setDaemon(true);
            return t;
        });
        clock.scheduleWithFixedDelay(this::look, 1, 60, TimeUnit.MINUTES);
    }

    @Override
    public void stop() {
        clock.shutdownNow();
        clock = null;
    }

    @Override
    public boolean isRunning() {
        return clock != null;
    }
}
