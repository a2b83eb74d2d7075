package jalon.core.index;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * The value of one index field of one document, with where it came from.
 *
 * @param value tidied; null when there is none
 * @param certainty 0..1
 * @param reasons why it is not sure; empty when it is
 * @param candidates other readings, best first
 * @param rows of a register that may be meant, likeliest first, where they were found by what else stands on the paper
 * @param alsoFound what the field's other finders found, the same or something else
 * @param by who settled it, or null
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record FieldValue(
        String value,
        State state,
        double certainty,
        @JsonUnwrapped Source source,
        List<Reason> reasons,
        List<String> candidates,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<RowFound> rows,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<AlsoFound> alsoFound,
        String by) {
    public FieldValue {
        alsoFound = alsoFound == null ? List.of() : alsoFound;
        rows = rows == null ? List.of() : rows;
    }

    /**
     * A row of a register that may be meant.
     *
     * @param value what it has for the field
     * @param certainty 0..1, that it is this row and no other and not none
     * @param why what of it stands on the paper, and what does not
     */
    public record RowFound(String value, double certainty, List<Reason> why) {}

    /** @param value tidied */
    public record AlsoFound(String value, @JsonUnwrapped Source source) {}

    /**
     * @param page page number in the batch it was read from, 0 when from no page
     * @param boxMm where on that page, or null
     * @param finder which way it was found
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Source(int page, Box boxMm, FoundBy finder) {
        static final Source NONE = new Source(0, null, FoundBy.NONE);
    }

    /** The same with something that speaks against it, so that it is not sure any more; what a person settled stays settled. */
    public FieldValue doubted(Reason why) {
        List<Reason> more = new ArrayList<>(reasons);
        more.add(why);
        return new FieldValue(
                value,
                state == State.SURE ? State.DOUBTFUL : state,
                certainty,
                source,
                more,
                candidates,
                rows,
                alsoFound,
                by);
    }

    /** The same after one more piece of evidence for it. */
    FieldValue raised(double odds, double sureFrom) {
        if (state != State.SURE && state != State.DOUBTFUL) {
            return this;
        }
        double more = Certainty.raised(certainty, odds);
        boolean sure = more >= sureFrom && reasons.stream().noneMatch(FieldSearch::neverSure);
        return new FieldValue(
                value,
                sure ? State.SURE : state,
                more,
                source,
                sure ? List.of() : reasons,
                candidates,
                rows,
                alsoFound,
                by);
    }

    public int page() {
        return source.page();
    }

    public Box boxMm() {
        return source.boxMm();
    }

    public FoundBy finder() {
        return source.finder();
    }

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
