package jalon.core.fit;

import jalon.core.fit.Similarity.Pair;
import jalon.core.page.Box;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/**
 * How a form lies on a page, by printed words of it (anchors) whose places on the form are known. Each anchor may stand in
 * several places of the page, or in none. Pairs of anchors propose a similarity, and the one that most agree to is kept
 * (RANSAC, see {@link WordFit}); six anchors or more make an affine map of it, held near to the similarity by a ridge; what
 * they miss near by is made good, within bounds. Millimetres on straight pages.
 */
public final class FormFit {
    /** Sheets shift by a hand's breadth at most. */
    private static final double FARTHEST_MM = 60;

    private static final double AGREES_MM = 2;

    /** Two anchors nearer to each other than this fix neither turn nor scale. */
    private static final double APART_MM = 20;

    private static final int PROPOSALS = 400;
    private static final int REFINED = 3;
    private static final int FOR_AFFINE = 6;

    /** Weight of the similarity against what the anchors say of stretch and shear: as two anchors this far from the middle. */
    private static final double RIDGE_MM = 60;

    private static final double NEAR_MM = 35;
    private static final double OWN_WEIGHT = 1.5;
    private static final double MOST_MADE_GOOD_MM = 3;

    /** A word's place on a page is known to about so much, whatever else agrees. */
    private static final double LEAST_ERROR_MM = 0.25;

    /** How far an anchor lies from where even a right map says: words are read wider or narrower, paper bulges. */
    private static final double USUAL_MISS_MM = 0.7;

    /** Of one anchor's place, where nothing else tells. */
    private static final double ERROR_OF_ONE_MM = 1.2;

    /** Per millimetre away from a single anchor: the size and the rest of the lean are not known. */
    private static final double DRIFT_OF_ONE = 0.03;

    /** Where no anchor was found the form lies as sheets do. */
    private static final double ERROR_OF_NONE_MM = 3;

    /** What feeders and copiers do every day. */
    private static final double USUAL_SCALE = 0.03;

    private static final double USUAL_TURN = 1.5;
    private static final double USUAL_SHIFT_MM = 12;

    /** That the second anchor, and each one more, agrees by chance; from {@code bench fit}, rounded up. */
    private static final double CHANCE = 0.35;

    private static final double CHANCE_OF_USUAL = 0.11;

    /** Where no word stands elsewhere than the map says. */
    private static final double CHANCE_OF_ALL = 0.04;

    private final List<Pair> agreeing;
    private final boolean elsewhere;
    private final double[] map;
    private final double middleX;
    private final double middleY;
    private final double spread;
    private final double error;

    /** @param elsewhere whether words of anchors stand where the map does not say */
    private FormFit(List<Pair> agreeing, boolean elsewhere, double[] map) {
        this.elsewhere = elsewhere;
        this.agreeing = agreeing;
        this.map = map;
        this.middleX = agreeing.stream().mapToDouble(Pair::x).average().orElse(0);
        this.middleY = agreeing.stream().mapToDouble(Pair::y).average().orElse(0);
        double apart = 0;
        double missed = 0;
        for (Pair p : agreeing) {
            apart += square(p.x() - middleX) + square(p.y() - middleY);
            missed += square(mapX(p.x(), p.y()) - p.toX()) + square(mapY(p.x(), p.y()) - p.toY());
        }
        this.spread = apart;
        // Few anchors say little of how far they miss: two more are thought of that miss as usual.
        this.error = Math.sqrt((missed + 4 * square(USUAL_MISS_MM)) / (Math.max(0, 2 * agreeing.size() - 4) + 4));
    }

