package jalon.core.split;

import jalon.core.evidence.LogitTraining;
import jalon.core.read.PageFacts;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Fits the weights of {@link PagesAloneWeights} on batches whose cut is known. */
public final class PagesAloneTraining {
    private static final double PULL = 0.0006;

    private final LogitTraining training = new LogitTraining();

    /** @param firsts numbers of the pages that documents begin with */
    public void add(List<PageFacts> pages, PageKnowledge knowledge, Set<Integer> firsts) {
        for (PagePair p : PagesAlone.pairs(pages, knowledge)) {
            training.add(List.of(p.x), firsts.contains(p.here.page.no()) ? 0 : -1);
        }
    }

    /** @return the weights in the order of the traits, each with its name, and the mean log likelihood */
    public String fitted(int steps) {
        double[] w = training.fitted(PagesAloneWeights.inForce(), PULL, steps);
        StringBuilder out = new StringBuilder();
        for (PagePair.Trait t : PagePair.Trait.values()) {
            out.append(String.format(Locale.ROOT, "        %.2f, // %s%n", w[t.ordinal()], t));
        }
        return out + "log likelihood " + training.likelihood(w) + " of " + training.size();
    }
}
