package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.evidence.Evidence;
import jalon.core.index.FieldValue;
import java.util.List;
import java.util.Map;

/**
 * A batch as it stands: what the machine made of the pages and what people decided, together.
 *
 * @param pages in reading order
 */
public record BatchView(List<PageView> pages, List<DocumentView> documents, Ledger ledger) {

    /** What a page is in its batch. */
    public enum Role {
        @JsonProperty("content")
        CONTENT,
        @JsonProperty("separator")
        SEPARATOR,
        @JsonProperty("blank")
        BLANK,
        @JsonProperty("setAside")
        SET_ASIDE
    }

    /**
     * @param document number of its document, or null when it is out of the flow
     * @param by who set it aside, or null
     */
    public record PageView(int no, Role role, Integer document, String by) {}

    /** @param by who planted or confirmed it, or null for a rule */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StakeView(int page, double certainty, boolean doubtful, List<Evidence> evidence, String by) {}

    /** @param by who named the type, or null */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TypeView(String type, double certainty, boolean doubtful, List<Evidence> evidence, String by) {}

    /**
     * @param no from 1, in reading order
     * @param pages numbers of its pages, in reading order
     * @param separator the sheet dropped before it, or null
     * @param fields in the order of its type; empty when the fields were not asked for
     */
    public record DocumentView(
            int no,
            List<Integer> pages,
            Integer separator,
            StakeView stake,
            TypeView type,
            Map<String, FieldValue> fields) {

        /** Fields a person should look at. */
        public long fieldDoubts() {
            return fields.values().stream().filter(v -> isDoubt(v)).count();
        }

        public static boolean isDoubt(FieldValue value) {
            return switch (value.state()) {
                case DOUBTFUL, WRONG -> true;
                case EMPTY -> !value.reasons().isEmpty();
                case SURE, SETTLED -> false;
            };
        }
    }

    /** Stakes and types a person should look at. */
    public long cutDoubts() {
        return documents.stream()
                .mapToLong(d -> (d.stake().doubtful() ? 1 : 0) + (d.type().doubtful() ? 1 : 0))
                .sum();
    }

    public long fieldDoubts() {
        return documents.stream().mapToLong(DocumentView::fieldDoubts).sum();
    }
}
