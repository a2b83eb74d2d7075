package jalon.core.apart;

import jalon.core.page.Unread;
import jalon.core.page.UnreadableFile;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import tools.jackson.core.JacksonException;

/** One other process, as this one holds it: gives it work, watches what it takes, and kills it when that is too much. */
final class WorkerProcess {

    /** Heap, and what the reading engine takes beside it for the largest picture it is given. */
    private static final long MOST_BYTES = 4_500_000_000L;

    private static final long PAGE_BYTES = 4096;
    private static final Duration LEAVES_WITHIN = Duration.ofSeconds(15);

    private final Process process;
    private final DataOutputStream orders;
    private final DataInputStream answers;
    private boolean ready;
    private volatile Under under;
    private volatile WorkFailed ended;

    WorkerProcess(WorkerLaunch launch) throws IOException {
        process = launch.start();
        orders = new DataOutputStream(process.getOutputStream());
        answers = new DataInputStream(new java.io.BufferedInputStream(process.getInputStream(), 1 << 16));
    }

    /** The bounds that hold now, and when they began to. */
    private record Under(Bounds bounds, Instant since, Duration cpuBefore) {}

    /**
     * @param patience how many times the usual bounds it may take
     * @throws WorkFailed when it was ended or came to nothing
     */
    <R extends Record> R ask(PageWork<R> work, double patience) throws UnreadableFile, WorkFailed {
        boolean whole = false;
        boolean decoded = false;
        try {
            if (!ready) {
                begin(Bounds.STARTING);
                Frames.parse(Frames.read(answers), Frames.Said.class);
                ready = true;
            }
            begin(work.bounds().times(patience));
            Frames.write(orders, Frames.JSON.writeValueAsBytes(work));
            while (true) {
                Frames.Said said = Frames.parse(Frames.read(answers), Frames.Said.class);
                if (said.pixels() > 0) {
                    decoded = true;
                    begin(Bounds.reading(said.pixels()).times(patience));
                    continue;
                }
                whole = true;
                if (said.unreadable() != null) {
                    throw new UnreadableFile(said.unreadable());
                }
                if (said.why() != null) {
                    throw new WorkFailed(said.why(), said.reason());
                }
                return Frames.JSON.treeToValue(said.answer(), work.answer());
            }
        } catch (JacksonException e) {
            throw new WorkFailed(WorkFailed.Why.UNEXPECTED, Unread.Code.NO_ANSWER.with());
        } catch (WorkFailed e) {
            throw decoded ? e.afterDecoding() : e;
        } catch (IOException e) {
            WorkFailed failed = ended == null ? died() : ended;
            throw decoded ? failed.afterDecoding() : failed;
        } finally {
            under = null;
            if (!whole) {
                process.destroyForcibly();
            }
        }
    }

    private void begin(Bounds bounds) {
        under = new Under(bounds, Instant.now(), cpu());
    }

    private Duration cpu() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    private WorkFailed died() {
        try {
            String how = process.waitFor(LEAVES_WITHIN.toMillis(), TimeUnit.MILLISECONDS)
                    ? "exit code " + process.exitValue()
                    : "its answer was none";
            return new WorkFailed(WorkFailed.Why.DIED, Unread.Code.DIED.with(how));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new WorkFailed(WorkFailed.Why.STOPPED, Unread.Code.STOPPED.with());
        }
    }

    /** Kills it when what it works on takes more than it may; called now and then by another thread. */
    void watch() {
        Under now = under;
        if (now == null) {
            return;
        }
        Duration cpu = cpu().minus(now.cpuBefore());
        if (cpu.compareTo(now.bounds().cpu()) > 0
                || Duration.between(now.since(), Instant.now())
                                .compareTo(now.bounds().wall())
                        > 0) {
            end(new WorkFailed(
                    WorkFailed.Why.TIME,
                    Unread.Code.TIME_UP.with(now.bounds().cpu().toSeconds())));
        } else if (bytes() > MOST_BYTES) {
            end(new WorkFailed(WorkFailed.Why.MEMORY, Unread.Code.TOO_MUCH_MEMORY.with()));
        }
    }

    /** Memory that the process has in use now (man 5 proc_pid_statm), or 0 where the system does not say. */
    private long bytes() {
        try {
            String[] pages = Files.readString(Path.of("/proc/" + process.pid() + "/statm"))
                    .split(" ");
            return Long.parseLong(pages[1]) * PAGE_BYTES;
        } catch (IOException | NumberFormatException | ArrayIndexOutOfBoundsException e) {
            return 0;
        }
    }

    /** Kills it, and has whoever waits for an answer hear why. */
    void end(WorkFailed why) {
        ended = why;
        process.destroyForcibly();
    }

    boolean alive() {
        return process.isAlive() && ended == null;
    }

    /** Lets it go: it leaves by itself when it has nothing to do. */
    void leave() {
        try {
            orders.close();
            if (process.waitFor(LEAVES_WITHIN.toMillis(), TimeUnit.MILLISECONDS)) {
                return;
            }
        } catch (IOException e) {
            // It has gone already.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        process.destroyForcibly();
    }
}
