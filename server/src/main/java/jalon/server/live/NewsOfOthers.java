package jalon.server.live;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Passes on to this server's screens what the other servers changed. */
@Component
class NewsOfOthers implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(NewsOfOthers.class);
    private static final int PAUSE_MS = 500;
    private static final int LOOKS_BETWEEN_FORGETTING = 60;

    private final NewsRows rows;
    private final Listeners listeners;
    private final Node node;
    private Set<Long> told = new HashSet<>();
    private int looks;
    private ScheduledExecutorService clock;

    NewsOfOthers(NewsRows rows, Listeners listeners, Node node) {
        this.rows = rows;
        this.listeners = listeners;
        this.node = node;
    }

    private void look() {
        try {
            if (looks++ % LOOKS_BETWEEN_FORGETTING == 0) {
                rows.forget();
            }
            if (listeners.any()) {
                passOn(rows.ofOthers(node.id()));
            }
        } catch (RuntimeException e) {
            LOG.warn("what other servers changed was not heard and is asked for again: {}", e.toString());
        }
    }

    private void passOn(List<NewsRows.NewsRow> news) {
        Set<Long> now = new HashSet<>();
        for (NewsRows.NewsRow row : news) {
            now.add(row.id());
            if (!told.contains(row.id())) {
                listeners.tell(row.batchNo());
            }
        }
        told = now;
    }

    @Override
    public void start() {
        clock = Executors.newSingleThreadScheduledExecutor(r -> {
            Thread t = new Thread(r, "news");
            t.setDaemon(true);
            return t;
        });
        clock.scheduleWithFixedDelay(this::look, PAUSE_MS, PAUSE_MS, TimeUnit.MILLISECONDS);
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
