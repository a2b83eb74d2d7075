package jalon.server.intake;

import jalon.server.NotPossible;
import jalon.server.Trouble;
import jalon.server.batch.GatheredBatches;
import jalon.server.batch.Receiving;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;

/** One look into a watched folder, under way. */
final class FolderVisit {
    final ChannelRows.Row channel;
    final ChannelSettings.Folder settings;
    final Path root;
    final Set<String> unsettled = new HashSet<>();
    int took;
    int rejected;
    private Trouble problem;

    FolderVisit(ChannelRows.Row channel, ChannelSettings.Folder settings, Path root) {
        this.channel = channel;
        this.settings = settings;
        this.root = root;
    }

    /** The first that is told is shown. */
    void tell(NotPossible what) {
        problem = problem == null ? what.trouble() : problem;
    }

    boolean gathers() {
        return settings.gatherSeconds() > 0;
    }

    ChannelVisit done(GatheredBatches gathered, Receiving receiving, Instant now) {
        boolean open = completeQuiet(gathered, receiving, now);
        boolean soon = !unsettled.isEmpty() || open;
        Duration again = soon ? Duration.ofMillis(Math.max(250, settings.settleSeconds() * 500L)) : null;
        return new ChannelVisit(took, rejected, again, problem);
    }

    /** @return whether something is still being gathered */
    private boolean completeQuiet(GatheredBatches gathered, Receiving receiving, Instant now) {
        boolean open = false;
        for (GatheredBatches.Open g : gathered.all(channel.id())) {
            boolean quiet = !unsettled.contains(g.stream())
                    && (g.since() == null
                            || g.since().plusSeconds(settings.gatherSeconds()).isBefore(now));
            if (quiet) {
                receiving.complete(g.no(), "channel " + channel.name());
            } else {
                open = true;
            }
        }
        return open;
    }
}
