package jalon.server.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.jdbc.MySQL8JdbcCustomization;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import jalon.server.JalonSettings;
import jalon.server.Times;
import jalon.server.batch.BatchAdvance;
import jalon.server.batch.ReadWork;
import jalon.server.batch.TypeTeaching;
import jalon.server.filing.DeliverWork;
import jalon.server.filing.FiledCheck;
import jalon.server.filing.FilingDesk;
import jalon.server.filing.FilingReports;
import jalon.server.learning.Lessons;
import jalon.server.live.RecurringWork;
import jalon.server.retention.EraseWork;
import jalon.server.workbench.ReplayRuns;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;

/**
 * The clustered scheduler over the database: any number of workers take tasks with row locks, one that dies loses its
 * claim after some missed heartbeats, and the task is done again.
 */
@Configuration
class SchedulerSetup {
    /** Failures after which a batch that cannot leave intake is told about in its log. */
    private static final int TOLD_AFTER = 3;

    private static final Logger LOG = LoggerFactory.getLogger(SchedulerSetup.class);

    private static final Duration HEARTBEAT = Duration.ofSeconds(5);

    /** Until it is looked again whether a place has room for one more. */
    private static final Duration ITS_TURN = Duration.ofSeconds(1);

    /** Tasks of a kind that this version does not know are told in the log and kept for the version that does. */
    private static final Duration UNKNOWN_KEPT = Duration.ofDays(10_000);

    @Bean
    SchedulerQueue queue(DataSource database, Times times) {
        // Work is put down in the caller's transaction: either both are there after a crash, or neither is.
        return new SchedulerQueue(client(new TransactionAwareDataSourceProxy(database)), times);
    }

    static SchedulerClient client(DataSource database) {
        return SchedulerClient.Builder.create(database)
                .jdbcCustomization(new MySQL8JdbcCustomization(true))
                .enablePriority()
                .serializer(new StoredTasks())
                .build();
    }

