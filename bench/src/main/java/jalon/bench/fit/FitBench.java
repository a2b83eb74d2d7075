package jalon.bench.fit;

import jalon.bench.Table;
import jalon.core.fit.FormFit;
import jalon.core.fit.Similarity.Pair;
import jalon.core.page.Box;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * Zones laid on forms that were shifted by up to 30 mm, turned by up to 10 degrees, made 0.9 to 1.1 times as large, stretched
 * by up to a hundredth and bulged by up to 0.7 mm, where a third of the anchors is lost and as many words more stand where
 * none should; against the shift by the median alone. {@code OUT FORMS SEED}.
 */
public final class FitBench {
    private static final double SURE = 0.9;

    private FitBench() {}

    /** How a page lies under the scanner's glass. */
    private record Warp(double scale, double turn, double dx, double dy, double stretch, double bulge, double phase) {
        static Warp any(Random r) {
            double far = 30 * r.nextDouble();
            double way = 2 * Math.PI * r.nextDouble();
            return new Warp(
                    0.9 + 0.2 * r.nextDouble(),
                    Math.toRadians(20 * (r.nextDouble() - 0.5)),
                    far * Math.cos(way),
                    far * Math.sin(way),
                    1 + 0.02 * (r.nextDouble() - 0.5),
                    0.7 * r.nextDouble(),
                    6 * r.nextDouble());
        }

        double[] of(double x, double y) {
            double u = (x - 105) * scale * stretch;
            double v = (y - 148) * scale;
            double bulged = bulge * Math.sin(y / 60 + phase);
            return new double[] {
                105 + u * Math.cos(turn) - v * Math.sin(turn) + dx + bulged,
                148 + u * Math.sin(turn) + v * Math.cos(turn) + dy
            };
        }
    }

    public static void main(String[] args) throws IOException {
        int forms = Integer.parseInt(args[1]);
        long seed = Long.parseLong(args[2]);
        var table = new Table();
        table.title(
                "Zones on distorted forms",
                "anchors of the form",
                "zones",
                "error, median mm",
                "error, 95th percentile mm",
                "the same by the median shift",
                "sure",
                "sure and further than 2 mm",
                "ms a form");
        for (int anchors : new int[] {3, 4, 6, 10, 20, 40}) {
            row(table, anchors, forms, seed);
        }
        Files.createDirectories(Path.of(args[0]).toAbsolutePath().getParent());
        Files.writeString(Path.of(args[0]), table.text());
    }

    private static void row(Table table, int anchors, int forms, long seed) {
        List<Double> errors = new ArrayList<>();
        List<Double> shifted = new ArrayList<>();
        int sure = 0;
        int wrong = 0;
        long nanos = 0;
        for (int i = 0; i < forms; i++) {
            var r = new Random(new SplittableRandom(seed * 7919 + i * 31L + anchors).nextLong());
            var warp = Warp.any(r);
            List<List<Pair>> seen = seen(anchors, warp, r);
            long from = System.nanoTime();
            FormFit fit = FormFit.of(seen);
            nanos += System.nanoTime() - from;
            double[] shift = medianShift(seen);
            for (int z = 0; z < 8; z++) {
                var zone = new Box(15 + 120 * r.nextDouble(), 20 + 240 * r.nextDouble(), 40, 8);
                double[] truth = warp.of(zone.centreX(), zone.centreY());
                Box laid = fit.of(zone);
                double error = Math.hypot(laid.centreX() - truth[0], laid.centreY() - truth[1]);
                errors.add(error);
                shifted.add(Math.hypot(zone.centreX() + shift[0] - truth[0], zone.centreY() + shift[1] - truth[1]));
                boolean isSure = fit.trust(zone, 2) >= SURE;
                sure += isSure ? 1 : 0;
                wrong += isSure && error > 2 ? 1 : 0;
            }
        }
        errors.sort(null);
        shifted.sort(null);
        table.row(
                anchors,
                errors.size(),
                errors.get(errors.size() / 2),
                errors.get(errors.size() * 95 / 100),
                shifted.get(shifted.size() * 95 / 100),
                Table.share(sure, errors.size()),
                wrong,
                nanos / 1e6 / forms);
    }

    private static List<List<Pair>> seen(int anchors, Warp warp, Random r) {
        List<List<Pair>> seen = new ArrayList<>();
        for (int i = 0; i < anchors; i++) {
            double x = 12 + 170 * r.nextDouble();
            double y = 15 + 265 * r.nextDouble();
            List<Pair> places = new ArrayList<>();
            boolean lost = r.nextInt(3) == 0;
            if (!lost) {
                double[] at = warp.of(x, y);
                places.add(new Pair(x, y, at[0] + 0.3 * r.nextGaussian(), at[1] + 0.3 * r.nextGaussian()));
            }
            if (r.nextInt(3) == 0) {
                places.add(new Pair(x, y, x + 60 * (r.nextDouble() - 0.5), y + 60 * (r.nextDouble() - 0.5)));
            }
            seen.add(places);
        }
        return seen;
    }

    private static double[] medianShift(List<List<Pair>> seen) {
        List<Pair> all = seen.stream().flatMap(List::stream).toList();
        if (all.isEmpty()) {
            return new double[2];
        }
        List<Double> dx = all.stream().map(p -> p.toX() - p.x()).sorted().toList();
        List<Double> dy = all.stream().map(p -> p.toY() - p.y()).sorted().toList();
        return new double[] {dx.get(dx.size() / 2), dy.get(dy.size() / 2)};
    }
}
