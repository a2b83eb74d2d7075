package jalon.server;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What an installation sets.
 *
 * @param data folder for received files, renditions and the archive
 * @param filing folder below which folder destinations lie; {@code data/filed} when not set
 * @param setup folder with streams, registers and people to begin with, or null; read when there are none yet
 * @param roles {@code web}, {@code worker} or both
 * @param workers pages read at once
 * @param watched folders that are looked at
 */
@ConfigurationProperties("jalon")
public record JalonSettings(
        String data, String filing, String setup, List<String> roles, int workers, List<Watched> watched) {
    public JalonSettings {
        roles = roles == null ? List.of("web", "worker") : roles;
        workers = workers < 1 ? 2 : workers;
        watched = watched == null ? List.of() : watched;
    }

    /** @param every how often it is looked at */
    public record Watched(String folder, String stream, Duration every) {
        public Watched {
            every = every == null ? Duration.ofSeconds(5) : every;
        }

        public Path path() {
            return Path.of(folder).toAbsolutePath().normalize();
        }
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
