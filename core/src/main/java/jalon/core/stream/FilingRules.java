package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * When a batch is filed.
 *
 * @param by whose word it waits for
 */
public record FilingRules(By by) {
    public static final FilingRules USUAL = new FilingRules(null);

    public FilingRules {
        by = by == null ? By.PERSON : by;
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
