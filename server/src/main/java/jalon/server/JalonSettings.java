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
        Path data, Path filing, Path setup, List<String> roles, int workers, List<Watched> watched) {
    public JalonSettings {
        filing = filing == null ? data.resolve("filed") : filing;
        roles = roles == null ? List.of("web", "worker") : roles;
        workers = workers < 1 ? 2 : workers;
        watched = watched == null ? List.of() : watched;
    }

    /** @param every how often it is looked at */
    public record Watched(Path folder, String stream, Duration every) {
        public Watched {
            every = every == null ? Duration.ofSeconds(5) : every;
        }
    }

    public boolean isWorker() {
        return roles.contains("worker");
    }
}
