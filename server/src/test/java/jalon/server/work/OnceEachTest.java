package jalon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jalon.server.TestDatabase;
import jalon.server.Times;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.mariadb.jdbc.MariaDbPoolDataSource;

class OnceEachTest {
    @Test
    void manyTasksOnSeveralWorkersAreDoneOnceEach() throws Exception {
        MariaDbPoolDataSource database = database();
        int tasks = 400;
        Map<String, Integer> done = new ConcurrentHashMap<>();
        var task = Tasks.oneTime("count").execute((instance, context) -> done.merge(instance.getId(), 1, Integer::sum));
        List<Scheduler> workers = List.of(
                SchedulerSetup.configured(database, 3, List.of(task), List.of(), Clock.systemUTC()),
                SchedulerSetup.configured(database, 3, List.of(task), List.of(), Clock.systemUTC()),
                SchedulerSetup.configured(database, 3, List.of(task), List.of(), Clock.systemUTC()));
        try {
            workers.forEach(Scheduler::start);
            for (int i = 0; i < tasks; i++) {
                workers.get(0).scheduleIfNotExists(task.instance("t" + i), Instant.now());
            }
            await().atMost(Duration.ofSeconds(60))
                    .until(() -> done.size() == tasks && count(database, "select count(*) from scheduled_tasks") == 0);
        } finally {
            workers.forEach(Scheduler::stop);
        }
        assertThat(done.values()).allMatch(times -> times == 1);
    }

    /** What is taken and waits is not known to live: after 20 seconds another worker would do it too. */
    @Test
    void aTaskIsNotTakenBeforeAThreadIsFreeForIt() throws Exception {
        MariaDbPoolDataSource database = database();
        var busy = new CountDownLatch(1);
        var over = new CountDownLatch(1);
        var slow = Tasks.oneTime("slow").execute((instance, context) -> {
            busy.countDown();
            try {
                over.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        Scheduler worker = SchedulerSetup.configured(database, 1, List.of(slow), List.of(), Clock.systemUTC());
        try {
            for (int i = 0; i < 4; i++) {
                worker.scheduleIfNotExists(slow.instance("t" + i), Instant.now());
            }
            worker.start();
            assertThat(busy.await(20, TimeUnit.SECONDS)).isTrue();
            assertThat(count(database, "select count(*) from scheduled_tasks where picked"))
                    .isOne();
        } finally {
            over.countDown();
            worker.stop();
        }
    }

    /** It waited behind every page that had come in meanwhile. */
    @Test
    void aBatchThatIsReadDoesNotWaitForThePagesOfOthers() throws Exception {
        MariaDbPoolDataSource database = database();
        List<String> done = new CopyOnWriteArrayList<>();
        var read = Tasks.oneTime(SchedulerQueue.READ, SchedulerQueue.Pages.class)
                .execute((instance, context) -> done.add(instance.getTaskName()));
        var advance = Tasks.oneTime(SchedulerQueue.ADVANCE, SchedulerQueue.Id.class)
                .execute((instance, context) -> done.add(instance.getTaskName()));
        var queue = new SchedulerQueue(SchedulerSetup.client(database), new Times(Clock.systemUTC()));
        queue.readFile(1, 12);
        queue.advance(1);
        Scheduler worker = SchedulerSetup.configured(database, 1, List.of(read, advance), List.of(), Clock.systemUTC());
        try {
            worker.start();
            await().atMost(Duration.ofSeconds(60)).until(() -> done.size() == 4);
        } finally {
            worker.stop();
        }
        assertThat(done.get(0)).isEqualTo(SchedulerQueue.ADVANCE);
    }

    private static MariaDbPoolDataSource database() throws Exception {
        var database = new MariaDbPoolDataSource(TestDatabase.fresh() + "?user=root&maxPoolSize=20");
        Flyway.configure().dataSource(database).load().migrate();
        return database;
    }

    private static int count(MariaDbPoolDataSource database, String query) throws Exception {
        try (var connection = database.getConnection();
                var rows = connection.createStatement().executeQuery(query)) {
            rows.next();
            return rows.getInt(1);
        }
    }
}
