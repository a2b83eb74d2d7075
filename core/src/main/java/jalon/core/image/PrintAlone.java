package jalon.core.image;

import jalon.core.page.Box;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A small cut of a page with nothing but its print: without straight rules, without specks that stand alone, and with little
 * paper around. An engine that expects one line of print takes a handful of specks for words, gives up on a line with a rule
 * at its side, and takes the height of the cut for the height of the line.
 *
 * @param at the place of the plane on the cut, mm
 */
public record PrintAlone(GrayPlane plane, Box at) {
    private static final double LARGEST_SPECK_MM = 0.55;

    /** A letter of 5 points is as tall. */
    private static final double PRINT_MM = 0.9;

    /** What is thinner is left of a rule. */
    private static final double THINNEST_MM = 0.15;

    /** Full stops, accents and the dots of letters stand nearer to their letters, in wide print too. */
    private static final double ALONE_MM = 1.5;

    private static final double SOFT_EDGE_MM = 0.1;
    private static final double PAPER_MM = 1;

    /** A cut with as much of its height in print is left as it is. */
    private static final double MUCH_PRINT = 0.6;

    /** Letters and digits, as shares of the height of the lowest word beside them. */
    private static final double SHORTEST = 0.6;

    private static final double TALLEST = 1.6;
    private static final double WIDEST = 2.5;

    /** @return all of the cut where there is no print */
    public static PrintAlone on(GrayPlane cut) {
        GrayPlane clean = RuledLines.without(cut);
        Blobs blobs = ink(clean);
        List<Box> all = IntStream.range(0, blobs.count)
                .mapToObj(b -> box(blobs, b, clean))
                .toList();
        List<Box> around = all.stream()
                .filter(PrintAlone::isPrint)
                .map(b -> b.grown(ALONE_MM))
                .toList();
        List<Box> specks = all.stream()
                .filter(b -> Math.max(b.width(), b.height()) <= LARGEST_SPECK_MM)
                .filter(b -> around.stream().noneMatch(b::overlaps))
                .toList();
        Box whole = new Box(0, 0, clean.widthMm(), clean.heightMm());
        Box print = all.stream()
                .filter(b -> around.stream().anyMatch(b::overlaps))
                .reduce(Box::union)
                .orElse(whole)
                .grown(PAPER_MM);
        boolean fits = clean == cut && specks.isEmpty() && print.height() > MUCH_PRINT * whole.height();
        if (around.isEmpty() || fits) {
            return new PrintAlone(clean, whole);
        }
        GrayPlane alone =
                clean.whitened(specks.stream().map(s -> s.grown(SOFT_EDGE_MM)).toList());
        int left = (int) Math.max(0, clean.inPixels(print.x()));
        int top = (int) Math.max(0, clean.inPixels(print.y()));
        GrayPlane cropped = alone.cut(
                left, top, (int) clean.inPixels(print.right()) - left, (int) clean.inPixels(print.bottom()) - top);
        return new PrintAlone(cropped, new Box(clean.mm(left), clean.mm(top), cropped.widthMm(), cropped.heightMm()));
    }

    /**
     * Print that words of the same line leave out: ink as tall as theirs, beside them.
     *
     * @param words places on the plane, mm
     */
    public List<Box> leftBy(List<Box> words) {
        Box line = words.stream().reduce(Box::union).orElse(null);
        if (line == null) {
            return List.of();
        }
        double tall = words.stream().mapToDouble(Box::height).min().orElseThrow();
        Blobs blobs = ink(plane);
        return IntStream.range(0, blobs.count)
                .mapToObj(b -> box(blobs, b, plane))
                .filter(b -> b.height() > SHORTEST * tall && b.height() < TALLEST * tall && b.width() < WIDEST * tall)
                .filter(b -> b.centreY() > line.y() && b.centreY() < line.bottom())
                .filter(b -> words.stream()
                        .noneMatch(w -> w.grown(SHORTEST * tall / 2).holdsCentreOf(b)))
                .toList();
    }

    private static boolean isPrint(Box ink) {
        return Math.max(ink.width(), ink.height()) >= PRINT_MM && Math.min(ink.width(), ink.height()) >= THINNEST_MM;
    }

    private static Box box(Blobs blobs, int b, GrayPlane plane) {
        return new Box(
                plane.mm(blobs.left[b]), plane.mm(blobs.top[b]), plane.mm(blobs.width(b)), plane.mm(blobs.height(b)));
    }

    private static Blobs ink(GrayPlane plane) {
        return new Blobs(Threshold.ink(plane), plane.width(), plane.height());
    }
}
