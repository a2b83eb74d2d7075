package jalon.server.people;

import jalon.server.Times;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Who did what, when. */
@Service
public class ActivityLog {
    /** What nobody did, but the clock or a rule. */
    public static final String JALON = "Jalon";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<Map<String, String>> PARTS = new TypeReference<>() {};

    private final LogRows rows;
    private final Times times;

    ActivityLog(LogRows rows, Times times) {
        this.rows = rows;
        this.times = times;
    }

    public record Entry(Instant at, String who, Logged what) {}

    public void add(String who, long batchId, Logged what) {
        write(who, batchId, what);
    }

    /** Something that concerns no batch. */
    public void add(String who, Logged what) {
        write(who, null, what);
    }

    private void write(String who, Long batchId, Logged what) {
        rows.add(
                times.now(),
                who,
                batchId,
                what.step(),
                what.act(),
                JSON.writeValueAsString(what.with()),
                what.because());
    }

    /** The last 500 of a batch, newest first. */
    public List<Entry> ofBatch(long batchId) {
        return rows.ofBatch(batchId).stream().map(ActivityLog::entry).toList();
    }

    /** An entry that may be about a batch. @param no of the entry, @param batchId null where it is about none */
    public record AnyEntry(long no, Long batchId, Entry entry) {}

    /**
     * The newest.
     *
     * @param who whose, or null for all, @param before number of the entry before which they are, or null for the newest
     */
    public List<AnyEntry> latest(String who, Long before, int most) {
        return rows.latest(who, before == null ? Long.MAX_VALUE : before, most).stream()
                .map(row -> new AnyEntry(row.id(), row.batchId(), entry(row)))
                .toList();
    }

    private static Entry entry(LogRows.Row row) {
        return new Entry(
                row.at(),
                row.who(),
                row.code() == null
                        ? Act.AS_WRITTEN.with(row.words())
                        : new Logged(row.step(), row.code(), JSON.readValue(row.parts(), PARTS), row.because()));
    }
}
