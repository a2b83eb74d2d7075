package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class PausesTest {
    @Test
    void theyDoubleAndNeverLastLongerThanTenMinutes() {
        assertThat(Pauses.after(0)).isEqualTo(Duration.ofSeconds(5));
        assertThat(Pauses.after(1)).isEqualTo(Duration.ofSeconds(5));
        assertThat(Pauses.after(3)).isEqualTo(Duration.ofSeconds(20));
        for (int failures : new int[] {8, 100, Integer.MAX_VALUE}) {
            assertThat(Pauses.after(failures)).isEqualTo(Duration.ofMinutes(10));
        }
    }
}
