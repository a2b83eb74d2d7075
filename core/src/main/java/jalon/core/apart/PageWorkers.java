package jalon.core.apart;

import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingDeque;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Processes that work on received bytes, lent to whoever needs one. Each is started when it is first needed and kept, so
 * that a page costs no start; one that was killed or died is replaced. What it is asked to do ends within bounds of
 * processor time, time and memory, whatever the bytes are: the process is killed when it does not.
 */
public final class PageWorkers implements AutoCloseable {
    /** A failure that has nothing to do with the bytes does not come three times. */
    public static final int MOST_ATTEMPTS = 3;

    private static final long WATCHED_EVERY_MS = 100;

    private final WorkerLaunch launch;
    private final double patience;
    private final LinkedBlockingDeque<Slot> idle = new LinkedBlockingDeque<>();
    private final Set<Slot> slots = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "worker-watch");
        t.setDaemon(true);
        return t;
    });
    private volatile boolean closed;

    /**
     * @param most processes at once
     * @param patience how many times the usual bounds of time hold: more than 1 for slow processors and large drawings
     */
    public PageWorkers(int most, WorkerLaunch launch, double patience) {
        this.launch = launch;
        this.patience = patience;
        for (int i = 0; i < most; i++) {
            var slot = new Slot();
            idle.add(slot);
            slots.add(slot);
        }
        watch.scheduleWithFixedDelay(
                () -> slots.forEach(Slot::watch), WATCHED_EVERY_MS, WATCHED_EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /** Starts all processes ahead, each beside whatever else is done now. */
    public PageWorkers started() {
        for (Slot slot : slots) {
            Thread starting = new Thread(
                    () -> {
                        try {
                            slot.process();
                        } catch (WorkFailed e) {
                            // Whoever needs it is told.
                        }
                    },
                    "worker-start");
            starting.setDaemon(true);
            starting.start();
        }
        return this;
    }

    /** Waits while all are lent. The one lent last is lent first: it is warm, and may have the file open. */
    public Lent borrow() throws InterruptedException {
        return new Lent(idle.takeFirst());
    }

    /** Does one piece of work, once. See {@link Lent#ask}. */
    public <R extends Record> R ask(PageWork<R> work) throws UnreadableFile, WorkFailed, InterruptedException {
        try (Lent one = borrow()) {
            return one.ask(work);
        }
    }

    /** Does one piece of work; where it fails, again, up to {@link #MOST_ATTEMPTS} times. */
    public <R extends Record> R insist(PageWork<R> work) throws UnreadableFile, WorkFailed, InterruptedException {
        for (int attempt = 1; ; attempt++) {
            try {
                return ask(work);
            } catch (WorkFailed e) {
                if (attempt == MOST_ATTEMPTS || !e.counts()) {
                    throw e;
                }
            }
        }
    }

    /** Ends what is under way; whoever waits for it hears that it was stopped. */
    @Override
    public void close() {
        closed = true;
        watch.shutdownNow();
        slots.forEach(Slot::close);
    }

    /** A process for one thread; to be closed after use, which gives it back. */
    public final class Lent implements AutoCloseable {
        private final Slot slot;

        private Lent(Slot slot) {
            this.slot = slot;
        }

        /**
         * @throws UnreadableFile when the file or page is damaged: trying again changes nothing
         * @throws WorkFailed when it was ended or came to nothing; it may go better another time
         */
        public <R extends Record> R ask(PageWork<R> work) throws UnreadableFile, WorkFailed {
            return ask(work, 1);
        }

        /** @param more how many times the bounds it may take this once */
        public <R extends Record> R ask(PageWork<R> work, int more) throws UnreadableFile, WorkFailed {
            return slot.process().ask(work, patience * more);
        }

        @Override
        public void close() {
            idle.addFirst(slot);
        }
    }

    private final class Slot {
        private volatile WorkerProcess process;

        synchronized WorkerProcess process() throws WorkFailed {
            if (closed) {
                throw stopped();
            }
            if (process == null || !process.alive()) {
                try {
                    process = new WorkerProcess(launch);
                } catch (IOException e) {
                    throw new WorkFailed(WorkFailed.Why.NOT_STARTED, Unread.Code.NOT_STARTED.with(e.getMessage()));
                }
                if (closed) {
                    // It started while all were let go.
                    process.end(stopped());
                    throw stopped();
                }
            }
            return process;
        }

        void watch() {
            WorkerProcess now = process;
            if (now != null) {
                now.watch();
            }
        }

        void close() {
            WorkerProcess now = process;
            if (now != null && idle.contains(this)) {
                now.leave();
            } else if (now != null) {
                now.end(stopped());
            }
        }

        private WorkFailed stopped() {
            return new WorkFailed(WorkFailed.Why.STOPPED, Unread.Code.STOPPED.with());
        }
    }
}
