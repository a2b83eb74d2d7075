package jalon.server.archive;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.server.Times;
import jalon.server.batch.Batches;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** What was shown of archived documents, and to whom. */
@Service
public class DocumentLog {
    private static final int MOST = 1000;

    private final SeenRows rows;
    private final Batches batches;
    private final Times times;

    DocumentLog(SeenRows rows, Batches batches, Times times) {
        this.rows = rows;
        this.batches = batches;
        this.times = times;
    }

    /** A way in which something of a document is seen. */
    public enum What {
        /** Its fields and a line, among what was found. */
        @JsonProperty("found")
        FOUND,
        /** Its fields, in a table taken along. */
        @JsonProperty("table")
        TABLE,
        @JsonProperty("opened")
        OPENED,
        @JsonProperty("page")
        PAGE,
        @JsonProperty("text")
        TEXT,
        @JsonProperty("file")
        FILE
    }

    /** Keeps that these were seen so, once a day. */
    public void seen(List<Long> documents, String who, What what) {
        add(documents, who, what, 0);
    }

    /** Keeps that a page was seen so, once a day. */
    public void seen(long document, String who, What what, int page) {
        add(List.of(document), who, what, page);
    }

    private void add(List<Long> documents, String who, What what, int page) {
        if (!documents.isEmpty()) {
            Instant now = times.now();
            rows.add(documents, new SeenRows.Sighting(who, times.day(now), what, page, now));
        }
    }

    /**
     * What somebody saw of a document on a day.
     *
     * @param page null where it was no single page
     */
    public record SeenOn(
            String who, LocalDate day, What what, Integer page, Instant firstAt, Instant lastAt, int times) {}

    /** The latest first. */
    public List<SeenOn> of(long document) {
        return rows.of(document, MOST).stream()
                .map(r -> new SeenOn(
                        batches.nameOf(r.who()),
                        r.day(),
                        r.what(),
                        r.page() == 0 ? null : r.page(),
                        r.firstAt(),
                        r.lastAt(),
                        r.times()))
                .toList();
    }
}
