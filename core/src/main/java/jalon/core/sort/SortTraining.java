package jalon.core.sort;

import jalon.core.evidence.LogitTraining;
import jalon.core.read.PageFacts;
import java.util.Arrays;
import java.util.List;

/** Fits the weights of {@link SortWeights} on pages whose type is known. */
public final class SortTraining {
    private static final double PULL = 0.002;

    private final LogitTraining training = new LogitTraining();

    /** @param type its type, or null when it is none of those learned */
    public void add(LearnedTypes types, PageFacts page, String type) {
        List<LearnedTypes.Claim> claims = types.claims(new SeenPage(page));
        int right = claims.stream().map(c -> c.laid.template.type).toList().indexOf(type);
        if (type == null || right >= 0) {
            training.add(claims.stream().map(c -> c.features).toList(), right);
        }
    }

    /** @return the weights in the order of {@link SortWeights}, and the mean log likelihood before and after */
    public String fitted(int steps) {
        double[] start = SortWeights.inForce();
        double[] w = training.fitted(start, PULL, steps);
        double[] rounded =
                Arrays.stream(w).map(v -> Math.round(v * 100) / 100.0).toArray();
        return Arrays.toString(rounded) + " log likelihood " + training.likelihood(start) + " -> "
                + training.likelihood(w) + " of " + training.size();
    }
}
