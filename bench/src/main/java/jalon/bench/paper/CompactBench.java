package jalon.bench.paper;

import jalon.bench.Jpegs;
import jalon.bench.Table;
import jalon.core.image.GrayPlane;
import jalon.core.output.DocumentWriter;
import jalon.core.output.FiledDocument;
import jalon.core.output.PageImages;
import jalon.core.page.Encoded;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import jalon.demo.Scanner;
import jalon.demo.Wear;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.ToIntFunction;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * How much room compact pages save and what they lose, against the same pages as they were received (JPEG of usual quality): what
 * reading finds on both, and marks of a pencil. Stamps, notes, photographs and markers stand on them. {@code CompactBench OUT.md
 * KEPT PAGES SEED}.
 */
public final class CompactBench {
    private static final double RECEIVED_QUALITY = 0.85;
    private static final Rectangle2D PENCIL = new Rectangle2D.Double(30, 272, 60, 12);

    private final ReadPaper reading;
    private final Path folder;
    private final Table table = new Table();

    private CompactBench(Path kept) throws IOException {
        reading = new ReadPaper(kept.resolve("compact"));
        folder = Files.createTempDirectory("jalon-compact");
    }

    public static void main(String[] args) throws IOException {
        var bench = new CompactBench(Path.of(args[1]));
        bench.run(Integer.parseInt(args[2]), Long.parseLong(args[3]));
        Files.writeString(Path.of(args[0]), bench.table.text());
        System.out.println(bench.table.text());
    }

    /** What stands on a page beside its print. */
    private enum Extra {
        NOTHING,
        STAMP,
        PENCIL,
        PHOTO,
        MARKER
    }

    /**
     * @param words found on the page as received, @param plain of these on the plain PDF as it is shown, @param again on the
     *     compact one as it is shown, @param pencil contrast kept, or NaN
     */
    private record Result(long received, long compact, int words, int plain, int again, double pencil, double seconds) {
        boolean layered() {
            return compact < 0.95 * received;
        }
    }

    private void run(int pages, long seed) throws IOException {
        Map<String, List<Result>> results = new HashMap<>();
        for (int i = 0; i < pages; i++) {
            Random r = new Random(seed * 7919 + i);
            Extra extra = Extra.values()[i % Extra.values().length];
            boolean colour = i % 3 > 0;
            int dpi = new int[] {200, 300, 240}[i % 7 % 3];
            Result result = page(extra, colour, dpi, r);
            results.computeIfAbsent(extra.name().toLowerCase(java.util.Locale.ROOT), e -> new ArrayList<>())
                    .add(result);
            results.computeIfAbsent("all", e -> new ArrayList<>()).add(result);
        }
        table.title(
                "Compact pages against the same as received, 200 to 300 dpi, seed " + seed,
                "what stands on them",
                "pages",
                "in layers",
                "room of those",
                "room of all",
                "words found again, plain PDF",
                "compact",
                "pencil's contrast kept, least",
                "seconds a page");
        results.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(of -> row(of.getKey(), of.getValue()));
    }

    private void row(String what, List<Result> of) {
        List<Result> layered = of.stream().filter(Result::layered).toList();
        table.row(
                what,
                of.size(),
                layered.size(),
                room(layered),
                room(of),
                share(of, Result::plain),
                share(of, Result::again),
                of.stream()
                        .mapToDouble(Result::pencil)
                        .filter(p -> !Double.isNaN(p))
                        .min()
                        .orElse(Double.NaN),
                of.stream().mapToDouble(Result::seconds).average().orElse(Double.NaN));
    }

    private static double share(List<Result> of, ToIntFunction<Result> what) {
        return of.stream().mapToInt(what).sum()
                / (double) Math.max(1, of.stream().mapToInt(Result::words).sum());
    }

    private static double room(List<Result> of) {
        return of.stream().mapToLong(Result::compact).sum()
                / (double) Math.max(1, of.stream().mapToLong(Result::received).sum());
    }

    private Result page(Extra extra, boolean colour, int dpi, Random r) throws IOException {
        var sheet = new MixedPaper(r).document(r).pages().get(0);
        Scanner.Mode mode = colour ? Scanner.Mode.COLOUR : Scanner.Mode.GREY;
        BufferedImage drawn = Scanner.scan(sheet, Scanner.Setting.feeder(mode, dpi, r), r);
        byte[] bytes = Jpegs.bytes(Wear.draw(drawn, dpi, g -> draw(g, extra, r)), RECEIVED_QUALITY);
        BufferedImage received = ImageIO.read(new ByteArrayInputStream(bytes));
        PageFacts facts = reading.read(grey(received), dpi, 1);
        long before = written(Destination.Format.PDF, facts, received, bytes, dpi);
        BufferedImage plain = shown(dpi);
        long at = System.nanoTime();
        long after = written(Destination.Format.PDF_COMPACT, facts, received, bytes, dpi);
        double seconds = (System.nanoTime() - at) / 1e9;
        BufferedImage shown = shown(dpi);
        List<String> found = words(facts);
        double pencil = extra == Extra.PENCIL ? contrast(shown, dpi) / contrast(received, dpi) : Double.NaN;
        return new Result(
                before, after, found.size(), again(found, plain, dpi), again(found, shown, dpi), pencil, seconds);
    }

