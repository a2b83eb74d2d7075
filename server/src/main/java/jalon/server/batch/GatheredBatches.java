package jalon.server.batch;

import jalon.server.live.RecurringWork;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Batches that a channel adds files to until it is quiet, one for each stream. */
@Service
public class GatheredBatches implements RecurringWork {
    private static final Duration SWEPT_EVERY = Duration.ofMinutes(1);

    private final BatchRows rows;
    private final Receiving receiving;
    private final KeptFiles files;
    private final BatchPages pages;
    private final TransactionTemplate transaction;

    GatheredBatches(
            BatchRows rows, Receiving receiving, KeptFiles files, BatchPages pages, TransactionTemplate transaction) {
        this.rows = rows;
        this.receiving = receiving;
        this.files = files;
        this.pages = pages;
        this.transaction = transaction;
    }

    /** @param since when the last file came into it */
    public record Open(String no, String stream, Instant since) {}

    /** The batches that a watched folder still adds files to, one a stream. */
    public List<Open> all(long channelId) {
        return rows.gathering(channelId).stream()
                .map(b -> new Open(b.no(), b.stream().name(), rows.lastReceived(b.id())))
                .toList();
    }

    /** Nothing is added any more to what a channel gathered: it is changed, paused or gone. */
    @Transactional
    public void complete(long channelId, String who) {
        rows.gathering(channelId).forEach(b -> receiving.complete(b.no(), who));
    }

    @Override
    public String name() {
        return "left-gatherings";
    }

    @Override
    public Duration pause() {
        return SWEPT_EVERY;
    }

    /** Completes what was gathered for channels that are gone or paused, should one have been at work just then. */
    @Override
    @Transactional
    public void run() {
        rows.left().forEach(b -> receiving.complete(b.no(), "Jalon"));
    }

    /** Adds a file to the batch its channel gathers now, opening one if there is none; an unreadable file is not added. */
    public Receiving.Received add(long channelId, NewBatch wanted, String name, InputStream in, String origin) {
        KeptFiles.Kept kept = files.keep(name, in);
        if (kept.opened().rejected() != null) {
            return kept.received();
        }
        return transaction.execute(t -> {
            String no = all(channelId).stream()
                    .filter(g -> g.stream().equals(wanted.stream()))
                    .map(Open::no)
                    .findFirst()
                    .orElseGet(() -> receiving.open(wanted));
            Batch batch = rows.locked(no);
            if (batch.course().arrived() || batch.withdrawn()) {
                batch = rows.locked(receiving.open(wanted));
            }
            return pages.record(batch, kept, origin, null).received();
        });
    }
}
