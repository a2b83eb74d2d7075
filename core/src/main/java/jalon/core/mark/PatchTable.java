package jalon.core.mark;

import java.util.Map;
import java.util.Optional;

/**
 * The six patch codes: four bars across the feed direction, read from the leading edge, W wide (0.20 inch) and N narrow
 * (0.08 inch), 0.08 inch apart. Exactly two are wide, so every such row of bars is one of the six; 2 and T, and 3 and 4, are
 * each other read from the other end.
 */
public final class PatchTable {
    private static final Map<String, String> CODES = Map.of(
            "WNNW", "1",
            "WNWN", "2",
            "NNWW", "3",
            "WWNN", "4",
            "NWWN", "6",
            "NWNW", "T");

    private PatchTable() {}

    static Optional<String> code(String bars) {
        return Optional.ofNullable(CODES.get(bars));
    }

    /** The bars of a code, from the leading edge. */
    public static String bars(String code) {
        return CODES.entrySet().stream()
                .filter(e -> e.getValue().equals(code))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no patch code " + code));
    }

    static String reversed(String bars) {
        return new StringBuilder(bars).reverse().toString();
    }
}
