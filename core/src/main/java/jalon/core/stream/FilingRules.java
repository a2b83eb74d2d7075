package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * When a batch is filed.
 *
 * @param by whose word it waits for
 * @param audit share of the sure values that people are shown all the same, so that it is known how often sure is right; 0..1
 */
public record FilingRules(By by, Double audit) {
    public static final FilingRules USUAL = new FilingRules(null, null);

    /** Where nothing is said; what goes by itself has nobody to ask. */
    private static final double USUAL_AUDIT = 0.01;

    public FilingRules {
        by = by == null ? By.PERSON : by;
        audit = audit == null ? (by == By.PERSON ? USUAL_AUDIT : 0) : audit;
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
