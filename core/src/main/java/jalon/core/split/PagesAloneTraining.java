package jalon.core.split;

import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Fits the weights of {@link PagesAloneWeights} on batches whose cut is known: logistic regression, held a little to the weights in force. */
public final class PagesAloneTraining {
    private static final double SHRINK = 0.0006;

    private final List<double[]> rows = new ArrayList<>();
    private final List<Boolean> begins = new ArrayList<>();

    /** @param firsts numbers of the pages that documents begin with */
    public void add(List<PageFacts> pages, PageKnowledge knowledge, Set<Integer> firsts) {
        for (PagePair p : PagesAlone.pairs(pages, knowledge)) {
            rows.add(p.x);
            begins.add(firsts.contains(p.here.page.no()));
        }
    }

    /** @return the weights in the order of the traits, each with its name */
    public String fitted(int steps) {
        int n = PagePair.Trait.values().length;
        double[] w = PagesAloneWeights.inForce();
        double[] start = w.clone();
        double[] square = new double[n];
        for (int step = 0; step < steps; step++) {
            double[] slope = new double[n];
            for (int i = 0; i < rows.size(); i++) {
                double miss = (begins.get(i) ? 1 : 0) - share(w, rows.get(i));
                for (int k = 0; k < n; k++) {
                    slope[k] += miss * rows.get(i)[k] / rows.size();
                }
            }
            for (int k = 0; k < n; k++) {
                slope[k] -= k == 0 ? 0 : SHRINK * (w[k] - start[k]);
                square[k] += slope[k] * slope[k];
                w[k] += 0.3 * slope[k] / Math.sqrt(square[k] + 1e-9);
            }
        }
        double sum = 0;
        int wrong = 0;
        for (int i = 0; i < rows.size(); i++) {
            double p = share(w, rows.get(i));
            sum += Math.log(Math.max(1e-9, begins.get(i) ? p : 1 - p));
            wrong += p >= 0.5 == begins.get(i) ? 0 : 1;
        }
        StringBuilder out = new StringBuilder();
        for (PagePair.Trait t : PagePair.Trait.values()) {
            out.append(String.format(Locale.ROOT, "        %.2f, // %s%n", w[t.ordinal()], t));
        }
        return out + "log likelihood " + sum / rows.size() + ", wrong " + wrong + " of " + rows.size();
    }

    private static double share(double[] w, double[] x) {
        double u = 0;
        for (int k = 0; k < w.length; k++) {
            u += w[k] * x[k];
        }
        return 1 / (1 + Math.exp(-u));
    }
}
