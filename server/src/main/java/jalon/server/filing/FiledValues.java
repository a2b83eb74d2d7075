package jalon.server.filing;

import jalon.core.index.FieldValue;
import jalon.core.run.BatchView;
import jalon.server.batch.Batch;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Values of filed documents as they are now: as filed, with what was corrected since. */
@Service
public class FiledValues {
    private final CorrectionRows corrections;

    FiledValues(CorrectionRows corrections) {
        this.corrections = corrections;
    }

    /** @param values by field name, without those that are empty, @param byPeople names of those that a person settled */
    public record Values(Map<String, String> values, Set<String> byPeople) {}

    public Values of(Batch batch, BatchView.DocumentView document) {
        var all = new Values(new LinkedHashMap<>(), new HashSet<>());
        document.fields().forEach((name, value) -> {
            if (value.value() != null) {
                all.values().put(name, value.value());
            }
            if (value.state() == FieldValue.State.SETTLED) {
                all.byPeople().add(name);
            }
        });
        for (CorrectionRows.Row row : corrections.ofDocument(batch.id(), document.no())) {
            all.byPeople().addAll(CorrectedValues.read(row).keySet());
            CorrectedValues.read(row).forEach((name, value) -> {
                if (value == null) {
                    all.values().remove(name);
                } else {
                    all.values().put(name, value);
                }
            });
        }
        return all;
    }
}
