package jalon.core.register;

import java.util.HashSet;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Telephone numbers, and numbers of a row's own: as they are, with one figure another, or with two swapped.
 *
 * @param plain what of a value is compared
 * @param on those of a paper
 */
record FiguresLook(UnaryOperator<String> plain, Function<Paper, Figures> on) implements ValueLook {
    @Override
    public Set<String> keys(String value) {
        return keysOf(plain.apply(value));
    }

    private static Set<String> keysOf(String figures) {
        Set<String> keys = new HashSet<>(Set.of(figures));
        Figures.oneLeftOut(figures).forEach(less -> keys.add("-" + less));
        return keys;
    }

    @Override
    public Set<String> probes(Paper paper) {
        Set<String> keys = new HashSet<>();
        on.apply(paper).all().forEach(figures -> keys.addAll(keysOf(figures)));
        return keys;
    }

    @Override
    public Seen on(Paper paper, String value) {
        String wanted = plain.apply(value);
        Figures there = on.apply(paper);
        return there.same(wanted)
                .map(Seen::same)
                .or(() -> there.near(wanted).map(Seen::near))
                .orElse(Seen.NOT);
    }
}
