package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.rights.Rights;
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
    private final Rights rights;
    private final Times times;

    Board(BatchRows rows, StreamLibrary streams, Batches batches, Rights rights, Times times) {
        this.rights = rights;
        this.times = times;
        this.rows = rows;
        this.streams = streams;
        this.batches = batches;
    }

    /** A batch on the board; its groups lie side by side in the JSON. */
    public record Row(
            String no,
            @JsonUnwrapped StreamTitle streamTitle,
            @JsonUnwrapped Progress progress,
            @JsonUnwrapped Amounts amounts,
            @JsonUnwrapped Origin origin,
            @JsonUnwrapped Urgency urgency,
            @JsonUnwrapped Holder holder) {}

    public record StreamTitle(String stream, String title) {}

    /**
     * @param filing whether it is being filed and needs nobody
     * @param since when it came into its stage
     * @param arrived whether all its files are here
     * @param withdrawn whether it was taken out of the work
     * @param byItself whether it was filed without a person
     */
    public record Progress(
            Stage stage, boolean filing, Instant since, boolean arrived, boolean withdrawn, boolean byItself) {}

    /**
     * @param pages images, @param sheets of paper they are on when they were scanned here, else 0
     * @param read pages read so far
     * @param doubts in its cut, fields and images, pages that could not be read, and deliveries that are refused or held back
     */
    public record Amounts(int pages, int sheets, int read, int documents, int doubts) {}

    /** @param madeByMe whether the one who asks brought it in */
    public record Origin(String source, CameBy channel, Instant madeAt, boolean madeByMe) {}

    /** @param stageDueAt when it should have left its stage, or null */
    public record Urgency(Instant dueAt, Instant stageDueAt, IntakeRules.Priority priority) {}

    /**
     * @param with who has it, by name, or null, @param mine whether it is with the one who asks
     * @param onHold why nobody is to work on it, or null
     */
    public record Holder(String with, boolean mine, boolean free, String onHold) {}

    /** @param who asks */
    public List<Row> rows(String who) {
        Instant now = times.now();
        Instant since = now.minus(DONE_SHOWN);
        Map<Long, BatchRows.BoardRow> pages = new HashMap<>();
        rows.boardPages(since).forEach(p -> pages.put(p.id(), p));
        return rows.board(since).stream()
                .filter(b -> rights.worksOn(who, b.stream().name()))
                .map(b -> row(b, pages.getOrDefault(b.id(), new BatchRows.BoardRow(b.id(), 0, 0, 0, 0, 0)), who, now))
                .toList();
    }

    private Row row(Batch b, BatchRows.BoardRow p, String who, Instant now) {
        var stream = streams.usable(b.stream().name(), b.stream().version());
        String holder = b.holder().person();
        return new Row(
                b.no(),
                new StreamTitle(
                        b.stream().name(),
                        stream.map(StreamDefinition::title).orElse(b.stream().name())),
                new Progress(
                        b.stage(),
                        b.filed() && p.openToPeople() == 0,
                        b.course().since(),
                        b.course().arrived(),
                        b.withdrawn(),
                        b.wentByItself()),
                new Amounts(
                        p.pages(),
                        p.sheets(),
                        p.pages() - p.waiting(),
                        b.counted().documents(),
                        b.filed() ? p.openToPeople() : b.counted().doubts() + p.notRead()),
                new Origin(
                        b.origin().source(),
                        b.origin().channel(),
                        b.origin().madeAt(),
                        who.equals(b.origin().madeBy())),
                new Urgency(
                        b.urgency().dueAt(),
                        stream.flatMap(s -> s.intake()
                                        .stageDueAt(b.stage(), b.course().since()))
                                .orElse(null),
                        b.urgency().priority()),
                new Holder(
                        holder == null ? null : batches.nameOf(holder),
                        who.equals(holder),
                        b.isFree(who, now),
                        b.holder().onHold()));
    }
}
