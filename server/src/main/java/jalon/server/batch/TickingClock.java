package jalon.server.batch;

import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;

/** Does one thing again and again while the server runs; a time it fails is told, and the next comes all the same. */
abstract class TickingClock implements SmartLifecycle {
    private final String name;
    private final Duration first;
    private final Duration every;
    private ScheduledExecutorService clock;

    /** @param name of its thread */
    TickingClock(String name, Duration first, Duration every) {
        this.name = name;
        this.first = first;
        this.every = every;
    }

    abstract void tick() throws IOException;

    private void tickAndTell() {
        try {
            tick();
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(getClass()).warn("{} failed and will try again: {}", name, e.toString());
        }
    }

    @Override
    public void start() {
        clock = Executors.newSingleThreadScheduledExecutor(r -> {
            Thread t = new Thread(r, name);
            t.setDaemon(true);
            return t;
        });
        clock.scheduleWithFixedDelay(this::tickAndTell, first.toMillis(), every.toMillis(), TimeUnit.MILLISECONDS);
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
