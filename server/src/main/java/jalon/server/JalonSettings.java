package jalon.server;

import java.nio.file.Path;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What an installation sets.
 *
 * @param data folder for received files, renditions and the archive
 * @param filing folder below which folder destinations lie; {@code data/filed} when not set
 * @param setup folder with streams, registers and people to begin with, or null; read when there are none yet
 * @param roles {@code web}, {@code worker} or both
 * @param mail how to send mail, or null: nobody is told by mail
 * @param checkFiledDays after so many days it is looked again whether a filed file still is what was filed; 0: never
 */
@ConfigurationProperties("jalon")
public record JalonSettings(
        String data,
        String filing,
        String places,
        String setup,
        List<String> roles,
        Reading reading,
        Intake intake,
        Mail mail,
        Integer checkFiledDays) {
    private static final int QUARTER = 90;

    public JalonSettings {
        checkFiledDays = checkFiledDays == null ? QUARTER : checkFiledDays;
        roles = roles == null ? List.of("web", "worker") : roles;
        reading = reading == null ? new Reading(0, 0) : reading;
        intake = intake == null ? new Intake(null, null, 0, null, null) : intake;
    }

    /** For a folder alone. */
    public static JalonSettings in(String data) {
        return new JalonSettings(data, null, null, null, null, null, null, null, null);
    }

    /**
     * @param workers pages read at once
     * @param patience how many times the usual time a page may take before it is given up; more for slow processors
     */
    public record Reading(int workers, double patience) {
        public Reading {
            workers = workers < 1 ? 2 : workers;
            patience = patience <= 0 ? 1 : patience;
        }
    }

    /**
     * @param channels file with channels that are saved at each start, by name, or null
     * @param folderRoots folders below which channels may watch folders; none when it is empty
     * @param mostInLine pages waiting to be read from which on channels take nothing more
     * @param hosts names, addresses and networks of scanners, mail servers and databases; none when it is empty, {@code *} for
     *     all
     * @param sources file with the sources of registers that are saved at each start, or null
     */
    public record Intake(
            String channels, List<String> folderRoots, int mostInLine, List<String> hosts, String sources) {
        public Intake {
            hosts = hosts == null ? List.of() : List.copyOf(hosts);
            folderRoots = folderRoots == null ? List.of() : List.copyOf(folderRoots);
            mostInLine = mostInLine < 1 ? 1000 : mostInLine;
        }

        /** Null when there is none. */
        public Path channelsFile() {
            return channels == null ? null : Path.of(channels).toAbsolutePath().normalize();
        }

        /** Null when there is none. */
        public Path sourcesFile() {
            return sources == null ? null : Path.of(sources).toAbsolutePath().normalize();
        }
    }

    /**
     * How the server sends mail.
     *
     * @param from address it writes from
     */
    public record Mail(String host, int port, String from) {}

    /** File with places that are saved at each start; null when there is none. */
    public Path placesFile() {
        return places == null ? null : Path.of(places).toAbsolutePath().normalize();
    }

    // Paths are bound as text: the framework's own conversion takes a relative one for a resource of the application.

    public Path dataFolder() {
        return Path.of(data).toAbsolutePath().normalize();
    }

    public Path filingFolder() {
        return filing == null
                ? dataFolder().resolve("filed")
                : Path.of(filing).toAbsolutePath().normalize();
    }

    /** Null when there is none. */
    public Path setupFolder() {
        return setup == null ? null : Path.of(setup).toAbsolutePath().normalize();
    }

    public boolean isWorker() {
        return roles.contains("worker");
    }
}
