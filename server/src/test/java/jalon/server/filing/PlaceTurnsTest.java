package jalon.server.filing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

class PlaceTurnsTest {
    private final Instant now = Instant.parse("2026-11-28T07:00:00Z");
    private final PlaceTurns turns = new PlaceTurns(3);

    @Test
    void onePlaceNeverHasAllWorkers() {
        assertThat(turns.enter("office", now)).isTrue();
        assertThat(turns.enter("office", now)).isTrue();
        assertThat(turns.enter("office", now)).isFalse();
        assertThat(turns.enter("store", now)).as("another place").isTrue();
        turns.leave("office", now);
        assertThat(turns.enter("office", now)).isTrue();
    }

    @Test
    void nobodyGoesWhereSomebodyHasBeenWaitingForLong() {
        turns.enter("office", now);
        assertThat(turns.enter("office", now.plusSeconds(60))).isFalse();
        turns.leave("office", now);
        assertThat(turns.enter("office", now.plusSeconds(61))).isTrue();
    }
}
