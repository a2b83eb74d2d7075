package jalon.core.register;

import jalon.core.register.Paper.Spot;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Rows of figures on a paper that are dialled or keyed, one of which is easily misread, left out or swapped with the next. */
final class Figures {
    static final int LEAST_DIALLED = 6;

    /** Of shorter ones too many are nearly the same. */
    private static final int SHORTEST_MENDED = 5;

    /** What is the same with and without a prefix for the country and the town. */
    private static final int TELLING = 7;

    private final Map<String, Spot> spots = new HashMap<>();
    private final Map<String, Spot> nearly = new HashMap<>();

    static String telling(String digits) {
        return digits.length() <= TELLING ? digits : digits.substring(digits.length() - TELLING);
    }

    /** The same with each one left out: two that share one of these differ in one place, or two neighbours are swapped. */
    static Set<String> oneLeftOut(String value) {
        Set<String> all = new HashSet<>();
        for (int i = 0; i < value.length() && value.length() >= SHORTEST_MENDED; i++) {
            all.add(value.substring(0, i) + value.substring(i + 1));
        }
        return all;
    }

    void add(String figures, Spot spot) {
        if (spots.putIfAbsent(figures, spot) == null) {
            oneLeftOut(figures).forEach(less -> nearly.putIfAbsent(less, spot));
        }
    }

    Set<String> all() {
        return spots.keySet();
    }

    Optional<Spot> same(String figures) {
        return Optional.ofNullable(spots.get(figures));
    }

    /** Where figures stand that differ in one place, or in the order of two neighbours. */
    Optional<Spot> near(String figures) {
        return oneLeftOut(figures).stream()
                .filter(nearly::containsKey)
                .map(nearly::get)
                .findFirst();
    }
}
