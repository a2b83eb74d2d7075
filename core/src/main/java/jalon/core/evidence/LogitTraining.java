package jalon.core.evidence;

import java.util.ArrayList;
import java.util.List;

/**
 * Fits the weights of a conditional logit with "none of these", whose utility is 0 (D. McFadden, "Conditional logit analysis of
 * qualitative choice behavior", 1973); with one claim a case it is logistic regression. The likelihood of the right claims is
 * raised along its gradient, held a little to the weights in force, which keeps what the cases do not say.
 */
public final class LogitTraining {
    private static final double STEP = 0.3;

    private final List<Case> cases = new ArrayList<>();

    private record Case(List<double[]> claims, int right) {}

    /**
     * @param claims traits of each claim, as many as there are weights
     * @param right index of the right claim, -1 when it is none of them
     */
    public void add(List<double[]> claims, int right) {
        cases.add(new Case(claims, right));
    }

    public int size() {
        return cases.size();
    }

    /**
     * @param inForce the weights to begin with
     * @param pull how strongly each is held to where it begins
     */
    public double[] fitted(double[] inForce, double pull, int steps) {
        double[] w = inForce.clone();
        double[] square = new double[w.length];
        for (int step = 0; step < steps; step++) {
            double[] slope = slope(w);
            for (int k = 0; k < w.length; k++) {
                slope[k] -= pull * (w[k] - inForce[k]);
                square[k] += slope[k] * slope[k];
                // The longer a weight has moved, the smaller its steps (J. Duchi and others, "Adaptive subgradient
                // methods", 2011).
                w[k] += STEP * slope[k] / Math.sqrt(square[k] + 1e-9);
            }
        }
        return w;
    }

    private double[] slope(double[] w) {
        double[] slope = new double[w.length];
        for (Case c : cases) {
            double[] p = shares(c, w);
            for (int i = 0; i < p.length; i++) {
                double miss = (i == c.right ? 1 : 0) - p[i];
                for (int k = 0; k < w.length; k++) {
                    slope[k] += miss * c.claims.get(i)[k] / cases.size();
                }
            }
        }
        return slope;
    }

    /** The mean logarithm of the share that the right claims get. */
    public double likelihood(double[] w) {
        double sum = 0;
        for (Case c : cases) {
            double[] p = shares(c, w);
            double none = 1;
            for (double v : p) {
                none -= v;
            }
            sum += Math.log(Math.max(1e-9, c.right < 0 ? none : p[c.right]));
        }
        return sum / Math.max(1, cases.size());
    }

    private static double[] shares(Case c, double[] w) {
        double[] p = new double[c.claims.size()];
        double sum = 1;
        for (int i = 0; i < p.length; i++) {
            double utility = 0;
            for (int k = 0; k < w.length; k++) {
                utility += w[k] * c.claims.get(i)[k];
            }
            p[i] = Math.exp(Math.min(50, utility));
            sum += p[i];
        }
        for (int i = 0; i < p.length; i++) {
            p[i] /= sum;
        }
        return p;
    }
}
