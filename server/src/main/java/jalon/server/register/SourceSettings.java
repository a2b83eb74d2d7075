package jalon.server.register;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** Where a register comes from; one record a kind. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = SourceSettings.DropFile.class, name = "file"),
    @JsonSubTypes.Type(value = SourceSettings.Database.class, name = "database")
})
public sealed interface SourceSettings {
    /** Seconds between looks, where no schedule is set. */
    Integer everySeconds();

    /** Six parts, seconds first, as Spring's cron expressions; or null. */
    String cron();

    /** Where it comes from, in words. */
    String place();

    /** @param file an absolute path on the server; another program puts a new one there, and it stays where it is */
    record DropFile(String file, Integer everySeconds, String cron) implements SourceSettings {
        public DropFile {
            everySeconds = everySeconds == null ? 10 : everySeconds;
        }

        @Override
        public String place() {
            return file;
        }
    }

    enum System {
        @JsonProperty("mariadb")
        MARIADB(3306),
        @JsonProperty("postgresql")
        POSTGRESQL(5432);

        private final int port;

        System(int port) {
            this.port = port;
        }
    }

    /**
     * A query of the organisation's database. Nothing is ever written there.
     *
     * @param tls whether the connection is encrypted and the server's certificate checked
     * @param password written only; null when saved again keeps the one there is
     * @param query one select; its columns are the register's
     * @param seconds after which it is given up
     */
    record Database(
            System system,
            String host,
            Integer port,
            String database,
            boolean tls,
            String user,
            String password,
            String query,
            Integer seconds,
            Integer everySeconds,
            String cron)
            implements SourceSettings {
        public Database {
            system = system == null ? System.MARIADB : system;
            port = port == null ? system.port : port;
            seconds = seconds == null ? 60 : seconds;
            everySeconds = everySeconds == null ? 3600 : everySeconds;
        }

        Database withPassword(String other) {
            return new Database(system, host, port, database, tls, user, other, query, seconds, everySeconds, cron);
        }

        @Override
        public String place() {
            return database + " on " + host;
        }
    }
}
