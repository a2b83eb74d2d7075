package jalon.core.words;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The values of a code's parts, by their names. */
public final class Parts {
    private Parts() {}

    /**
     * @param code whose parts they are
     * @param names of the parts
     * @param values one for each part, in their order
     * @throws IllegalArgumentException when there are more or fewer
     */
    public static Map<String, String> of(Enum<?> code, List<String> names, Object... values) {
        if (values.length != names.size()) {
            throw new IllegalArgumentException(code + " has the parts " + names + ", not " + values.length);
        }
        Map<String, String> with = new LinkedHashMap<>();
        for (int i = 0; i < values.length; i++) {
            with.put(names.get(i), String.valueOf(values[i]));
        }
        return with;
    }
}
