package jalon.bench;

import jalon.core.image.GrayPlane;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.PageCheck;
import jalon.core.image.Skew;
import jalon.core.page.Box;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import jalon.demo.Wear;
import java.awt.Color;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * Accuracy of the image measures against known truth, on pages made and worn by known amounts; the same seeds give the same
 * pages. {@code ImageBench OUT.md [pages]}.
 */
public final class ImageBench {
    private final int pages;
    private final List<Sheet> sheets = Worn.sheets(12, 5);
    private final Table table = new Table();

    private ImageBench(int pages) {
        this.pages = pages;
    }

    public static void main(String[] args) throws IOException, jalon.core.stream.Streams.InvalidStream {
        var bench = new ImageBench(args.length > 1 ? Integer.parseInt(args[1]) : 1000);
        if (args.length > 2 && args[2].equals("turns")) {
            new Readings(bench.table, bench.sheets, bench.pages).orientation();
            Files.writeString(Path.of(args[0]), bench.table.text());
            return;
        }
        if (args.length > 2 && args[2].equals("stamps")) {
            new Readings(bench.table, bench.sheets, bench.pages).stamps();
            Files.writeString(Path.of(args[0]), bench.table.text());
            return;
        }
        if (args.length > 2 && args[2].equals("backs")) {
            new Readings(bench.table, bench.sheets, bench.pages).showThrough();
            Files.writeString(Path.of(args[0]), bench.table.text());
            return;
        }
        bench.skew();
        bench.blank();
        bench.order();
        bench.found();
        bench.time();
        var readings = new Readings(bench.table, bench.sheets, bench.pages);
        readings.orientation();
        readings.showThrough();
        readings.stamps();
        readings.repairs();
        Files.writeString(Path.of(args[0]), bench.table.text());
    }

    static PageCheck check(BufferedImage image, double dpi) {
        GrayPlane full = GrayPlane.of(image, dpi);
        return PageCheck.of(full, full.small(), image.getColorModel().getPixelSize() == 1);
    }

    static double figure(PageCheck check, Measure what) {
        return measured(check, what).map(Measured::figure).orElse(Double.NaN);
    }

    private static Optional<Measured> measured(PageCheck check, Measure what) {
        return check.figures().stream().filter(m -> m.what() == what).findFirst();
    }

    private Sheet sheet(int i) {
        return sheets.get(i % sheets.size());
    }

    private void skew() {
        int n = Math.max(40, pages / 4);
        double[] ours = new double[n];
        double[] theirs = new double[n];
        double[] angles = new double[n];
        double[] certain = new double[n];
        IntStream.range(0, n).parallel().forEach(i -> {
            Random r = new Random(i);
            int dpi = Worn.DPI[i % 4];
            double angle = i % 10 == 0 ? 0 : (r.nextDouble() - 0.5) * (i % 3 == 0 ? 30 : 6);
            GrayPlane full = GrayPlane.of(Worn.scan(sheet(i), Worn.mode(i), dpi, angle, r), dpi);
            Skew skew = Skew.of(full.small());
            angles[i] = angle;
            ours[i] = Math.abs(skew.degrees() - angle);
            certain[i] = skew.certain() ? 1 : 0;
            theirs[i] = Math.abs(LeptonicaSkew.of(full) - angle);
        });
        table.title(
                "Skew, up to 15 degrees, 150 to 400 dpi, bitonal, grey and colour",
                "how",
                "pages",
                "median error °",
                "95th percentile °",
                "made worse");
        table.row("Jalon", n, Table.percentile(ours, 0.5), Table.percentile(ours, 0.95), worse(ours, angles));
        table.row("Leptonica", n, Table.percentile(theirs, 0.5), Table.percentile(theirs, 0.95), worse(theirs, angles));
        table.row(
                "Jalon says it is certain",
                (long) java.util.Arrays.stream(certain).sum(),
                "",
                "",
                "");
    }

    /** Pages whose print leans more after straightening than before, by more than a twentieth of a degree. */
    private static long worse(double[] errors, double[] angles) {
        return IntStream.range(0, errors.length)
                .filter(i -> errors[i] > Math.abs(angles[i]) + 0.05)
                .count();
    }

