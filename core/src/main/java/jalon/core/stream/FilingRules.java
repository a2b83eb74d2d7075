package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * When a batch is filed.
 *
 * @param by whose word it waits for
 * @param report addresses that are told by mail when a batch is filed, templates: one with a field is told of the documents
 *     that have it, {@code {sender}} is who sent it by mail
 * @param reportEvery when they are told
 * @param audit share of the sure values that people are shown all the same, so that it is known how often sure is right; 0..1
 */
public record FilingRules(By by, Double audit, List<String> report, Every reportEvery) {
    public static final FilingRules USUAL = new FilingRules(null, null, null, null);

    /** Where nothing is said; what goes by itself has nobody to ask. */
    private static final double USUAL_AUDIT = 0.01;

    public FilingRules {
        report = report == null ? List.of() : List.copyOf(report);
        reportEvery = reportEvery == null ? Every.BATCH : reportEvery;
        by = by == null ? By.PERSON : by;
        audit = audit == null ? (by == By.PERSON ? USUAL_AUDIT : 0) : audit;
    }

    public enum Every {
        /** When all deliveries of a batch have ended. */
        @JsonProperty("batch")
        BATCH,
        /** When the day is over on which they did, of all its batches together. */
        @JsonProperty("day")
        DAY
    }

    public enum By {
        /** A person looks at the plan and files it. */
        @JsonProperty("person")
        PERSON,
        /** It goes by itself when nothing is in doubt and nobody had to touch it. */
        @JsonProperty("itself")
        ITSELF
    }
}
