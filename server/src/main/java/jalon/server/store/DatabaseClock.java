package jalon.server.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The database's clock, which all servers on it share: claims and pauses of one server mean the same to another whose own
 * clock is wrong. It is asked now and then; in between the own clock counts on.
 */
final class DatabaseClock extends Clock {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseClock.class);
    private static final Duration ASKED_EVERY = Duration.ofSeconds(30);
    private static final Duration TOLD_FROM = Duration.ofSeconds(5);

    private final DataSource database;
    private final Clock own;
    private volatile Duration ahead = Duration.ZERO;
    private volatile long askedAt;
    private volatile boolean asked;

    /** @param own the machine's clock, with the zone of the installation */
    DatabaseClock(DataSource database, Clock own) {
        this.database = database;
        this.own = own;
    }

    @Override
    public Instant instant() {
        // Counted by the machine's uptime, which does not jump when its clock is set.
        long now = System.nanoTime();
        if (!asked || now - askedAt > ASKED_EVERY.toNanos()) {
            askedAt = now;
            asked = true;
            ask();
        }
        return own.instant().plus(ahead);
    }

    private void ask() {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            Instant before = own.instant();
            try (ResultSet row = statement.executeQuery("select utc_timestamp(6)")) {
                row.next();
                Instant there = row.getObject(1, LocalDateTime.class).toInstant(ZoneOffset.UTC);
                Instant after = own.instant();
                Instant here = before.plus(Duration.between(before, after).dividedBy(2));
                Duration now = Duration.between(here, there);
                if (now.minus(ahead).abs().compareTo(TOLD_FROM) > 0) {
                    LOG.warn("this machine's clock and the database's differ by {}; the database's counts", now);
                }
                ahead = now;
            }
        } catch (SQLException e) {
            LOG.warn("the database was not asked for the time, its own clock counts on: {}", e.toString());
        }
    }

    @Override
    public ZoneId getZone() {
        return own.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new DatabaseClock(database, own.withZone(zone));
    }
}