    private void blank() {
        table.title("Blank or not", "pages", "right");
        AtomicInteger kept = new AtomicInteger();
        AtomicInteger found = new AtomicInteger();
        int[] lost = new int[5];
        int[] missed = new int[5];
        IntStream.range(0, pages).parallel().forEach(i -> {
            Random r = new Random(i);
            int dpi = Worn.DPI[i % 4];
            var mode = Worn.mode(i / 4);
            boolean bitonal = mode == Scanner.Mode.BITONAL;
            BufferedImage nearly = Worn.scan(Sheet.BLANK, bitonal ? Scanner.Mode.GREY : mode, dpi, 0, r);
            Wear.draw(nearly, dpi, g -> Blanks.nearly(g, i % 5, bitonal, r));
            if (isBlank(bitonal ? Scanner.bitonal(nearly) : nearly, dpi)) {
                synchronized (lost) {
                    lost[i % 5]++;
                }
            } else {
                kept.incrementAndGet();
            }
            BufferedImage empty = Worn.scan(Sheet.BLANK, bitonal ? Scanner.Mode.GREY : mode, dpi, 0, r);
            empty = Blanks.really(empty, dpi, i % 5, sheet(i), r);
            if (isBlank(bitonal ? Scanner.bitonal(empty) : empty, dpi)) {
                found.incrementAndGet();
            } else {
                synchronized (missed) {
                    missed[i % 5]++;
                }
            }
        });
        table.row(
                "nearly empty (pencil, signature, stamp, page number, light print): kept",
                Table.share(kept.get(), pages));
        table.row("blank (holes, edges, dust, show-through, a form's lines): found", Table.share(found.get(), pages));
        System.err.println("lost " + java.util.Arrays.toString(lost) + " missed " + java.util.Arrays.toString(missed));
    }

    private static boolean isBlank(BufferedImage image, double dpi) {
        return check(image, dpi).ink().share() < 0.00001;
    }

    private void order() {
        int n = Math.max(40, pages / 5);
        table.title("Figures that grow with the wear", "figure", "pages", "rank correlation");
        table.row(
                "blur (Gaussian, 0.02 to 0.4 mm)",
                n,
                correlation(
                        n,
                        i -> 0.02 + 0.38 * i / n,
                        (image, dpi, wear, r) -> figure(check(Wear.blurred(image, dpi, wear), dpi), Measure.BLUR)));
        table.row(
                "faintness (ink at 100 to 12 %)",
                n,
                -correlation(
                        n,
                        i -> 0.12 + 0.88 * i / n,
                        (image, dpi, wear, r) -> -figure(check(Wear.faded(image, wear), dpi), Measure.CONTRAST)));
        table.row(
                "specks (0.2 to 8 a cm²), all colour modes",
                n,
                correlation(n, i -> 0.2 + 7.8 * i / n, (image, dpi, wear, r) -> {
                    Wear.draw(image, dpi, g -> Wear.specks(g, wear, 210, 297, r));
                    return figure(check(r.nextBoolean() ? Scanner.bitonal(grey(image)) : image, dpi), Measure.SPECKS);
                }));
        table.row(
                "uneven light (0 to 60 % lost)",
                n,
                correlation(
                        n,
                        i -> 0.6 * i / n,
                        (image, dpi, wear, r) -> figure(check(Wear.shaded(image, wear), dpi), Measure.UNEVEN)));
        table.row(
                "JPEG quality (90 to 5 %)",
                n,
                correlation(
                        n,
                        i -> 0.05 + 0.85 * i / n,
                        (image, dpi, wear, r) -> -figure(check(Jpegs.through(image, wear), dpi), Measure.COMPRESSION)));
    }

    static BufferedImage grey(BufferedImage image) {
        BufferedImage grey = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        grey.createGraphics().drawImage(image, 0, 0, null);
        return grey;
    }

    private interface Figure {
        double figure(BufferedImage image, int dpi, double wear, Random r);
    }

