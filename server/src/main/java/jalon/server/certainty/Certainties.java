package jalon.server.certainty;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.evidence.MeasuredCertainty;
import jalon.core.evidence.StreamWatch;
import jalon.core.run.Outcome;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.core.words.Words;
import jalon.server.Times;
import jalon.server.batch.Batch;
import jalon.server.stream.StreamLibrary;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How often sure was right, field by field, and what another limit would mean. */
@Service
public class Certainties {
    /** So far back it is looked. */
    private static final int DAYS = 90;

    private static final int MOST = 200_000;
    private static final int ROWS_AT_ONCE = 500;

    private final OutcomeRows rows;
    private final StreamLibrary streams;
    private final Times times;

    Certainties(OutcomeRows rows, StreamLibrary streams, Times times) {
        this.rows = rows;
        this.streams = streams;
        this.times = times;
    }

    /** Of a batch whose filing was taken back. */
    public void forget(long batchId) {
        rows.forget(batchId);
    }

    /** Keeps what the machine made of a batch that is filed now. */
    @Transactional
    public void keep(long batchId, String stream, List<Outcome> outcomes) {
        List<OutcomeRows.Row> all = outcomes.stream()
                .map(o -> new OutcomeRows.Row(
                        o.document(),
                        o.type(),
                        o.field(),
                        Words.name(o.finder()),
                        o.value(),
                        o.certainty(),
                        o.sure(),
                        o.held(),
                        o.right(),
                        String.join(",", o.reasons())))
                .toList();
        for (int from = 0; from < all.size(); from += ROWS_AT_ONCE) {
            rows.add(
                    batchId,
                    stream,
                    times.day(times.now()),
                    all.subList(from, Math.min(all.size(), from + ROWS_AT_ONCE)));
        }
    }

    /**
     * @param days that the figures are of
     * @param weeks the oldest first
     * @param limits what each would mean, with the one in force
     */
    public record OfField(
            String type,
            String typeTitle,
            String field,
            String title,
            double sureFrom,
            int days,
            @JsonUnwrapped MeasuredCertainty.Figures figures,
            List<MeasuredCertainty.Week> weeks,
            List<MeasuredCertainty.Under> limits) {}

    /** The fields of a stream that documents were filed of, in the stream's order. */
    public List<OfField> of(String stream) {
        StreamDefinition definition = streams.definition(stream, streams.newest(stream));
        LocalDate today = times.day(times.now());
        Map<String, List<OutcomeRows.Seen>> byField = rows.seen(stream, today.minusDays(DAYS), MOST).stream()
                .collect(Collectors.groupingBy(s -> key(s.type(), s.field())));
        List<OfField> all = new ArrayList<>();
        for (StreamDefinition.DocumentType type : definition.types()) {
            for (Field field : type.fields()) {
                List<OutcomeRows.Seen> seen = byField.get(key(type.type(), field.field()));
                if (seen != null) {
                    all.add(ofField(type, field, seen, today));
                }
            }
        }
        return all;
    }

    /** How a stream does on the paper that it gets. */
    public StreamWatch watch(String stream) {
        streams.newest(stream);
        LocalDate today = times.day(times.now());
        return StreamWatch.of(
                rows.watched(stream, today.minusDays(DAYS), MOST).stream()
                        .map(w -> new StreamWatch.Seen(
                                new StreamWatch.FiledDocument(Batch.no(w.batchId()), w.document()),
                                w.type(),
                                w.field(),
                                w.finder(),
                                w.filedOn(),
                                w.sure(),
                                w.correct(),
                                w.reasons().isEmpty()
                                        ? List.of()
                                        : List.of(w.reasons().split(","))))
                        .toList(),
                today);
    }

    private static String key(String type, String field) {
        return type + "/" + field;
    }

    private static OfField ofField(
            StreamDefinition.DocumentType type, Field field, List<OutcomeRows.Seen> seen, LocalDate today) {
        LocalDate first = seen.get(seen.size() - 1).filedOn();
        int days = (int) ChronoUnit.DAYS.between(first, today) + 1;
        MeasuredCertainty measured = measured(seen, days);
        return new OfField(
                type.type(),
                type.title(),
                field.field(),
                field.title(),
                field.sureFrom(),
                days,
                measured.figures(),
                measured.weeks(),
                measured.limits(field.sureFrom()));
    }

    private static MeasuredCertainty measured(List<OutcomeRows.Seen> seen, int days) {
        return new MeasuredCertainty(
                seen.stream()
                        .map(s ->
                                new MeasuredCertainty.Seen(s.filedOn(), s.certainty(), s.sure(), s.held(), s.correct()))
                        .toList(),
                days);
    }
}
