package jalon.bench;

import jalon.core.image.GrayPlane;
import jalon.core.image.Measure;
import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.image.Skew;
import jalon.core.index.FieldValue;
import jalon.core.index.ZoneReader;
import jalon.core.page.Pixels;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.read.ReadZone;
import jalon.core.run.BatchRun;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.core.text.Model;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import jalon.demo.Wear;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What can only be told by reading: which way is up, whether repairs help, and values under stamps. */
final class Readings {
    private static final String STREAM = """
            {"jalon":1,"stream":"forms","title":"Forms","types":[{"type":"form","default":true,"fields":[
              {"field":"vessel","required":true,"finders":[{"by":"zone","boxMm":[58,53,44,9]}],
               "checks":[{"check":"like","like":"PM-9999-A"}]}]}]}""";

    private final TextReaders readers = new TextReaders(2, TesseractReader::open);
    private final Table table;
    private final List<Sheet> sheets;
    private final int pages;

    Readings(Table table, List<Sheet> sheets, int pages) {
        this.table = table;
        this.sheets = sheets;
        this.pages = pages;
    }

    private static PageFacts facts(BufferedImage image, double dpi, TextReader reader) {
        var scan = new Scan(image, dpi, true, List.of());
        return ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader);
    }

    private <T> T reading(Function<TextReader, T> work) {
        return reading(Model.SAME, work);
    }

    private <T> T reading(Model model, Function<TextReader, T> work) {
        String models = model.after("eng");
        try (TextReader reader = readers.borrow(models)) {
            return work.apply(reader);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** As it is, faint, blurred, or dirty. */
    private static BufferedImage worn(BufferedImage page, int dpi, int how) {
        if (page.getColorModel().getPixelSize() == 1) {
            return page;
        }
        return switch (how) {
            case 1 -> Wear.faded(page, 0.25);
            case 2 -> Wear.blurred(page, dpi, 0.15);
            case 3 -> Wear.draw(page, dpi, g -> Wear.specks(g, 4, 210, 297, new Random(how)));
            default -> page;
        };
    }

    /** Blank backs through which the front shows, with a dark edge; beside them pages with a little faint print. */
    void showThrough() {
        int n = Math.max(24, pages / 10);
        int[] right = new int[4];
        IntStream.range(0, n).parallel().forEach(i -> {
            Random r = new Random(i);
            int dpi = i % 2 == 0 ? 200 : 300;
            boolean bitonal = i % 4 > 1;
            for (int kind = 0; kind < 2; kind++) {
                BufferedImage page = Worn.scan(Sheet.BLANK, Scanner.Mode.GREY, dpi, 0, r);
                if (kind == 0) {
                    BufferedImage front = Worn.scan(sheets.get(i % sheets.size()), Scanner.Mode.GREY, dpi, 0, r);
                    Wear.showThrough(page, front, dpi, 0.1 + r.nextDouble() * 0.15);
                    Wear.draw(page, dpi, g -> Wear.edge(g, r.nextInt(4), 0.5 + r.nextDouble() * 3, 210, 297));
                } else {
                    Wear.draw(page, dpi, g -> Blanks.nearly(g, i % 5, bitonal, r));
                }
                // A sensitive machine: what is a little darker than the paper becomes black.
                BufferedImage seen = bitonal ? dark(page, kind == 0 ? 225 : 150) : page;
                PageFacts facts = reading(reader -> facts(seen, dpi, reader));
                boolean blank = facts.image().inkShare() < 0.00001
                        && facts.words().stream().noneMatch(w -> w.certainty() > 0.4);
                synchronized (right) {
                    right[2 * kind + (bitonal ? 1 : 0)] += blank == (kind == 0) ? 1 : 0;
                }
            }
        });
        table.title("Blank backs with strong show-through and an edge, and nearly blank pages", "pages", "right");
        String[] names = {"blank, grey", "blank, black and white", "nearly blank, grey", "nearly blank, black and white"
        };
        for (int k = 0; k < names.length; k++) {
            table.row(names[k], Table.share(right[k], n / 2));
        }
    }

    private static BufferedImage dark(BufferedImage grey, int below) {
        var out = new BufferedImage(grey.getWidth(), grey.getHeight(), BufferedImage.TYPE_BYTE_BINARY);
        for (int y = 0; y < grey.getHeight(); y++) {
            for (int x = 0; x < grey.getWidth(); x++) {
                out.setRGB(x, y, grey.getRaster().getSample(x, y, 0) < below ? 0xFF000000 : 0xFFFFFFFF);
            }
        }
        return out;
    }

    void orientation() {
        List<Sheet> others = jalon.bench.values.ValuesBench.sheets(Math.max(24, pages / 10), 11);
        int n = Math.max(24, pages / 10);
        int[][] counts = new int[3][4];
        IntStream.range(0, n).parallel().forEach(i -> {
            Random r = new Random(i);
            int turned = i % 4 * 90;
            int dpi = i % 2 == 0 ? 200 : 300;
            // Half of them the demo's, half from the other worlds, forms with few words among them.
            Sheet sheet = i % 8 < 4 ? sheets.get(i * 3 % sheets.size()) : others.get(i % others.size());
            BufferedImage upright = worn(Worn.scan(sheet, Worn.mode(i / 2), dpi, 0, r), dpi, i / 8 % 4);
            BufferedImage image = Pixels.turned(upright, turned);
            PageFacts page = reading(reader -> facts(image, dpi, reader));
            int osd = reading(reader -> reader.uprightTurn(GrayPlane.of(image, dpi)));
            boolean knows = page.image().figure(Measure.UPRIGHT).orElse(0) >= Measure.UPRIGHT.usualLimit();
            int words = page.words().size();
            int kind = words >= 100 ? 0 : words >= 10 ? 1 : 2;
            synchronized (counts) {
                counts[kind][0]++;
                counts[kind][1] += page.image().rotation() == (360 - turned) % 360 ? 1 : 0;
                counts[kind][2] += knows && page.image().rotation() != (360 - turned) % 360 ? 1 : 0;
                counts[kind][3] += osd == (360 - turned) % 360 ? 1 : 0;
            }
        });
        table.title(
                "Which way is up",
                "words",
                "pages",
                "right",
                "wrong and sure of it",
                "Tesseract's own detection right");
        String[] names = {"100 or more", "10 to 99", "fewer"};
        for (int k = 0; k < 3; k++) {
            table.row(names[k], counts[k][0], counts[k][1], counts[k][2], counts[k][3]);
        }
    }

    private record Trial(String what, Repair repair, Function<BufferedImage, BufferedImage> wear) {}

    void repairs() {
        int dpi = 300;
        Random r = new Random(9);
        List<Trial> trials = List.of(
                new Trial("even the light (60 % lost)", new Repair.EvenLight(), i -> Wear.shaded(i, 0.6)),
                new Trial("contrast (ink at 12 %)", new Repair.Levels(0, 0.75), i -> Wear.faded(i, 0.12)),
                new Trial("black and white (ink at 12 %)", new Repair.Bitonal(), i -> Wear.faded(i, 0.12)),
                new Trial("sharpen (blurred 0.24 mm)", new Repair.Sharpen(), i -> Wear.blurred(i, dpi, 0.24)),
                new Trial(
                        "clean specks (10 a cm²)",
                        new Repair.CleanSpecks(),
                        i -> Wear.draw(i, dpi, g -> Wear.specks(g, 10, 210, 297, r))),
                new Trial(
                        "whiten edges (6 mm)",
                        new Repair.WhitenEdges(),
                        i -> Wear.draw(i, dpi, g -> Wear.edge(g, 0, 6, 210, 297))),
                new Trial(
                        "fill holes",
                        new Repair.FillHoles(),
                        i -> Wear.draw(i, dpi, g -> {
                            Wear.hole(g, 9, 105, 6);
                            Wear.hole(g, 9, 185, 6);
                        })),
                new Trial("straighten (4°, engine alone)", new Repair.Straighten(), null));
        table.title(
                "Words read before and after repairs, of those read on the clean page",
                "repair",
                "worn, before",
                "worn, after",
                "clean, after");
        int n = Math.max(6, pages / 100);
        for (Trial trial : trials) {
            double[] sums = new double[3];
            IntStream.range(0, n).parallel().forEach(i -> {
                BufferedImage clean =
                        Worn.scan(sheets.get(i * 5 % sheets.size()), Scanner.Mode.GREY, dpi, 0, new Random(i));
                BufferedImage worn = trial.wear() == null
                        ? Worn.scan(sheets.get(i * 5 % sheets.size()), Scanner.Mode.GREY, dpi, 4, new Random(i))
                        : trial.wear().apply(copy(clean));
                List<String> truth = words(clean, dpi);
                double before = share(truth, words(worn, dpi));
                double after = share(truth, words(repaired(worn, dpi, trial.repair()), dpi));
                double cleanAfter = share(truth, words(repaired(clean, dpi, trial.repair()), dpi));
                synchronized (sums) {
                    sums[0] += before / n;
                    sums[1] += after / n;
                    sums[2] += cleanAfter / n;
                }
            });
            table.row(trial.what(), sums[0], sums[1], sums[2]);
        }
    }

    private static BufferedImage repaired(BufferedImage image, int dpi, Repair repair) {
        double skew = Skew.of(GrayPlane.of(image, dpi).small()).degrees();
        return Repaired.of(image, dpi, List.of(repair), skew).image();
    }

    private static BufferedImage copy(BufferedImage image) {
        BufferedImage copy = new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
        Graphics2D g = copy.createGraphics();
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return copy;
    }

    /** By the engine alone, without any straightening. */
    private List<String> words(BufferedImage image, int dpi) {
        GrayPlane plane = GrayPlane.of(image, dpi);
        return reading(reader -> reader.read(plane.rotated(0, 2 / 3.0), TextReader.Layout.PAGE)).stream()
                .filter(w -> w.certainty() > 0.6)
                .map(Word::text)
                .toList();
    }

    private static double share(List<String> truth, List<String> read) {
        Map<String, Integer> left = new HashMap<>();
        read.forEach(w -> left.merge(w, 1, Integer::sum));
        int found = 0;
        for (String w : truth) {
            if (left.merge(w, -1, Integer::sum) >= 0) {
                found++;
            }
        }
        return truth.isEmpty() ? 1 : (double) found / truth.size();
    }

    void stamps() throws Streams.InvalidStream {
        StreamDefinition stream = Streams.parse(STREAM);
        int n = Math.max(30, pages / 20);
        table.title(
                "A value under a stamp, colour scans at 200 and 300 dpi, JPEG 75 %",
                "stamp", "forms", "right", "wrong but sure", "right without dropping the colour");
        Color[] inks = {new Color(200, 35, 45), new Color(35, 60, 170), new Color(25, 125, 60)};
        for (Color ink : inks) {
            AtomicInteger right = new AtomicInteger();
            AtomicInteger wrongSure = new AtomicInteger();
            AtomicInteger before = new AtomicInteger();
            IntStream.range(0, n).parallel().forEach(i -> {
                Random r = new Random(i);
                int dpi = i % 2 == 0 ? 200 : 300;
                String truth = String.format("PM-%04d-%c", r.nextInt(10_000), 'A' + r.nextInt(26));
                BufferedImage image = Jpegs.through(stamped(truth, ink, dpi, i % 4 < 2, r), 0.75);
                var scan = new Scan(image, dpi, true, List.of());
                PageFacts page = reading(reader -> facts(image, dpi, reader));
                FieldValue value = value(
                        stream,
                        page,
                        (p, zone, model) -> reading(model, reader -> new ReadZone(scan, p).read(zone, reader)));
                right.addAndGet(truth.equals(value.value()) ? 1 : 0);
                wrongSure.addAndGet(value.state() == FieldValue.State.SURE && !truth.equals(value.value()) ? 1 : 0);
                before.addAndGet(
                        truth.equals(value(stream, page, ZoneReader.NONE).value()) ? 1 : 0);
            });
            String name = ink == inks[0] ? "red" : ink == inks[1] ? "blue" : "green";
            table.row(name, n, Table.share(right.get(), n), wrongSure.get(), Table.share(before.get(), n));
        }
    }

    private static FieldValue value(StreamDefinition stream, PageFacts page, ZoneReader zones) {
        return new BatchRun(stream, Map.of(), zones, LocalDate.of(2026, 11, 23))
                .index(List.of(page), new ArrayList<>())
                .documents()
                .get(0)
                .fields()
                .get("vessel");
    }

    /** @param glassy whether the ink darkens what is under it, or covers two thirds of it */
    private static BufferedImage stamped(String value, Color ink, int dpi, boolean glassy, Random r) {
        BufferedImage page = Scanner.scan(
                pen -> {
                    pen.text(20, 60, 11, "Vessel registration").text(60, 60, 12, value);
                    for (int line = 0; line < 10; line++) {
                        pen.text(
                                20,
                                100 + 9 * line,
                                11,
                                "The applicant asks for the berth named above until the end of May");
                    }
                },
                Scanner.Setting.flat(Scanner.Mode.COLOUR, dpi),
                r);
        BufferedImage stamp = new BufferedImage(page.getWidth(), page.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        double angle = (r.nextDouble() - 0.5) * 20;
        double dx = (r.nextDouble() - 0.5) * 12;
        double dy = (r.nextDouble() - 0.5) * 5;
        Wear.draw(stamp, dpi, g -> {
            g.setColor(Color.WHITE);
            g.fill(new Rectangle2D.Double(0, 0, 210, 297));
            g.translate(78 + dx, 58 + dy);
            g.rotate(Math.toRadians(angle));
            g.setColor(ink);
            g.setStroke(new BasicStroke(1));
            g.draw(new Rectangle2D.Double(-28, -7, 56, 14));
            g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 1).deriveFont(8f));
            g.drawString(r.nextBoolean() ? "RECEIVED" : "HARBOUR", -24, 3);
        });
        for (int y = 0; y < page.getHeight(); y++) {
            for (int x = 0; x < page.getWidth(); x++) {
                int s = stamp.getRGB(x, y);
                if ((s & 0xFFFFFF) != 0xFFFFFF) {
                    page.setRGB(x, y, mixed(page.getRGB(x, y), s, glassy));
                }
            }
        }
        return page;
    }

    private static int mixed(int paper, int ink, boolean glassy) {
        int out = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            int p = (paper >> shift) & 0xFF;
            int s = (ink >> shift) & 0xFF;
            int v = glassy ? p * s / 255 : (p + 2 * s) / 3;
            out |= v << shift;
        }
        return out;
    }
}
