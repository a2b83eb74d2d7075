package jalon.core.sort;

import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;

/**
 * Fits the weights of {@link SortWeights} on pages whose type is known: the likelihood of the right guesses is raised along
 * its gradient, a little pull towards the weights in force keeping what the pages do not say.
 */
public final class SortTraining {
    private static final double PULL = 0.002;

    private final List<Case> cases = new ArrayList<>();

    /** @param right index of the right claim, -1 when it is none of them */
    private record Case(List<double[]> claims, int right) {}

    /** @param type its type, or null when it is none of those learned */
    public void add(LearnedTypes types, PageFacts page, String type) {
        List<LearnedTypes.Claim> claims = types.claims(new SeenPage(page));
        int right = -1;
        for (int i = 0; i < claims.size(); i++) {
            if (claims.get(i).laid.template.type.equals(type)) {
                right = i;
            }
        }
        if (type == null || right >= 0) {
            cases.add(new Case(claims.stream().map(c -> c.features).toList(), right));
        }
    }

    /** @return the weights, in the order of {@link SortWeights}, and the mean log likelihood before and after */
    public String fitted(int steps) {
        double[] w = SortWeights.inForce();
        double[] start = w.clone();
        double[] square = new double[w.length];
        double before = likelihood(w);
        for (int step = 0; step < steps; step++) {
            double[] slope = new double[w.length];
            for (Case c : cases) {
                double[] p = shares(c, w);
                for (int i = 0; i < c.claims.size(); i++) {
                    double miss = (i == c.right ? 1 : 0) - p[i];
                    for (int k = 0; k < w.length; k++) {
                        slope[k] += miss * c.claims.get(i)[k] / cases.size();
                    }
                }
            }
            for (int k = 0; k < w.length; k++) {
                slope[k] -= PULL * (w[k] - start[k]);
                square[k] += slope[k] * slope[k];
                w[k] += 0.3 * slope[k] / Math.sqrt(square[k] + 1e-9);
            }
        }
        StringBuilder out = new StringBuilder();
        for (double v : w) {
            out.append(out.length() == 0 ? "" : ", ").append(Math.round(v * 100) / 100.0);
        }
        return "{" + out + "} log likelihood " + before + " -> " + likelihood(w) + " of " + cases.size();
    }

    private double likelihood(double[] w) {
        double sum = 0;
        for (Case c : cases) {
            double[] p = shares(c, w);
            double right = 1;
            for (double v : p) {
                right -= v;
            }
            sum += Math.log(Math.max(1e-9, c.right < 0 ? right : p[c.right]));
        }
        return sum / Math.max(1, cases.size());
    }

    private static double[] shares(Case c, double[] w) {
        double[] p = new double[c.claims.size()];
        double sum = 1;
        for (int i = 0; i < p.length; i++) {
            double u = 0;
            for (int k = 0; k < w.length; k++) {
                u += w[k] * c.claims.get(i)[k];
            }
            p[i] = Math.exp(Math.min(50, u));
            sum += p[i];
        }
        for (int i = 0; i < p.length; i++) {
            p[i] /= sum;
        }
        return p;
    }
}
