package jalon.core.register;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What values made of words have in common: rows are found by each of their words, as it is and as it looks and sounds. */
abstract class WordsLook implements ValueLook {
    /** Shorter words are initials and particles. */
    static final int SHORTEST_TELLING = 4;

    /** The words of a value that are looked for. */
    abstract List<String> words(String value);

    @Override
    public final Set<String> keys(String value) {
        Set<String> keys = new HashSet<>();
        words(value).forEach(word -> {
            keys.add(word);
            keys.addAll(Paper.looks(word));
        });
        return keys;
    }

    @Override
    public final Set<String> probes(Paper paper) {
        Set<String> keys = new HashSet<>(paper.byPlain.keySet());
        keys.addAll(paper.byLooks.keySet());
        return keys;
    }
}