    private double correlation(int n, IntToDoubleFunction wear, Figure measure) {
        double[] truth = new double[n];
        double[] figures = new double[n];
        IntStream.range(0, n).parallel().forEach(i -> {
            Random r = new Random(i);
            int dpi = Worn.DPI[i % 4];
            truth[i] = wear.applyAsDouble(i);
            var mode = i / 4 % 2 == 0 ? Scanner.Mode.GREY : Scanner.Mode.COLOUR;
            BufferedImage image = Worn.scan(sheet(i * 7), mode, dpi, 0, r);
            figures[i] = measure.figure(image, dpi, truth[i], r);
        });
        return Table.rankCorrelation(truth, figures);
    }

    private void found() {
        table.title("Found, and found where there is nothing", "what", "found", "box within 1 mm", "on clean pages");
        int n = Math.max(40, pages / 3);
        int[] clean = new int[3];
        IntStream.range(0, n).parallel().forEach(i -> {
            Random r = new Random(i);
            int dpi = Worn.DPI[i % 4];
            PageCheck c = check(Worn.scan(sheet(i), Worn.mode(i / 4), dpi, (r.nextDouble() - 0.5) * 3, r), dpi);
            synchronized (clean) {
                clean[0] += figure(c, Measure.EDGE) > 0 ? 1 : 0;
                clean[1] += figure(c, Measure.HOLES) > 0 ? 1 : 0;
                clean[2] += figure(c, Measure.CORNER) > 0 ? 1 : 0;
            }
        });
        Measure[] what = {Measure.EDGE, Measure.HOLES, Measure.CORNER};
        for (int k = 0; k < 3; k++) {
            Measure measure = what[k];
            int[] counts = new int[2];
            IntStream.range(0, n).parallel().forEach(i -> {
                Random r = new Random(i);
                int dpi = Worn.DPI[i % 4];
                var mode = Worn.mode(i / 4);
                boolean bitonal = mode == Scanner.Mode.BITONAL;
                BufferedImage image =
                        Worn.scan(sheet(i), bitonal ? Scanner.Mode.GREY : mode, dpi, (r.nextDouble() - 0.5) * 3, r);
                Box[] truth = new Box[1];
                Wear.draw(image, dpi, g -> truth[0] = box(wear(g, measure, i, r)));
                Optional<Measured> m = measured(check(bitonal ? Scanner.bitonal(grey(image)) : image, dpi), measure)
                        .filter(f -> f.figure() > 0);
                synchronized (counts) {
                    counts[0] += m.isPresent() ? 1 : 0;
                    counts[1] += m.isPresent() && near(m.get().where(), truth[0]) ? 1 : 0;
                }
            });
            table.row(measure.json(), Table.share(counts[0], n), Table.share(counts[1], n), Table.share(clean[k], n));
        }
    }

    private static Box box(Rectangle2D r) {
        return new Box(r.getX(), r.getY(), r.getWidth(), r.getHeight());
    }

    private static Rectangle2D wear(java.awt.Graphics2D g, Measure measure, int i, Random r) {
        g.setColor(Color.BLACK);
        return switch (measure) {
            case EDGE -> Wear.edge(g, i % 4, 0.8 + r.nextDouble() * 5, 210, 297);
            case HOLES -> {
                double across = 4.5 + r.nextDouble() * 3;
                double y = 90 + r.nextDouble() * 30;
                Rectangle2D one = Wear.hole(g, 8 + r.nextDouble() * 3, y, across);
                yield one.createUnion(Wear.hole(g, one.getX(), y + 80, across));
            }
            default -> Wear.corner(g, i % 4, 4 + r.nextDouble() * 25, 4 + r.nextDouble() * 25, 210, 297);
        };
    }

    private static boolean near(Box a, Box b) {
        return Math.abs(a.x() - b.x()) < 1
                && Math.abs(a.y() - b.y()) < 1
                && Math.abs(a.right() - b.right()) < 1
                && Math.abs(a.bottom() - b.bottom()) < 1;
    }

    private void time() {
        MeasuringTime.rows(table, sheets);
    }
}
