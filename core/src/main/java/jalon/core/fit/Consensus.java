package jalon.core.fit;

import jalon.core.fit.Similarity.Pair;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A similarity and the pairs that agree to it: the second half of RANSAC, whichever way the first map was proposed.
 *
 * @param agreeing of each candidate the place nearest to where the map says, if it is near enough
 */
record Consensus(Similarity map, List<Pair> agreeing) {
    /** Copiers change the size by a tenth; lean beyond this is taken out of the page already. */
    private static final double LEAST_SCALE = 0.85;

    private static final double MOST_SCALE = 1.18;
    private static final double MOST_TURN = 12;

    static boolean plausible(Similarity s) {
        return s.scale() >= LEAST_SCALE && s.scale() <= MOST_SCALE && Math.abs(s.degrees()) <= MOST_TURN;
    }

    /** @param times that the map is made anew by least squares of what agrees, as long as no less does */
    static Consensus on(Similarity proposed, List<List<Pair>> candidates, double agreesMm, int times) {
        Similarity best = proposed;
        List<Pair> agreeing = agreeing(best, candidates, agreesMm);
        for (int i = 0; i < times && agreeing.size() >= 3; i++) {
            Similarity refined = Similarity.best(agreeing);
            List<Pair> now = agreeing(refined, candidates, agreesMm);
            if (!plausible(refined) || now.size() < agreeing.size()) {
                break;
            }
            best = refined;
            agreeing = now;
        }
        return new Consensus(best, agreeing);
    }

    private static List<Pair> agreeing(Similarity map, List<List<Pair>> candidates, double agreesMm) {
        List<Pair> all = new ArrayList<>();
        for (List<Pair> places : candidates) {
            places.stream()
                    .min(Comparator.comparingDouble(map::miss))
                    .filter(p -> map.miss(p) <= agreesMm)
                    .ifPresent(all::add);
        }
        return all;
    }
}
