package jalon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.github.kagkarlsson.scheduler.serializer.JavaSerializer;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class StoredTasksTest {
    private final StoredTasks tasks = new StoredTasks();

    @Test
    void tasksOfTheVersionBeforeAreStillUnderstood() {
        var pages = new SchedulerQueue.Pages(7, 1, 4, false, true);
        assertThat(tasks.deserialize(SchedulerQueue.Pages.class, new JavaSerializer().serialize(pages)))
                .isEqualTo(pages);
        assertThat(tasks.deserialize(SchedulerQueue.Pages.class, tasks.serialize(pages)))
                .isEqualTo(pages);
    }

    @Test
    void whatCannotBeUnderstoodIsToldAndNotTakenForNothing() {
        byte[] other = "[1]".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> tasks.deserialize(SchedulerQueue.Id.class, other))
                .hasMessageContaining("waits for a version");
    }
}