    /** @param anchors for each its place on the form, with all places on the page where its words stand */
    public static FormFit of(List<List<Pair>> anchors) {
        List<List<Pair>> near = anchors.stream()
                .map(places -> places.stream()
                        .filter(p -> Math.hypot(p.toX() - p.x(), p.toY() - p.y()) <= FARTHEST_MM)
                        .toList())
                .filter(places -> !places.isEmpty())
                .toList();
        Similarity best = near.size() < 2 ? null : proposed(near);
        if (best == null) {
            return ofOne(near);
        }
        Consensus consensus = Consensus.on(best, near, AGREES_MM, REFINED);
        List<Pair> agreeing = consensus.agreeing();
        Similarity map = consensus.map();
        double[] similarity = {map.a(), -map.b(), map.dx(), map.b(), map.a(), map.dy()};
        boolean elsewhere = near.stream().mapToInt(List::size).sum() > agreeing.size();
        return new FormFit(agreeing, elsewhere, agreeing.size() < FOR_AFFINE ? similarity : affine(map, agreeing));
    }

    /** The anchor that stands nearest to where it should shifts the form; without any it lies as it was drawn. */
    private static FormFit ofOne(List<List<Pair>> near) {
        List<Pair> nearest = near.stream()
                .flatMap(List::stream)
                .min(Comparator.comparingDouble(p -> Math.hypot(p.toX() - p.x(), p.toY() - p.y())))
                .map(List::of)
                .orElse(List.of());
        double dx =
                nearest.isEmpty() ? 0 : nearest.get(0).toX() - nearest.get(0).x();
        double dy =
                nearest.isEmpty() ? 0 : nearest.get(0).toY() - nearest.get(0).y();
        return new FormFit(nearest, near.size() > 1, new double[] {1, 0, dx, 0, 1, dy});
    }

    private static Similarity proposed(List<List<Pair>> anchors) {
        // The same anchors give the same fit.
        Random random = new Random(anchors.size());
        Similarity best = null;
        double most = 0;
        for (int i = 0; i < PROPOSALS; i++) {
            List<Pair> one = anchors.get(random.nextInt(anchors.size()));
            List<Pair> other = anchors.get(random.nextInt(anchors.size()));
            if (one == other) {
                continue;
            }
            Pair p = one.get(random.nextInt(one.size()));
            Pair q = other.get(random.nextInt(other.size()));
            if (Math.hypot(p.x() - q.x(), p.y() - q.y()) < APART_MM) {
                continue;
            }
            Similarity proposal = Similarity.through(p, q);
            if (proposal != null && Consensus.plausible(proposal)) {
                double agreement = agreement(proposal, anchors);
                if (agreement > most) {
                    most = agreement;
                    best = proposal;
                }
            }
        }
        return best;
    }

    /** How many anchors agree, near ones more; of equal ones the map that changes the form least. */
    private static double agreement(Similarity map, List<List<Pair>> anchors) {
        double sum = 0;
        for (List<Pair> places : anchors) {
            double miss = places.stream().mapToDouble(map::miss).min().orElse(AGREES_MM);
            sum += Math.max(0, 1 - square(miss / AGREES_MM));
        }
        return sum - 0.5 * Math.abs(map.scale() - 1) - 0.01 * Math.abs(map.degrees());
    }

    /** Least squares about the middle, with a ridge that draws stretch and shear towards the similarity. */
    private static double[] affine(Similarity s, List<Pair> pairs) {
        double n = pairs.size();
        double mx = pairs.stream().mapToDouble(Pair::x).sum() / n;
        double my = pairs.stream().mapToDouble(Pair::y).sum() / n;
        double tx = pairs.stream().mapToDouble(Pair::toX).sum() / n;
        double ty = pairs.stream().mapToDouble(Pair::toY).sum() / n;
        double ridge = 2 * RIDGE_MM * RIDGE_MM;
        double xx = ridge;
        double yy = ridge;
        double xy = 0;
        double ux = ridge * s.a();
        double uy = -ridge * s.b();
        double vx = ridge * s.b();
        double vy = ridge * s.a();
        for (Pair p : pairs) {
            double x = p.x() - mx;
            double y = p.y() - my;
            xx += x * x;
            yy += y * y;
            xy += x * y;
            ux += x * (p.toX() - tx);
            uy += y * (p.toX() - tx);
            vx += x * (p.toY() - ty);
            vy += y * (p.toY() - ty);
        }
        double d = xx * yy - xy * xy;
        double a = (ux * yy - uy * xy) / d;
        double b = (uy * xx - ux * xy) / d;
        double c = (vx * yy - vy * xy) / d;
        double e = (vy * xx - vx * xy) / d;
        return new double[] {a, b, tx - a * mx - b * my, c, e, ty - c * mx - e * my};
    }

