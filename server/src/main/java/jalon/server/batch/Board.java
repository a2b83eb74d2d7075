package jalon.server.batch;

import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
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
    private final Times times;

    Board(BatchRows rows, StreamLibrary streams, Batches batches, Times times) {
        this.times = times;
        this.rows = rows;
        this.streams = streams;
        this.batches = batches;
    }

    /**
     * @param pages images, @param sheets of paper they are on when they were scanned here, else 0
     * @param read pages read so far
     * @param filing whether it is being filed and needs nobody
     * @param doubts in its cut, fields and images, pages that could not be read, and deliveries that are refused
     * @param since when it came into its stage
     * @param stageDueAt when it should have left its stage, or null
     * @param with who has it, by name, or null
     * @param mine whether it is with the one who asks, @param madeByMe whether that one brought it in
     * @param onHold why nobody is to work on it, or null
     * @param arrived whether all its files are here
     * @param withdrawn whether it was taken out of the work
     */
    public record Row(
            String no,
            String stream,
            String title,
            Stage stage,
            boolean filing,
            int pages,
            int sheets,
            int read,
            int documents,
            int doubts,
            Instant since,
            Instant dueAt,
            Instant stageDueAt,
            Instant madeAt,
            String source,
            CameBy channel,
            IntakeRules.Priority priority,
            String with,
            boolean mine,
            boolean madeByMe,
            boolean free,
            String onHold,
            boolean withdrawn,
            boolean arrived) {}

    /** @param who asks */
    public List<Row> rows(String who) {
        Instant now = times.now();
        Instant since = now.minus(DONE_SHOWN);
        Map<Long, BatchRows.BoardRow> pages = new HashMap<>();
        rows.boardPages(since).forEach(p -> pages.put(p.id(), p));
        return rows.board(since).stream()
                .map(b -> {
                    BatchRows.BoardRow p = pages.getOrDefault(b.id(), new BatchRows.BoardRow(b.id(), 0, 0, 0, 0, 0));
                    var stream = streams.usable(b.stream(), b.streamVersion());
                    return new Row(
                            b.no(),
                            b.stream(),
                            stream.map(StreamDefinition::title).orElse(b.stream()),
                            b.stage(),
                            b.filedAt() != null && p.refused() == 0,
                            p.pages(),
                            p.sheets(),
                            p.pages() - p.waiting(),
                            b.documents(),
                            b.filedAt() == null ? b.doubts() + p.notRead() : p.refused(),
                            b.stageSince(),
                            b.dueAt(),
                            stream.flatMap(s -> s.intake().stageDueAt(b.stage(), b.stageSince()))
                                    .orElse(null),
                            b.madeAt(),
                            b.source(),
                            b.channel(),
                            b.priority(),
                            b.withPerson() == null ? null : batches.nameOf(b.withPerson()),
                            who.equals(b.withPerson()),
                            who.equals(b.madeBy()),
                            b.isFree(who, now),
                            b.onHold(),
                            b.withdrawn(),
                            b.arrived());
                })
                .toList();
    }
}
