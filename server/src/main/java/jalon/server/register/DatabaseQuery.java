package jalon.server.register;

import jalon.server.Problem;
import jalon.server.intake.AllowedHosts;
import java.io.IOException;
import java.sql.Connection;
import java.sql.Driver;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLInvalidAuthorizationSpecException;
import java.sql.SQLTimeoutException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;

/**
 * Asks the organisation's database for a register: one select, in a transaction that can only read, given up after its time,
 * and never more than the register can hold.
 */
@Component
class DatabaseQuery {
    /** A register of a million rows of some columns is a good deal smaller. */
    private static final int MOST_CHARACTERS = 50_000_000;

    private static final int ROWS_AT_ONCE = 1000;
    private static final int CONNECT_SECONDS = 10;

    private final AllowedHosts hosts;

    DatabaseQuery(AllowedHosts hosts) {
        this.hosts = hosts;
    }

    /** Refuses what is not one select before it is sent to anyone. */
    static void check(SourceSettings.Database wanted) {
        if (blank(wanted.host()) || blank(wanted.database()) || blank(wanted.user()) || blank(wanted.query())) {
            throw Problem.SOURCE_NEEDS.with();
        }
        if (!wanted.host().matches("[A-Za-z0-9.:-]+") || !wanted.database().matches("[\\w.-]+")) {
            throw Problem.SOURCE_NEEDS.with();
        }
        String query = bare(wanted.query());
        if (query.contains(";") || !query.matches("(?is)(select|with)\\b.*")) {
            throw Problem.SOURCE_ONE_SELECT.with();
        }
    }

    private static boolean blank(String text) {
        return text == null || text.isBlank();
    }

    private static String bare(String query) {
        return query.strip().replaceAll(";\\s*$", "");
    }

    /** @return the rows as CSV, the first line the column names */
    String csv(SourceSettings.Database wanted, String password) {
        check(wanted);
        hosts.check(wanted.host());
        long until = System.nanoTime() + Duration.ofSeconds(wanted.seconds()).toNanos();
        try (Connection connection = connect(wanted, password)) {
            connection.setReadOnly(true);
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                if (wanted.system() == SourceSettings.System.MARIADB) {
                    statement.execute("start transaction read only");
                }
                statement.setQueryTimeout(wanted.seconds());
                statement.setFetchSize(ROWS_AT_ONCE);
                try (ResultSet rows = statement.executeQuery(bare(wanted.query()))) {
                    return text(rows, until, wanted);
                }
            } finally {
                connection.rollback();
            }
        } catch (SQLInvalidAuthorizationSpecException e) {
            throw Problem.SOURCE_REFUSED.with(wanted.host(), wanted.user());
        } catch (SQLTimeoutException e) {
            throw Problem.SOURCE_TOO_SLOW.with(wanted.seconds());
        } catch (SQLException e) {
            throw told(e, wanted, until);
        }
    }

    private static RuntimeException told(SQLException e, SourceSettings.Database wanted, long until) {
        String state = e.getSQLState() == null ? "" : e.getSQLState();
        // 28: who asks may not; 08: no connection; 57014 and 70100: stopped since it took too long.
        if (state.startsWith("28")) {
            return Problem.SOURCE_REFUSED.with(wanted.host(), wanted.user());
        }
        if (state.equals("57014") || state.equals("70100") || System.nanoTime() > until) {
            return Problem.SOURCE_TOO_SLOW.with(wanted.seconds());
        }
        return state.startsWith("08")
                ? Problem.SOURCE_UNREACHABLE.with(wanted.host() + ":" + wanted.port())
                : Problem.SOURCE_QUERY.with(e.getMessage());
    }

    /** The address is made here of its parts: nobody can slip in a setting of the driver. */
    private static Connection connect(SourceSettings.Database wanted, String password) throws SQLException {
        var with = new Properties();
        with.setProperty("user", wanted.user());
        with.setProperty("password", password == null ? "" : password);
        boolean mariadb = wanted.system() == SourceSettings.System.MARIADB;
        int answer = wanted.seconds() + CONNECT_SECONDS;
        with.setProperty("connectTimeout", String.valueOf(mariadb ? CONNECT_SECONDS * 1000 : CONNECT_SECONDS));
        with.setProperty("socketTimeout", String.valueOf(mariadb ? answer * 1000 : answer));
        with.setProperty(mariadb ? "sslMode" : "sslmode", wanted.tls() ? "verify-full" : "disable");
        String address = (mariadb ? "jdbc:mariadb://" : "jdbc:postgresql://") + wanted.host() + ":" + wanted.port()
                + "/" + wanted.database();
        Driver driver = mariadb ? new org.mariadb.jdbc.Driver() : new org.postgresql.Driver();
        return driver.connect(address, with);
    }

    private static String text(ResultSet rows, long until, SourceSettings.Database wanted) throws SQLException {
        var meta = rows.getMetaData();
        List<String> columns = new ArrayList<>();
        for (int c = 1; c <= meta.getColumnCount(); c++) {
            columns.add(meta.getColumnLabel(c));
        }
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter lines = CSVFormat.DEFAULT.print(csv)) {
            lines.printRecord(columns);
            int count = 0;
            while (rows.next()) {
                for (int c = 1; c <= columns.size(); c++) {
                    String value = rows.getString(c);
                    lines.print(value == null ? "" : value);
                }
                lines.println();
                if (++count % ROWS_AT_ONCE == 0 && System.nanoTime() > until) {
                    throw Problem.SOURCE_TOO_SLOW.with(wanted.seconds());
                }
                if (csv.length() > MOST_CHARACTERS) {
                    throw Problem.SOURCE_TOO_MUCH.with(count);
                }
            }
            if (count == 0) {
                throw Problem.SOURCE_NOTHING.with();
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return csv.toString();
    }
}
