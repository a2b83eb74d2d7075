package jalon.server.intake;

import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.Pauses;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.Trouble;
import jalon.server.batch.Receiving;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.support.CronExpression;
import org.springframework.stereotype.Component;

/**
 * Looks at channels when their time has come. Each is looked at by one worker at a time, claimed in the database; one that
 * fails is tried again after pauses that double, and does not keep the others waiting. While very many pages wait to be
 * read, nothing more is taken: what is in its folder or mailbox is as safe there.
 */
@Component
public class ChannelClock implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ChannelClock.class);
    private static final Duration TICK = Duration.ofMillis(250);
    /** Kept up while a channel is looked at; a worker that died loses it this soon. */
    private static final Duration CLAIM = Duration.ofSeconds(20);

    private static final int LOOKING_AT_ONCE = 4;

    private final ChannelRows rows;
    private final Channels channels;
    private final FolderChannel folders;
    private final MailChannel mails;
    private final Receiving receiving;
    private final JalonSettings settings;
    private final Times times;
    private final Set<Long> underWay = ConcurrentHashMap.newKeySet();
    private ScheduledExecutorService clock;
    private ExecutorService lookers;

    ChannelClock(
            ChannelRows rows,
            Channels channels,
            FolderChannel folders,
            MailChannel mails,
            Receiving receiving,
            JalonSettings settings,
            Times times) {
        this.times = times;
        this.rows = rows;
        this.channels = channels;
        this.folders = folders;
        this.mails = mails;
        this.receiving = receiving;
        this.settings = settings;
    }

    /** @param most pages in line from which on channels wait */
    public record Line(int pages, int most, int workers) {}

    public Line line() {
        return new Line(
                receiving.pagesInLine(),
                settings.intake().mostInLine(),
                settings.reading().workers());
    }

    private void tick() {
        try {
            Instant renewed = times.now().plus(CLAIM);
            underWay.forEach(id -> rows.keepClaim(id, renewed));
            for (ChannelRows.Row row : rows.due(times.now())) {
                if (underWay.size() < LOOKING_AT_ONCE && underWay.add(row.id())) {
                    lookers.execute(() -> {
                        try {
                            look(row.id());
                        } catch (RuntimeException e) {
                            LOG.error("channel {}", row.name(), e);
                        } finally {
                            underWay.remove(row.id());
                        }
                    });
                }
            }
        } catch (RuntimeException e) {
            // The database is away; the clock must go on ticking.
            LOG.warn("channels could not be looked at: {}", e.toString());
        }
    }

    private void look(long id) {
        Instant now = times.now();
        if (rows.claim(id, now, now.plus(CLAIM)) == 0) {
            return;
        }
        ChannelRows.Row row = channels.row(id);
        ChannelSettings what = Channels.settings(row);
        int waiting = receiving.pagesInLine();
        if (waiting >= settings.intake().mostInLine()) {
            Trouble why = Problem.LINE_FULL.with(waiting).trouble();
            rows.looked(id, now, now.plus(Pauses.after(1)), 0, why, 0, 0);
            return;
        }
        try {
            ChannelVisit visit = what instanceof ChannelSettings.Folder f
                    ? folders.visit(row, f)
                    : mails.visit(row, (ChannelSettings.Mailbox) channels.opened(row));
            Instant next = visit.again() == null ? usual(what) : times.now().plus(visit.again());
            rows.looked(id, times.now(), next, 0, visit.problem(), visit.taken(), visit.rejected());
        } catch (ChannelProblem e) {
            failed(row, e.what(), e);
        } catch (RuntimeException e) {
            failed(row, Problem.CHANNEL_BROKE.with(e.getMessage()), e);
        }
    }

    private void failed(ChannelRows.Row row, NotPossible what, Exception e) {
        Trouble why = what.trouble();
        int failures = row.looks().failures() + 1;
        if (!why.equals(row.looks().problem())) {
            // Said once, not at every look.
            LOG.warn("channel {}: {}", row.name(), what.getMessage(), e);
        }
        Instant now = times.now();
        rows.looked(row.id(), now, now.plus(Pauses.after(failures)), failures, why, 0, 0);
    }

    private Instant usual(ChannelSettings what) {
        if (what.cron() != null) {
            ZonedDateTime next =
                    CronExpression.parse(what.cron()).next(times.now().atZone(ZoneId.systemDefault()));
            return next == null ? times.now().plus(Duration.ofDays(1)) : next.toInstant();
        }
        return times.now().plusSeconds(what.everySeconds());
    }

    @Override
    public void start() {
        Path channelsFile = settings.intake().channelsFile();
        if (channelsFile != null) {
            try {
                channels.saveAll(Files.readString(channelsFile), "setup");
            } catch (IOException e) {
                throw new UncheckedIOException("the channels in " + channelsFile + " could not be read", e);
            }
        }
        lookers = Executors.newFixedThreadPool(LOOKING_AT_ONCE, r -> named(r, "channel"));
        clock = Executors.newSingleThreadScheduledExecutor(r -> named(r, "channel-clock"));
        if (settings.isWorker()) {
            clock.scheduleWithFixedDelay(this::tick, 0, TICK.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    private static Thread named(Runnable work, String name) {
        Thread t = new Thread(work, name);
        t.setDaemon(true);
        return t;
    }

    @Override
    public void stop() {
        clock.shutdownNow();
        lookers.shutdown();
        try {
            // What is being taken is finished; a kill at this point is survived too.
            lookers.awaitTermination(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        clock = null;
    }

    @Override
    public boolean isRunning() {
        return clock != null;
    }
}