    private double mapX(double x, double y) {
        return map[0] * x + map[1] * y + map[2];
    }

    private double mapY(double x, double y) {
        return map[3] * x + map[4] * y + map[5];
    }

    /** Where a box of the form lies, straight though the map may lean a little. */
    public Box of(Box drawn) {
        double x = drawn.centreX();
        double y = drawn.centreY();
        double[] good = madeGood(x, y);
        double w = drawn.width() * Math.hypot(map[0], map[3]);
        double h = drawn.height() * Math.hypot(map[1], map[4]);
        return new Box(mapX(x, y) + good[0] - w / 2, mapY(x, y) + good[1] - h / 2, w, h);
    }

    /** What the anchors near by miss, by their nearness. */
    private double[] madeGood(double x, double y) {
        if (agreeing.size() < FOR_AFFINE) {
            return new double[2];
        }
        double weights = OWN_WEIGHT;
        double dx = 0;
        double dy = 0;
        for (Pair p : agreeing) {
            double weight = Math.exp(-(square(p.x() - x) + square(p.y() - y)) / (2 * NEAR_MM * NEAR_MM));
            weights += weight;
            dx += weight * (p.toX() - mapX(p.x(), p.y()));
            dy += weight * (p.toY() - mapY(p.x(), p.y()));
        }
        double by = Math.hypot(dx, dy) / weights;
        double most = by > MOST_MADE_GOOD_MM ? MOST_MADE_GOOD_MM / by : 1;
        return new double[] {most * dx / weights, most * dy / weights};
    }

    /**
     * The probability that a box of the form lies no further than a margin from where {@link #of} lays it: errors either way
     * are taken as normal with the deviation that the anchors' misses give at that place.
     */
    public double trust(Box drawn, double marginMm) {
        double away = square(drawn.centreX() - middleX) + square(drawn.centreY() - middleY);
        double deviation;
        if (agreeing.isEmpty()) {
            deviation = ERROR_OF_NONE_MM;
        } else if (agreeing.size() == 1) {
            deviation = ERROR_OF_ONE_MM + DRIFT_OF_ONE * Math.sqrt(away);
        } else {
            deviation = Math.sqrt(square(LEAST_ERROR_MM)
                    + error * error * (1.0 / agreeing.size() + (spread == 0 ? 1 : away / spread)));
        }
        return agreed() * (1 - Math.exp(-square(marginMm / deviation) / 2));
    }

    /**
     * How likely it is that the anchors agree because they are the form's, and not words that stand elsewhere by chance. Two
     * agree on some map always; each one more agrees by chance once in some hundred times. A map that hardly changes the form
     * is believed sooner.
     */
    private double agreed() {
        double scale = Math.sqrt(Math.abs(map[0] * map[4] - map[1] * map[3]));
        double turn = Math.toDegrees(Math.abs(Math.atan2(map[3] - map[1], map[0] + map[4])));
        double shift = Math.hypot(mapX(middleX, middleY) - middleX, mapY(middleX, middleY) - middleY);
        boolean usual = Math.abs(scale - 1) < USUAL_SCALE && turn < USUAL_TURN && shift < USUAL_SHIFT_MM;
        boolean allAgree = !elsewhere && (usual || agreeing.size() > 2);
        double by = allAgree ? CHANCE_OF_ALL : usual ? CHANCE_OF_USUAL : CHANCE;
        return agreeing.size() < 2 ? 1 : 1 - Math.pow(by, agreeing.size() - 1.0);
    }

    private static double square(double v) {
        return v * v;
    }
}
