package jalon.server.batch;

import jalon.core.index.FieldSteps;
import jalon.core.index.FieldValue;
import jalon.core.run.BatchView;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.Times;
import jalon.server.stream.StreamLibrary;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** One field of a stream that is being changed: how its value comes to be on a paper. */
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

    /**
     * @param pages of the paper, by their numbers in the batch
     * @return empty where the draft has no such field, or makes no paper of that type of the pages
     */
    public Optional<FieldSteps> of(String json, String batchNo, List<Integer> pages, String type, String field) {
        StreamDefinition drafted = streams.parsed(json);
        Batch batch = batches.get(batchNo);
        Optional<Field> its = drafted.type(type).flatMap(t -> t.field(field));
        Optional<FieldValue> value = its.flatMap(f -> value(drafted, batch, pages, type, field));
        return value.map(v -> {
            FieldValue read = value(drafted.with(type, its.get().asRead()), batch, pages, type, field)
                    .orElse(null);
            return FieldSteps.of(
                    its.get(), v.value(), read, times.day(batch.origin().madeAt()));
        });
    }

    private Optional<FieldValue> value(
            StreamDefinition stream, Batch batch, List<Integer> pages, String type, String field) {
        return batches.indexedBy(stream, batch, pages).documents().stream()
                .filter(d -> d.type().type().equals(type))
                .findFirst()
                .map(BatchView.DocumentView::fields)
                .map(fields -> fields.get(field));
    }
}
