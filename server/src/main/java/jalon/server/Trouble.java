package jalon.server;

import jalon.core.words.Words;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A problem with its values, as it is kept and shown.
 *
 * @param with the values of the problem's parts, by their names
 */
public record Trouble(Problem code, Map<String, String> with) {
    private static final Words WORDS = new Words("/jalon/words/problems.en.json");

    public Trouble {
        // In one order always: as it is kept, it is compared.
        with = with == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(with));
    }

    /** In English. */
    public String words() {
        return WORDS.of(code, with);
    }
}
