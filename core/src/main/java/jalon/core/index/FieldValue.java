package jalon.core.index;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import java.util.List;

/**
 * The value of one index field of one document, with where it came from.
 *
 * @param value tidied; null when there is none
 * @param certainty 0..1
 * @param page page number in the batch it was read from, 0 when from no page
 * @param boxMm where on that page, or null
 * @param finder which way it was found
 * @param reasons why it is not sure; empty when it is
 * @param candidates other readings, best first
 * @param by who settled it, or null
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record FieldValue(
        String value,
        State state,
        double certainty,
        int page,
        Box boxMm,
        FoundBy finder,
        List<Reason> reasons,
        List<String> candidates,
        String by) {

    public enum State {
        @JsonProperty("sure")
        SURE,
        @JsonProperty("doubtful")
        DOUBTFUL,
        @JsonProperty("empty")
        EMPTY,
        @JsonProperty("wrong")
        WRONG,
        @JsonProperty("settled")
        SETTLED
    }
}
