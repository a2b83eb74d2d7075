package jalon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jalon.server.TestDatabase;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.mariadb.jdbc.MariaDbPoolDataSource;

class OnceEachTest {
    @Test
    void manyTasksOnSeveralWorkersAreDoneOnceEach() throws Exception {
        var database = new MariaDbPoolDataSource(TestDatabase.fresh() + "?user=root&maxPoolSize=20");
        Flyway.configure().dataSource(database).load().migrate();
        int tasks = 400;
        Map<String, Integer> done = new ConcurrentHashMap<>();
        var task = Tasks.oneTime("count").execute((instance, context) -> done.merge(instance.getId(), 1, Integer::sum));
        List<Scheduler> workers = List.of(
                SchedulerSetup.configured(database, 3, List.of(task), List.of()),
                SchedulerSetup.configured(database, 3, List.of(task), List.of()),
                SchedulerSetup.configured(database, 3, List.of(task), List.of()));
        try {
            workers.forEach(Scheduler::start);
            for (int i = 0; i < tasks; i++) {
                workers.get(0).scheduleIfNotExists(task.instance("t" + i), Instant.now());
            }
            await().atMost(Duration.ofSeconds(60)).until(() -> done.size() == tasks && left(database) == 0);
        } finally {
            workers.forEach(Scheduler::stop);
        }
        assertThat(done.values()).allMatch(times -> times == 1);
    }

    private static int left(MariaDbPoolDataSource database) throws Exception {
        try (var connection = database.getConnection();
                var rows = connection.createStatement().executeQuery("select count(*) from scheduled_tasks")) {
            rows.next();
            return rows.getInt(1);
        }
    }
}
