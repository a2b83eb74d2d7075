package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** All measures of one page's image, taken on the page as received. */
public final class PageCheck {
    /** A picture smaller than this is measured in its size only. */
    private static final int FEWEST_PIXELS = 40;

    private final InkMap map;
    private final Ink ink;
    private final List<Measured> figures;

    private PageCheck(InkMap map, Ink ink, List<Measured> figures) {
        this.map = map;
        this.ink = ink;
        this.figures = List.copyOf(figures);
    }

    /** See {@link Ink}. */
    public Ink ink() {
        return ink;
    }

    /** What could be measured, boxes on the page as received; what cannot be is not there. */
    public List<Measured> figures() {
        return figures;
    }

    /**
     * @param rotation clockwise turn, a multiple of 90, that makes the page upright
     * @param skew clockwise skew of the print on the upright page, degrees
     */
    public PageLayout layout(int rotation, double skew) {
        return PageLayout.of(map, rotation, skew);
    }

    /**
     * @param small the same page at about 100 dpi, see {@link GrayPlane#small}
     * @param bitonal whether the image has black and white only, so that blur, contrast and shade cannot be measured
     */
    public static PageCheck of(GrayPlane full, GrayPlane small, boolean bitonal) {
        List<Measured> all = new ArrayList<>();
        all.add(new Measured(Measure.RESOLUTION, full.dpi(), null));
        all.add(new Measured(Measure.FINENESS, full.dpi(), null));
        all.add(new Measured(Measure.SHORT_SIDE, Math.min(full.widthMm(), full.heightMm()), null));
        all.add(new Measured(Measure.LONG_SIDE, Math.max(full.widthMm(), full.heightMm()), null));
        InkMap map = new InkMap(small);
        List<Box> holes = PunchHoles.in(map);
        if (Math.min(full.width(), full.height()) < FEWEST_PIXELS) {
            return new PageCheck(map, Ink.of(map, holes, List.of()), all);
        }
        List<Corners.Corner> corners = Corners.in(map);
        List<ScanEdges.Edge> edges = ScanEdges.in(map, corners);
        List<Box> outside = Stream.concat(
                        edges.stream().map(ScanEdges.Edge::where),
                        corners.stream().map(Corners.Corner::where))
                .toList();
        Ink ink = Ink.of(map, holes, outside);
        CutOff cutOff = CutOff.of(map, edges, corners);
        edges.stream()
                .max(Comparator.comparingDouble(ScanEdges.Edge::depth))
                .ifPresentOrElse(
                        e -> all.add(new Measured(Measure.EDGE, e.depth(), e.where())),
                        () -> all.add(new Measured(Measure.EDGE, 0, null)));
        all.add(new Measured(
                Measure.HOLES, holes.size(), holes.stream().reduce(Box::union).orElse(null)));
        corners.stream()
                .max(Comparator.comparingDouble(Corners.Corner::leg))
                .ifPresentOrElse(
                        c -> all.add(new Measured(Measure.CORNER, c.leg(), c.where())),
                        () -> all.add(new Measured(Measure.CORNER, 0, null)));
        all.add(new Measured(Measure.CUT_OFF, cutOff.along(), cutOff.where()));
        all.add(new Measured(Measure.SPECKS, Specks.of(map, full).perCm2(), null));
        PaperBrightness shade = PaperBrightness.of(map, bitonal);
        all.add(new Measured(Measure.DARKNESS, shade.darkness(), null));
        if (!bitonal) {
            all.add(new Measured(Measure.UNEVEN, shade.uneven(), null));
            all.add(new Measured(
                    Measure.COMPRESSION, Ripples.of(full, map.paper).share(), null));
            add(all, Measure.BLUR, Blur.of(full).millimetres());
            add(all, Measure.CONTRAST, Contrast.of(map, full).share());
        }
        return new PageCheck(map, ink, all);
    }

    private static void add(List<Measured> all, Measure what, double figure) {
        if (!Double.isNaN(figure)) {
            all.add(new Measured(what, figure, null));
        }
    }

    /** The figures with their boxes on the page turned upright, figures rounded to what they are good for. */
    public List<Measured> upright(int rotation, double widthMm, double heightMm) {
        return figures.stream()
                .map(m -> new Measured(
                        m.what(),
                        Math.round(m.figure() * 1000) / 1000.0,
                        m.where() == null ? null : m.where().turned(rotation, widthMm, heightMm)))
                .toList();
    }
}
