package jalon.server.filing;

import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlaces;
import jalon.core.output.Fixity;
import jalon.core.stream.Destination;
import jalon.server.JalonSettings;
import jalon.server.NotPossible;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.Batches;
import jalon.server.live.Events;
import jalon.server.live.RecurringWork;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Looks whether what was filed still lies there, byte for byte: each file again and again, those longest not looked at first, and
 * a batch's when somebody asks.
 */
@Service
public class FiledCheck implements RecurringWork {
    private static final Logger LOG = LoggerFactory.getLogger(FiledCheck.class);

    /** So many an hour, so that other work goes on. */
    private static final int AT_ONCE = 500;

    private final DeliveryRows rows;
    private final Batches batches;
    private final FilingPlaces places;
    private final ActivityLog log;
    private final Events events;
    private final Times times;
    private final Duration every;

    FiledCheck(
            DeliveryRows rows,
            Batches batches,
            FilingPlaces places,
            ActivityLog log,
            Events events,
            Times times,
            JalonSettings settings) {
        this.rows = rows;
        this.batches = batches;
        this.places = places;
        this.log = log;
        this.events = events;
        this.times = times;
        this.every = Duration.ofDays(settings.checkFiledDays());
    }

    /**
     * A filed file that is not what it was.
     *
     * @param path below the destination
     */
    public record FiledTrouble(String batch, int document, String destination, String path, Fixity found, Instant at) {}

    /** What was found wrong and is not mended, the newest first. */
    public List<FiledTrouble> troubles() {
        return rows.troubles().stream()
                .map(r -> new FiledTrouble(
                        Batch.no(r.batchId()), r.documentNo(), r.destination(), r.path(), r.checked(), r.checkedAt()))
                .toList();
    }

    @Override
    public String name() {
        return "check-filed";
    }

    @Override
    public Duration pause() {
        return Duration.ofHours(1);
    }

    @Override
    public void run() {
        if (!every.isZero()) {
            lookAgain(times.now().minus(every), AT_ONCE);
        }
    }

    /** Looks at those not looked at since then, where they can be asked for. */
    public void lookAgain(Instant before, int most) {
        Set<DeliveryRows.OfStream> away = new HashSet<>();
        int left = most;
        int known;
        do {
            known = away.size();
            left -= check(rows.dueForCheck(before, away, left), away);
        } while (left > 0 && away.size() > known);
    }

    /** Looks at all of a batch's files now. */
    public void checkBatch(long batchId) {
        check(rows.doneOfBatch(batchId), new HashSet<>());
        events.changed(Batch.no(batchId));
    }

    /**
     * @param away where nothing is looked at; destinations whose place cannot be asked are added
     * @return how many were looked at
     */
    private int check(List<DeliveryRows.Filed> files, Set<DeliveryRows.OfStream> away) {
        int looked = 0;
        for (DeliveryRows.Filed file : files) {
            var where = new DeliveryRows.OfStream(file.stream(), file.destination());
            if (away.contains(where)) {
                continue;
            }
            Batch batch = batches.get(Batch.no(file.batchId()));
            Destination destination =
                    batches.stream(batch).destination(file.destination()).orElseThrow();
            try {
                FilingPlace place = places.of(destination);
                found(batch, file, Fixity.of(place, file.path(), file.sha256()));
                looked++;
            } catch (IOException | NotPossible e) {
                // Later is soon enough, and for all that lies there.
                away.add(where);
                LOG.warn("what was filed at {} could not be looked at: {}", destination.destination(), e.getMessage());
            }
        }
        return looked;
    }

    private void found(Batch batch, DeliveryRows.Filed file, Fixity found) {
        rows.checked(file, found, times.now());
        if (found != file.checked() && (found.isTrouble() || file.checked().isTrouble())) {
            Act act = found.isTrouble() ? Act.FILED_FILE_TROUBLE : Act.FILED_FILE_MENDED;
            log.add(ActivityLog.JALON, batch.id(), act.with(file.destination(), file.path()));
        }
    }
}
