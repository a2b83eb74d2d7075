package jalon.core.fit;

import jalon.core.fit.Similarity.Pair;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Lays one page on another by the words they share: random pairs of words propose a similarity, the one that most words
 * agree to is kept and refined (RANSAC: M. Fischler and R. Bolles, "Random sample consensus", 1981). Words that stand on
 * either page several times are tried at all their places.
 *
 * @param map from the first page to the second
 * @param agreeing words of the first page that lie where the map says
 */
public record WordFit(Similarity map, int agreeing) {
    /** Words further away than this are other words: sheets shift by a hand's breadth at most. */
    private static final double FARTHEST_MM = 60;

    private static final double AGREES_MM = 2.5;
    private static final int REFINED = 2;

    /** Two words nearer to each other than this fix neither turn nor scale. */
    private static final double APART_MM = 25;

    private static final int PROPOSALS = 60;

    /** So many places of one word at most: "the" says nothing. */
    private static final int MOST_PLACES = 6;

    /** A word's middle. */
    public record At(String word, double x, double y) {}

    /** Words of one page by what they say. */
    public static Map<String, List<At>> byWord(List<At> words) {
        Map<String, List<At>> places = new HashMap<>();
        words.forEach(
                w -> places.computeIfAbsent(w.word(), k -> new ArrayList<>(2)).add(w));
        return places;
    }

    /** @return the identity with nothing agreeing where no two words agree */
    public static WordFit of(List<At> from, Map<String, List<At>> to) {
        List<List<Pair>> candidates = new ArrayList<>();
        for (At word : from) {
            List<At> places = to.get(word.word());
            if (places != null && places.size() <= MOST_PLACES) {
                List<Pair> near = new ArrayList<>(places.size());
                for (At p : places) {
                    if (Math.hypot(p.x() - word.x(), p.y() - word.y()) <= FARTHEST_MM) {
                        near.add(new Pair(word.x(), word.y(), p.x(), p.y()));
                    }
                }
                if (!near.isEmpty()) {
                    candidates.add(near);
                }
            }
        }
        Similarity best = candidates.size() < 2 ? null : proposed(candidates);
        if (best == null) {
            return new WordFit(Similarity.NONE, 0);
        }
        Consensus consensus = Consensus.on(best, candidates, AGREES_MM, REFINED);
        return new WordFit(consensus.map(), consensus.agreeing().size());
    }

    private static Similarity proposed(List<List<Pair>> candidates) {
        // The same words give the same fit.
        Random random = new Random(candidates.size());
        List<List<Pair>> rare = candidates.stream()
                .sorted(Comparator.comparingInt(List::size))
                .limit(Math.max(12, candidates.size() / 2))
                .toList();
        Similarity best = null;
        int most = 1;
        for (int i = 0; i < PROPOSALS; i++) {
            Pair p = any(any(rare, random), random);
            Pair q = any(any(rare, random), random);
            if (Math.hypot(p.x() - q.x(), p.y() - q.y()) < APART_MM) {
                continue;
            }
            Similarity proposal = Similarity.through(p, q);
            if (proposal != null && Consensus.plausible(proposal)) {
                int agreeing = count(proposal, candidates);
                if (agreeing > most) {
                    most = agreeing;
                    best = proposal;
                }
            }
        }
        return best;
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }

    private static int count(Similarity map, List<List<Pair>> candidates) {
        int n = 0;
        for (List<Pair> places : candidates) {
            for (Pair p : places) {
                if (map.miss(p) <= AGREES_MM) {
                    n++;
                    break;
                }
            }
        }
        return n;
    }
}
