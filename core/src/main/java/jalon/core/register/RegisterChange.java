package jalon.core.register;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a register has become. Rows are the same when they have the same value in the first column that has a different one in
 * every row, before and now; where there is no such column a row that differs is another one.
 *
 * @param same rows that stayed as they were
 * @param examples the first of them
 */
public record RegisterChange(int came, int went, int changed, int same, List<Example> examples) {
    private static final int MOST_EXAMPLES = 100;

    /** A smaller register may well lose half of its rows. */
    private static final int LARGE = 20;

    public enum What {
        @JsonProperty("came")
        CAME,
        @JsonProperty("went")
        WENT,
        @JsonProperty("changed")
        CHANGED
    }

    /** @param was the row before, empty for one that came; @param is now, empty for one that went */
    public record Example(What what, Map<String, String> was, Map<String, String> is) {}

    /** Whether a register that was not small has lost more than half of its rows: likelier a fault than the truth. */
    public boolean losesMost() {
        return before() >= LARGE && went * 2 > before();
    }

    /** How many rows there were. */
    public int before() {
        return went + changed + same;
    }

    public static RegisterChange between(Register before, Register now) {
        Map<String, Map<String, String>> old = byKey(before, key(before, now));
        Map<String, Map<String, String>> young = byKey(now, key(before, now));
        List<Example> all = new ArrayList<>();
        int same = 0;
        int[] counts = new int[What.values().length];
        Set<String> keys = new LinkedHashSet<>(young.keySet());
        keys.addAll(old.keySet());
        for (String key : keys) {
            Map<String, String> was = old.getOrDefault(key, Map.of());
            Map<String, String> is = young.getOrDefault(key, Map.of());
            if (was.equals(is)) {
                same++;
            } else {
                What what = was.isEmpty() ? What.CAME : is.isEmpty() ? What.WENT : What.CHANGED;
                counts[what.ordinal()]++;
                if (all.size() < MOST_EXAMPLES) {
                    all.add(new Example(what, was, is));
                }
            }
        }
        return new RegisterChange(
                counts[What.CAME.ordinal()], counts[What.WENT.ordinal()], counts[What.CHANGED.ordinal()], same, all);
    }

    private static Optional<String> key(Register before, Register now) {
        return now.columns().stream()
                .filter(c -> isKey(before, c) && isKey(now, c))
                .findFirst();
    }

    private static boolean isKey(Register register, String column) {
        Set<String> seen = new HashSet<>();
        return register.rows().stream().allMatch(row -> {
            String value = row.getOrDefault(column, "");
            return !value.isBlank() && seen.add(value);
        });
    }

    /** In the register's own order; of rows that are the same in everything one. */
    private static Map<String, Map<String, String>> byKey(Register register, Optional<String> key) {
        Map<String, Map<String, String>> rows = new LinkedHashMap<>();
        for (Map<String, String> row : register.rows()) {
            rows.put(
                    key.map(row::get)
                            .orElseGet(() -> register.columns().stream()
                                    .map(c -> row.getOrDefault(c, ""))
                                    .collect(Collectors.joining("\u0000"))),
                    row);
        }
        return rows;
    }
}
