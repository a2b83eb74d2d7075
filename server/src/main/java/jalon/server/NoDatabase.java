package jalon.server;

import java.sql.SQLException;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in plain words that the server could not start because its database does not answer. */
class NoDatabase extends AbstractFailureAnalyzer<SQLException> {
    /** SQLSTATE class of failed connections (ISO 9075). */
    private static final String NO_CONNECTION = "08";

    private static final String NOT_ALLOWED = "28";

    @Override
    protected FailureAnalysis analyze(Throwable start, SQLException cause) {
        String state = cause.getSQLState() == null ? "" : cause.getSQLState();
        if (state.startsWith(NOT_ALLOWED)) {
            return new FailureAnalysis(
                    "The database answers, but does not let Jalon in (" + cause.getMessage() + ").",
                    "Check JALON_DB_USER and JALON_DB_PASSWORD, then start again.",
                    cause);
        }
        if (!state.startsWith(NO_CONNECTION)) {
            return null;
        }
        return new FailureAnalysis(
                "The database does not answer (" + cause.getMessage() + "). Nothing was lost.",
                "Start MariaDB, or set JALON_DB_URL to where it is, then start again. ./jalon demo starts one of its own.",
                cause);
    }
}
