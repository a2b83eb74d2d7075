package jalon.server.archive;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.run.FiledBefore;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.batch.EarlierDocuments;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Looks documents up in the archive that have the values of one that is being indexed. */
@Component
class FiledEarlier implements EarlierDocuments {
    private record Asked(long outside, String type, Map<String, String> values) {}

    private final ArchiveRows rows;
    private final Times times;

    /** A batch is worked out again after every key: what its documents asked a moment ago is not asked again. */
    private final Cache<Asked, Optional<FiledBefore.Earlier>> known = Caffeine.newBuilder()
            .maximumSize(20_000)
            .expireAfterWrite(Duration.ofSeconds(15))
            .build();

    FiledEarlier(ArchiveRows rows, Times times) {
        this.rows = rows;
        this.times = times;
    }

    @Override
    public FiledBefore outside(long batchId) {
        return (type, values) -> known.get(new Asked(batchId, type, Map.copyOf(values)), this::ask);
    }

    private Optional<FiledBefore.Earlier> ask(Asked asked) {
        return rows.newest(asked.type(), asked.values(), asked.outside())
                .map(d -> new FiledBefore.Earlier(
                        times.day(d.filed().at()),
                        Batch.no(d.batchId()),
                        d.inOrder().get(0).no()));
    }
}
