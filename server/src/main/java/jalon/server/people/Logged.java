package jalon.server.people;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * An act with its values.
 *
 * @param step whether it was undone or done again; {@link Step#DONE} for all that is neither
 * @param with the values of the act's parts, by their names
 */
public record Logged(Step step, Act act, Map<String, String> with) {
    public enum Step {
        DONE,
        UNDONE,
        DONE_AGAIN
    }

    static Logged of(Act act, List<String> parts, Object... values) {
        if (values.length != parts.size()) {
            throw new IllegalArgumentException(act + " has the parts " + parts + ", not " + values.length);
        }
        Map<String, String> with = new LinkedHashMap<>();
        for (int i = 0; i < values.length; i++) {
            with.put(parts.get(i), String.valueOf(values[i]));
        }
        return new Logged(Step.DONE, act, with);
    }

    public Logged as(Step other) {
        return new Logged(other, act, with);
    }
}
