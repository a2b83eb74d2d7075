package jalon.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.server.TestDatabase;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

class DatabaseClockTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Lisbon");

    @Test
    void aServerWhoseClockIsWrongGoesByTheDatabases() {
        Clock wrong = Clock.offset(Clock.system(ZONE), Duration.ofHours(-7));
        var clock = new DatabaseClock(new DriverManagerDataSource(TestDatabase.fresh()), wrong);
        assertThat(clock.instant()).isCloseTo(Instant.now(), within(3, ChronoUnit.SECONDS));
        assertThat(clock.getZone()).isEqualTo(ZONE);
    }

    @Test
    void whileTheDatabaseIsAwayTheOwnClockCountsOn() {
        var nowhere = new DriverManagerDataSource("jdbc:mariadb://127.0.0.1:1/nowhere?connectTimeout=200");
        Clock own = Clock.fixed(Instant.parse("2026-11-23T10:00:00Z"), ZONE);
        assertThat(new DatabaseClock(nowhere, own).instant()).isEqualTo(own.instant());
    }
}
