package jalon.server.work;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceCurrentlyExecutingException;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceNotFoundException;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Priority;
import com.github.kagkarlsson.scheduler.task.SchedulableInstance;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.TaskInstanceId;
import jalon.server.Pauses;
import jalon.server.Problem;
import jalon.server.Times;
import jalon.server.batch.WorkQueue;
import java.io.Serializable;
import java.util.UUID;

/**
 * The queue in the database: each task under a name of its own, so that asking twice is asking once. What people wait for
 * goes before pages that nobody has seen yet: else the first batch of a busy hour was ready when the last one was.
 */
final class SchedulerQueue implements WorkQueue {
    static final String READ = "read-pages";
    static final String ADVANCE = "advance-batch";
    static final String LEARN = "learn-stream";
    static final String FILE = "file-batch";
    static final String REPORT = "report-filed";
    static final String CHECK_FILED = "check-filed-batch";
    static final String ERASE = "erase";
    static final String DELIVER = "deliver";
    static final String REPLAY = "replay-draft";

    /** Small enough that two workers share a short file, large enough that opening it costs little. */
    private static final int PAGES_AT_ONCE = 4;

    private final SchedulerClient client;
    private final Times times;

    SchedulerQueue(SchedulerClient client, Times times) {
        this.client = client;
        this.times = times;
    }

    /** @param again whether pages read before are read again, @param patiently whether more time is given than usual */
    record Pages(long fileId, int from, int to, boolean again, boolean patiently) implements Serializable {}

    record Id(long id) implements Serializable {}

    /** @param batchId of the batch that waits for it, or 0 */
    record Lesson(String stream, long batchId) implements Serializable {}

    /** @param no of the asking */
    record Replayed(String stream, int no) implements Serializable {}

    /** What failed is tried again after a pause, however often it failed before. */
    static <T> FailureHandler<T> growing() {
        return (done, operations) -> {
            int failures = done.getExecution().consecutiveFailures + 1;
            operations.reschedule(done, done.getTimeDone().plus(Pauses.after(failures)));
        };
    }

    @Override
    public void readFile(long fileId, int pages) {
        for (int from = 1; from <= pages; from += PAGES_AT_ONCE) {
            var run = new Pages(fileId, from, Math.min(pages, from + PAGES_AT_ONCE - 1), false, false);
            put(READ, fileId + "-" + from, run, Priority.MEDIUM);
        }
    }

    @Override
    public void readAgain(long fileId, int filePage) {
        put(
                READ,
                fileId + "-" + filePage + "-" + UUID.randomUUID(),
                new Pages(fileId, filePage, filePage, true, false),
                Priority.HIGH);
    }

    @Override
    public void readPatiently(long fileId, int filePage) {
        put(
                READ,
                fileId + "-" + filePage + "-" + UUID.randomUUID(),
                new Pages(fileId, filePage, filePage, false, true),
                Priority.MEDIUM);
    }

    @Override
    public void advance(long batchId) {
        // Each wish under its own name: one that comes while the last is under way must not be lost.
        put(ADVANCE, batchId + "-" + UUID.randomUUID(), new Id(batchId), Priority.HIGH);
    }

    @Override
    public void learn(String stream) {
        put(LEARN, stream + "-" + UUID.randomUUID(), new Lesson(stream, 0), Priority.LOW);
    }

    @Override
    public void learn(String stream, long batchId) {
        put(LEARN, stream + "-" + UUID.randomUUID(), new Lesson(stream, batchId), Priority.HIGH);
    }

    @Override
    public void file(long batchId) {
        put(FILE, Long.toString(batchId), new Id(batchId), Priority.HIGH);
    }

    @Override
    public void report(long batchId) {
        put(REPORT, Long.toString(batchId), new Id(batchId), Priority.MEDIUM);
    }

    @Override
    public void checkFiled(long batchId) {
        put(CHECK_FILED, Long.toString(batchId), new Id(batchId), Priority.HIGH);
    }

    @Override
    public void erase(long keptId) {
        broughtForward(ERASE, keptId, Priority.LOW);
    }

    @Override
    public void replay(String stream, int no) {
        put(REPLAY, stream + "-" + no + "-" + UUID.randomUUID(), new Replayed(stream, no), Priority.LOW);
    }

    @Override
    public void deliver(long deliveryId) {
        if (!broughtForward(DELIVER, deliveryId, Priority.HIGH)) {
            throw Problem.BEING_DELIVERED.with();
        }
    }

    @Override
    public void wake(long deliveryId) {
        broughtForward(DELIVER, deliveryId, Priority.HIGH);
    }

    @Override
    public boolean giveUp(long deliveryId) {
        try {
            client.cancel(TaskInstanceId.of(DELIVER, Long.toString(deliveryId)));
            return true;
        } catch (TaskInstanceNotFoundException e) {
            // It has ended.
            return true;
        } catch (TaskInstanceCurrentlyExecutingException e) {
            return false;
        }
    }

    /** @return false when it is being carried out at this moment */
    private boolean broughtForward(String what, long id, int priority) {
        SchedulableInstance<Id> task = now(what, Long.toString(id), new Id(id), priority);
        try {
            return client.scheduleIfNotExists(task) || client.reschedule(task.getTaskInstance(), times.now());
        } catch (TaskInstanceCurrentlyExecutingException e) {
            return false;
        }
    }

    private <T> void put(String task, String name, T data, int priority) {
        client.scheduleIfNotExists(now(task, name, data, priority));
    }

    private <T> SchedulableInstance<T> now(String task, String name, T data, int priority) {
        return new TaskInstance.Builder<T>(task, name)
                .data(data)
                .priority(priority)
                .scheduledTo(times.now());
    }
}
