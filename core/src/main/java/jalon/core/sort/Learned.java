package jalon.core.sort;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;

/**
 * All that a stream's samples teach: what first pages of its types look like, and what later ones do. Immutable; remembers
 * what it said of a page as long as the page is in use, since a batch is looked at again after every key.
 */
public final class Learned {
    public static final Learned NOTHING = new Learned(List.of());

    private final List<Specimen> specimens;
    private final LearnedTypes first;
    private final LearnedTypes later;
    private final Cache<PageFacts, List<Guess>> asFirst = memory();
    private final Cache<PageFacts, List<Guess>> asLater = memory();

    private Learned(List<Specimen> specimens) {
        this.specimens = List.copyOf(specimens);
        this.first = LearnedTypes.of(specimens);
        List<Specimen> laterPages = new ArrayList<>();
        for (Specimen s : specimens) {
            for (int i = 1; i < s.pages().size(); i++) {
                String id = s.id() + "/" + (i + 1);
                laterPages.add(
                        new Specimen(id, s.type(), null, List.of(s.pages().get(i))));
            }
        }
        this.later = LearnedTypes.of(laterPages);
    }

    /** Pages are the same when they are the same object: comparing their words would cost more than it saves. */
    private static Cache<PageFacts, List<Guess>> memory() {
        return Caffeine.newBuilder().weakKeys().build();
    }

    public static Learned from(List<Specimen> specimens) {
        return specimens.isEmpty() ? NOTHING : new Learned(specimens);
    }

    public boolean isEmpty() {
        return specimens.isEmpty();
    }

    public List<Specimen> specimens() {
        return specimens;
    }

    /** The layouts in which a type is known, by name. */
    public List<String> variants(String type) {
        return first.variants(type);
    }

    /** What the page may be as the first one of a document; see {@link LearnedTypes#guesses}. */
    public List<Guess> asFirst(PageFacts page) {
        return asFirst.get(page, first::guesses);
    }

    /** What document it may be a later page of. */
    public List<Guess> asLater(PageFacts page) {
        return asLater.get(page, later::guesses);
    }
}
