package jalon.server.batch;

import jalon.server.stream.StreamLibrary;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Every batch at work and those done since yesterday. */
@Service
public class Board {
    private static final Duration DONE_SHOWN = Duration.ofHours(24);

    private final BatchRows rows;
    private final StreamLibrary streams;
    private final Batches batches;

    Board(BatchRows rows, StreamLibrary streams, Batches batches) {
        this.rows = rows;
        this.streams = streams;
        this.batches = batches;
    }

    /**
     * @param read pages read so far
     * @param since when it came into its stage
     * @param with who worked on it last, by name, or null
     */
    public record Row(
            String no,
            String stream,
            String title,
            String stage,
            boolean filing,
            int pages,
            int read,
            int documents,
            int doubts,
            Instant since,
            Instant dueAt,
            Instant madeAt,
            String source,
            String with) {}

    public List<Row> rows() {
        Instant since = Instant.now().minus(DONE_SHOWN);
        Map<Long, BatchRows.BoardRow> pages = new HashMap<>();
        rows.boardPages(since).forEach(p -> pages.put(p.id(), p));
        return rows.board(since).stream()
                .map(b -> {
                    BatchRows.BoardRow p = pages.getOrDefault(b.id(), new BatchRows.BoardRow(b.id(), 0, 0));
                    return new Row(
                            b.no(),
                            b.stream(),
                            streams.definition(b.stream(), b.streamVersion()).title(),
                            b.stage().name(),
                            b.filedAt() != null,
                            p.pages(),
                            p.pages() - p.waiting(),
                            b.documents(),
                            b.doubts(),
                            b.stageSince(),
                            b.dueAt(),
                            b.madeAt(),
                            b.source(),
                            b.withPerson() == null ? null : batches.nameOf(b.withPerson()));
                })
                .toList();
    }
}
