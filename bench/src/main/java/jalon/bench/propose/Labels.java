package jalon.bench.propose;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.Arrays;
import java.util.List;

/** Words of a text that stand nowhere. */
final class Labels {
    private Labels() {}

    static List<Word> words(String text) {
        return Arrays.stream(text.split("\\s+"))
                .map(w -> new Word(w, new Box(0, 0, 1, 1), 1, 0))
                .toList();
    }
}
