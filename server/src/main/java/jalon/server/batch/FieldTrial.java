package jalon.server.batch;

import jalon.core.index.FieldSteps;
import jalon.core.index.FieldValue;
import jalon.core.run.BatchView;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.stream.StreamLibrary;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** One field of a stream that is being changed: how its values come to be on the papers of a batch. */
@Service
public class FieldTrial {
    private final Batches batches;
    private final StreamLibrary streams;
    private final Times times;

    FieldTrial(Batches batches, StreamLibrary streams, Times times) {
        this.batches = batches;
        this.streams = streams;
        this.times = times;
    }

    /** @param page the first one of its paper */
    public record PaperSteps(int page, FieldSteps steps) {}

    /** One for each paper of the type; none where the draft has no such field. */
    public List<PaperSteps> of(String json, String batchNo, String type, String field) {
        StreamDefinition drafted = streams.parsed(json);
        Optional<Field> its = drafted.type(type).flatMap(t -> t.field(field));
        if (its.isEmpty()) {
            return List.of();
        }
        Batch batch = batches.get(batchNo);
        LocalDate today = times.day(batch.origin().madeAt());
        Map<Integer, FieldValue> read = values(drafted.with(type, its.get().asRead()), batch, type, field);
        List<PaperSteps> all = new ArrayList<>();
        values(drafted, batch, type, field)
                .forEach((page, value) ->
                        all.add(new PaperSteps(page, FieldSteps.of(its.get(), value.value(), read.get(page), today))));
        return all;
    }

    private Map<Integer, FieldValue> values(StreamDefinition stream, Batch batch, String type, String field) {
        Map<Integer, FieldValue> values = new TreeMap<>();
        for (BatchView.DocumentView d : batches.indexedBy(stream, batch).documents()) {
            if (d.type().type().equals(type)) {
                values.put(d.pages().get(0), d.fields().get(field));
            }
        }
        return values;
    }
}
