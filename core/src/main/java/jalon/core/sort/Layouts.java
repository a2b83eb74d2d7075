package jalon.core.sort;

import jalon.core.fit.WordFit;
import java.util.ArrayList;
import java.util.List;

/** Finds the layouts among the samples of one type: first pages that share print in the same places. */
final class Layouts {
    /** Fewer words in the same places are chance. */
    private static final int FEWEST_WORDS = 6;

    private static final double SHARE = 0.12;

    private Layouts() {}

    /** @param name as a person gave it, or a number from 1 */
    record Layout(String name, List<SeenPage> pages) {}

    static List<Layout> of(List<Specimen> specimens) {
        List<Layout> layouts = new ArrayList<>();
        for (Specimen s : specimens) {
            var page = new SeenPage(s.pages().get(0));
            Layout own = null;
            for (Layout l : layouts) {
                boolean same = s.variant() != null ? s.variant().equals(l.name) : isSame(l.pages.get(0), page);
                if (same && own == null) {
                    own = l;
                }
            }
            if (own == null) {
                String name = s.variant() != null ? s.variant() : String.valueOf(layouts.size() + 1);
                own = new Layout(name, new ArrayList<>());
                layouts.add(own);
            }
            own.pages.add(page);
        }
        return layouts;
    }

    private static boolean isSame(SeenPage one, SeenPage other) {
        int agreeing = WordFit.of(one.anchors, other.byWord).agreeing();
        return agreeing >= FEWEST_WORDS && agreeing >= SHARE * Math.min(one.words.size(), other.words.size());
    }
}
