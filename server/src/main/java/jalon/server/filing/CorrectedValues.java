package jalon.server.filing;

import jalon.core.output.FiledDocument;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What deliveries of corrections bring. */
@Component
class CorrectedValues {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<Map<String, String>> VALUES = new TypeReference<>() {};

    private final CorrectionRows rows;

    CorrectedValues(CorrectionRows rows) {
        this.rows = rows;
    }

    /** A document with the correction that a delivery brings. */
    FiledDocument of(FiledDocument document, DeliveryRows.DeliveryRow delivery) {
        CorrectionRows.Row row = find(delivery).orElseThrow();
        Map<String, String> values = new LinkedHashMap<>(document.fields());
        read(row).forEach((name, value) -> {
            if (value == null) {
                values.remove(name);
            } else {
                values.put(name, value);
            }
        });
        return new FiledDocument(
                document.title(), document.origin(), values, document.pages(), document.recipes(), row.at());
    }

    /** By field name; null for one that is gone. */
    static Map<String, String> read(CorrectionRows.Row row) {
        return JSON.readValue(row.fields(), VALUES);
    }

    /** Sign-in of who corrected it; empty for a delivery that brings no correction. */
    Optional<String> by(DeliveryRows.DeliveryRow delivery) {
        return find(delivery).map(CorrectionRows.Row::who);
    }

    private Optional<CorrectionRows.Row> find(DeliveryRows.DeliveryRow delivery) {
        return rows.find(delivery.batchId(), delivery.documentNo(), delivery.correction());
    }
}
