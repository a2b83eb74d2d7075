package jalon.server;

import jalon.core.words.Words;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/**
 * A problem with its values, as it is kept and shown.
 *
 * @param with the values of the problem's parts, by their names
 */
public record Trouble(Problem code, Map<String, String> with) {
    private static final Words WORDS = new Words("/jalon/words/problems.en.json");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** In English. */
    public String words() {
        return WORDS.of(code, with);
    }

    public String json() {
        return JSON.writeValueAsString(this);
    }

    /** @param kept as {@link #json} gave it, or words from before there were codes; null for none */
    public static Trouble of(String kept) {
        if (kept == null) {
            return null;
        }
        return kept.startsWith("{")
                ? JSON.readValue(kept, Trouble.class)
                : Problem.AS_WRITTEN.with(kept).trouble();
    }
}
