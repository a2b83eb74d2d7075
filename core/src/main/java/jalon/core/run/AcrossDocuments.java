package jalon.core.run;

import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Checks of a value that look at other documents: those of its batch, and those filed before. */
final class AcrossDocuments {
    private final StreamDefinition stream;
    private final List<BatchView.DocumentView> documents;
    private final FiledBefore filed;

    private AcrossDocuments(StreamDefinition stream, List<BatchView.DocumentView> documents, FiledBefore filed) {
        this.stream = stream;
        this.documents = documents;
        this.filed = filed;
    }

    /** A value of a field in the documents of a type. */
    private record Held(String type, String field, String value) {}

    static List<BatchView.DocumentView> judged(
            StreamDefinition stream, List<BatchView.DocumentView> documents, FiledBefore filed) {
        return new AcrossDocuments(stream, documents, filed).judged();
    }

    private List<BatchView.DocumentView> judged() {
        Map<Held, List<Integer>> holders = new HashMap<>();
        for (BatchView.DocumentView document : documents) {
            document.fields().forEach((name, value) -> {
                if (value.value() != null) {
                    holders.computeIfAbsent(
                                    new Held(document.type().type(), name, value.value()), h -> new ArrayList<>())
                            .add(document.no());
                }
            });
        }
        return documents.stream().map(d -> judged(d, holders)).toList();
    }

    private BatchView.DocumentView judged(BatchView.DocumentView document, Map<Held, List<Integer>> holders) {
        DocumentType type = stream.type(document.type().type()).orElseThrow();
        Map<String, FieldValue> fields = new LinkedHashMap<>(document.fields());
        for (Field field : type.fields()) {
            FieldValue value = fields.get(field.field());
            if (value == null || value.value() == null) {
                continue;
            }
            for (Check check : field.checks()) {
                against(check, field.field(), document, holders)
                        .ifPresent(why -> fields.computeIfPresent(field.field(), (name, v) -> v.doubted(why)));
            }
        }
        return fields.equals(document.fields()) ? document : document.with(fields);
    }

    private Optional<Reason> against(
            Check check, String field, BatchView.DocumentView document, Map<Held, List<Integer>> holders) {
        String type = document.type().type();
        if (check instanceof Check.OnceInBatch) {
            String value = document.fields().get(field).value();
            return holders.get(new Held(type, field, value)).stream()
                    .filter(no -> no != document.no())
                    .findFirst()
                    .map(Reason.Code.TWICE_IN_BATCH::with);
        }
        if (check instanceof Check.NotFiledBefore before) {
            Map<String, String> values = new LinkedHashMap<>();
            values.put(field, document.fields().get(field).value());
            for (String other : before.with()) {
                FieldValue its = document.fields().get(other);
                if (its == null || its.value() == null) {
                    return Optional.empty();
                }
                values.put(other, its.value());
            }
            return filed.with(type, values).map(e -> Reason.Code.FILED_BEFORE.with(e.on(), e.batch(), e.page()));
        }
        return Optional.empty();
    }
}