    private int again(List<String> found, BufferedImage shown, int dpi) {
        List<String> words = words(reading.read(grey(shown), dpi, 1));
        int again = 0;
        for (String word : found) {
            again += words.remove(word) ? 1 : 0;
        }
        return again;
    }

    /** The page that was written, as another program shows it. */
    private BufferedImage shown(int dpi) throws IOException {
        try (var pdf = Loader.loadPDF(folder.resolve("page.pdf").toFile())) {
            return new PDFRenderer(pdf).renderImageWithDPI(0, dpi);
        }
    }

    /** Of words that are sure: others are read by chance. */
    private static List<String> words(PageFacts facts) {
        return new ArrayList<>(facts.words().stream()
                .filter(w -> w.certainty() > 0.8)
                .map(Word::text)
                .toList());
    }

    private static BufferedImage grey(BufferedImage image) {
        GrayPlane plane = GrayPlane.of(image, 100);
        var grey = new BufferedImage(plane.width(), plane.height(), BufferedImage.TYPE_BYTE_GRAY);
        grey.getRaster().setDataElements(0, 0, plane.width(), plane.height(), plane.pixels());
        return grey;
    }

    private long written(Destination.Format format, PageFacts facts, BufferedImage image, byte[] jpeg, int dpi)
            throws IOException {
        var document = new FiledDocument(
                "page",
                new FiledDocument.Origin("bench", "page", "B-1", 1),
                Map.of(),
                List.of(facts),
                Map.of(),
                Instant.EPOCH);
        PageImages images = new PageImages() {
            @Override
            public Optional<Encoded> asIs(PageFacts page) {
                boolean grey = image.getRaster().getNumBands() == 1;
                return Optional.of(new Encoded(Encoded.Kind.JPEG, jpeg, image.getWidth(), image.getHeight(), 0, grey));
            }

            @Override
            public Scan scan(PageFacts page) {
                return new Scan(image, dpi, true, List.of());
            }
        };
        Path file = folder.resolve("page.pdf");
        try {
            DocumentWriter.write(List.of(new DocumentWriter.Target(format, 0, file)), document, images);
        } catch (jalon.core.page.UnreadableFile e) {
            throw new IOException(e);
        }
        return Files.size(file);
    }

    private static void draw(Graphics2D g, Extra extra, Random r) {
        switch (extra) {
            case NOTHING -> {}
            case STAMP -> {
                g.setColor(new Color(150 + r.nextInt(60), 30, 60 + r.nextInt(120)));
                g.setStroke(new BasicStroke(0.8f));
                g.draw(new Ellipse2D.Double(130, 190, 34, 34));
                g.draw(new Ellipse2D.Double(134, 194, 26, 26));
            }
            case PENCIL -> {
                int level = 165 + r.nextInt(35);
                Wear.squiggle(
                        g,
                        PENCIL.getX(),
                        PENCIL.getCenterY(),
                        PENCIL.getWidth(),
                        0.4,
                        new Color(level, level, level),
                        r);
            }
            case PHOTO -> {
                for (int i = 0; i < 9000; i++) {
                    double x = r.nextDouble();
                    double y = r.nextDouble();
                    int level = (int) (60 + 120 * (0.5 + 0.5 * Math.sin(6 * x + 9 * y * y)) + r.nextInt(30));
                    g.setColor(new Color(level, Math.max(0, level - 15), Math.max(0, level - 30)));
                    g.fill(new Rectangle2D.Double(120 + 50 * x, 200 + 40 * y, 1, 1));
                }
            }
            case MARKER -> {
                g.setColor(new Color(255, 240, 60, 110));
                g.fill(new Rectangle2D.Double(20, 60 + r.nextInt(120), 120, 6));
            }
        }
    }

    /** How much darker the darkest hundredth is than most of a place. */
    private static double contrast(BufferedImage image, int dpi) {
        GrayPlane plane = GrayPlane.of(image, dpi);
        int left = (int) plane.inPixels(PENCIL.getX());
        int top = (int) plane.inPixels(PENCIL.getY());
        int right = (int) Math.min(plane.width(), plane.inPixels(PENCIL.getMaxX()));
        int bottom = (int) Math.min(plane.height(), plane.inPixels(PENCIL.getMaxY()));
        return plane.percentile(left, top, right, bottom, 1, 0.5) - plane.percentile(left, top, right, bottom, 1, 0.01);
    }
}