    @Bean
    SmartLifecycle workers(
            DataSource database,
            JalonSettings settings,
            ObjectProvider<ReadWork> read,
            ObjectProvider<BatchAdvance> advancing,
            ObjectProvider<Lessons> lessons,
            ObjectProvider<TypeTeaching> teaching,
            ObjectProvider<FilingDesk> filing,
            ObjectProvider<DeliverWork> deliver,
            ObjectProvider<FiledCheck> checked,
            ObjectProvider<FilingReports> reports,
            ObjectProvider<EraseWork> erasing,
            ObjectProvider<ReplayRuns> replays,
            List<RecurringWork> recurring,
            SchedulerQueue queue,
            Times times) {
        Task<SchedulerQueue.Pages> readPages = Tasks.oneTime(SchedulerQueue.READ, SchedulerQueue.Pages.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) -> {
                    SchedulerQueue.Pages p = task.getData();
                    try {
                        var run = new ReadWork.Run(p.fileId(), p.from(), p.to(), p.again(), p.patiently());
                        boolean all = read.getObject().read(run);
                        if (all) {
                            queue.advance(read.getObject().batchOf(p.fileId()));
                        }
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                        throw new IllegalStateException("stopped while reading", e);
                    }
                });
        Task<SchedulerQueue.Id> advance = Tasks.oneTime(SchedulerQueue.ADVANCE, SchedulerQueue.Id.class)
                .onFailure((done, operations) -> {
                    if (done.getExecution().consecutiveFailures + 1 == TOLD_AFTER) {
                        var id = (SchedulerQueue.Id)
                                done.getExecution().taskInstance.getData();
                        String why = done.getCause().map(Throwable::toString).orElse("unknown");
                        advancing.getObject().tellStuck(id.id(), why);
                    }
                    SchedulerQueue.<SchedulerQueue.Id>growing().onFailure(done, operations);
                })
                .execute((task, context) ->
                        advancing.getObject().advance(task.getData().id()));
        Task<SchedulerQueue.Lesson> learn = Tasks.oneTime(SchedulerQueue.LEARN, SchedulerQueue.Lesson.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) -> {
                    SchedulerQueue.Lesson wanted = task.getData();
                    lessons.getObject().learn(wanted.stream());
                    if (wanted.batchId() > 0) {
                        teaching.getObject().adopt(wanted.batchId());
                    }
                });
        Task<SchedulerQueue.Id> file = Tasks.oneTime(SchedulerQueue.FILE, SchedulerQueue.Id.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) ->
                        filing.getObject().fileUntouched(task.getData().id()));
        Task<SchedulerQueue.Id> delivery = Tasks.custom(SchedulerQueue.DELIVER, SchedulerQueue.Id.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) ->
                        deliver.getObject().deliver(task.getData().id())
                                ? new CompletionHandler.OnCompleteRemove<>()
                                : (done, operations) -> operations.reschedule(
                                        done, done.getTimeDone().plus(ITS_TURN)));
        Task<SchedulerQueue.Id> checkFiled = Tasks.oneTime(SchedulerQueue.CHECK_FILED, SchedulerQueue.Id.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) ->
                        checked.getObject().checkBatch(task.getData().id()));
        Task<SchedulerQueue.Id> report = Tasks.oneTime(SchedulerQueue.REPORT, SchedulerQueue.Id.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) ->
                        reports.getObject().send(task.getData().id()));
        Task<SchedulerQueue.Id> erase = Tasks.oneTime(SchedulerQueue.ERASE, SchedulerQueue.Id.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) ->
                        erasing.getObject().erase(task.getData().id()));
        Task<SchedulerQueue.Replayed> replay = Tasks.oneTime(SchedulerQueue.REPLAY, SchedulerQueue.Replayed.class)
                .onFailure(SchedulerQueue.growing())
                .execute((task, context) -> replays.getObject()
                        .carryOn(task.getData().stream(), task.getData().no()));
        List<RecurringTask<Void>> again =
                recurring.stream().map(SchedulerSetup::task).toList();
        Scheduler scheduler = configured(
                database,
                settings.reading().workers(),
                List.of(readPages, advance, learn, file, delivery, checkFiled, report, erase, replay),
                again,
                times.clock());
        return new Running(scheduler, settings.isWorker());
    }

    private static RecurringTask<Void> task(RecurringWork work) {
        return Tasks.recurring(work.name(), Schedules.fixedDelay(work.pause())).execute((instance, context) -> {
            try {
                work.run();
            } catch (IOException | RuntimeException e) {
                LOG.warn("{} failed and will be done again: {}", work.name(), e.toString());
            }
        });
    }

    /**
     * A worker's half of the queue. Locking rows while fetching is outside what the library promises for this database; a
     * test holds that each task is still done once.
     */
    static Scheduler configured(
            DataSource database,
            int threads,
            List<Task<?>> tasks,
            List<RecurringTask<Void>> recurring,
            Clock databases) {
        return Scheduler.create(database, tasks)
                // Whose sign of life is old is for one clock to say.
                .clock(databases::instant)
                .startTasks(recurring)
                .serializer(new StoredTasks())
                .deleteUnresolvedAfter(UNKNOWN_KEPT)
                .enablePriority()
                // One more than pages are read at once, so that what recurs does not wait for a long page.
                .threads(recurring.isEmpty() ? threads : threads + 1)
                .jdbcCustomization(new MySQL8JdbcCustomization(true))
                // Only what a thread is free for, and again as soon as one is: what is taken and waits gives no sign of
                // life, and would soon be done by another worker too.
                .pollUsingLockAndFetch(0.99, 1.0)
                .pollingInterval(Duration.ofMillis(300))
                .heartbeatInterval(HEARTBEAT)
                .missedHeartbeatsLimit(4)
                .shutdownMaxWait(Duration.ofSeconds(20))
                .build();
    }

    /** Starts with the server and stops before the database does. */
    private static final class Running implements SmartLifecycle {
        private final Scheduler scheduler;
        private final boolean wanted;
        private volatile boolean running;

        Running(Scheduler scheduler, boolean wanted) {
            this.scheduler = scheduler;
            this.wanted = wanted;
        }

        @Override
        public void start() {
            if (wanted) {
                scheduler.start();
            }
            running = true;
        }

        @Override
        public void stop() {
            if (wanted) {
                scheduler.stop();
            }
            running = false;
        }

        @Override
        public boolean isRunning() {
            return running;
        }
    }
}
