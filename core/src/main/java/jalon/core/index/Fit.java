package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import jalon.core.stream.StreamDefinition;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Lays a type's zones on an actual page: the lean is taken out first, then shift and scale come from the printed words of
 * the form (anchors) that were found, by least squares after the median shift has thrown out false hits.
 *
 * @param found anchors that agree; 0 when the zones lie as drawn
 * @param wanted anchors of the layout
 */
record Fit(double scaleX, double shiftX, double scaleY, double shiftY, PageTilt tilt, int found, int wanted) {
    /** A sheet in a feeder or on a glass shifts by a centimetre or two, never by more than this. */
    private static final double FARTHEST_MM = 30;

    private static final double AGREES_MM = 4;

    /** Copiers change the size by a few percent; anything beyond is a false hit. */
    private static final double MOST_SCALE = 0.06;

    static Fit of(StreamDefinition.Layout layout, PageFacts page) {
        var image = page.image();
        var tilt = new PageTilt(image.skewDegrees(), image.widthMm(), image.heightMm());
        Fit asDrawn = new Fit(
                1, 0, 1, 0, tilt, 0, layout == null ? 0 : layout.anchors().size());
        if (layout == null || layout.anchors().isEmpty()) {
            return asDrawn;
        }
        List<Pair> pairs = new ArrayList<>();
        for (var anchor : layout.anchors()) {
            nearest(anchor, page.words(), tilt).ifPresent(pairs::add);
        }
        if (pairs.isEmpty()) {
            return asDrawn;
        }
        double medianX = median(pairs.stream().map(Pair::dx).toList());
        double medianY = median(pairs.stream().map(Pair::dy).toList());
        List<Pair> agreeing = pairs.stream()
                .filter(p -> Math.abs(p.dx() - medianX) < AGREES_MM && Math.abs(p.dy() - medianY) < AGREES_MM)
                .toList();
        if (agreeing.isEmpty()) {
            return asDrawn;
        }
        double[] x = line(
                agreeing.stream().map(p -> new double[] {p.drawnX, p.seenX}).toList());
        double[] y = line(
                agreeing.stream().map(p -> new double[] {p.drawnY, p.seenY}).toList());
        return new Fit(
                x[0], x[1], y[0], y[1], tilt, agreeing.size(), layout.anchors().size());
    }

    /** Where a zone drawn on the straight sheet lies on this page, made straight. */
    Box onStraightPage(Box drawn) {
        return new Box(
                scaleX * drawn.x() + shiftX,
                scaleY * drawn.y() + shiftY,
                scaleX * drawn.width(),
                scaleY * drawn.height());
    }

    /** 1 when the anchors were found or none are wanted; less when the zones may lie beside the values. */
    double trust() {
        return Certainty.fit(found, wanted);
    }

    private record Pair(double drawnX, double drawnY, double seenX, double seenY) {
        double dx() {
            return seenX - drawnX;
        }

        double dy() {
            return seenY - drawnY;
        }
    }

    private static Optional<Pair> nearest(StreamDefinition.Anchor anchor, List<Word> words, PageTilt tilt) {
        Box drawn = anchor.boxMm();
        Phrase phrase = Phrase.of(anchor.text());
        return words.stream()
                .filter(w -> phrase.find(List.of(w)).isPresent())
                .map(w -> tilt.toStraight(w.box()))
                .map(b -> new Pair(drawn.x(), drawn.centreY(), b.x(), b.centreY()))
                .filter(p -> Math.hypot(p.dx(), p.dy()) < FARTHEST_MM)
                .min(Comparator.comparingDouble(p -> Math.hypot(p.dx(), p.dy())));
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }

    /** Least squares of seen = scale * drawn + shift; with points too close together the scale is left at 1. */
    private static double[] line(List<double[]> points) {
        double n = points.size();
        double meanDrawn = points.stream().mapToDouble(p -> p[0]).average().orElse(0);
        double meanSeen = points.stream().mapToDouble(p -> p[1]).average().orElse(0);
        double spread = 0;
        double together = 0;
        for (double[] p : points) {
            spread += (p[0] - meanDrawn) * (p[0] - meanDrawn);
            together += (p[0] - meanDrawn) * (p[1] - meanSeen);
        }
        double scale = n >= 3 && Math.sqrt(spread / n) > 30 ? together / spread : 1;
        if (Math.abs(scale - 1) > MOST_SCALE) {
            scale = 1;
        }
        return new double[] {scale, meanSeen - scale * meanDrawn};
    }
}
