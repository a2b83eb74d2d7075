package jalon.core.run;

import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.page.Sha256;
import jalon.core.read.PageFacts;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Some of the values that are sure are shown to people as if they were in doubt, blind: otherwise nobody ever learns how often
 * sure is right. Which ones is drawn from the paper itself, so that the same batch always asks for the same.
 *
 * @param share of the sure values, 0..1
 */
record Audit(double share) {
    static final Audit NONE = new Audit(0);

    private static final int DIGITS = 8;

    Map<String, FieldValue> on(PageFacts first, Map<String, FieldValue> fields) {
        if (share <= 0) {
            return fields;
        }
        Map<String, FieldValue> shown = new LinkedHashMap<>();
        fields.forEach((name, value) -> shown.put(
                name,
                value.state() == FieldValue.State.SURE && drawn(first, name)
                        ? value.doubted(Reason.Code.HARD_TO_READ.with())
                        : value));
        return shown;
    }

    private boolean drawn(PageFacts first, String field) {
        String hash = Sha256.of(first.sha256() + "/" + first.filePage() + "/" + field);
        return Long.parseLong(hash.substring(0, DIGITS), 16) < share * (1L << 4 * DIGITS);
    }
}
