package jalon.bench;

import jalon.bench.values.ValuesBench;
import jalon.core.image.GrayPlane;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.CubicCurve2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Consumer;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.metadata.IIOMetadataNode;

/**
 * Pages like those of a mixed stack at a small office's machine: black and white at 200 dpi, letters and forms of the values
 * bench, notes, separator sheets, a drawing, and pages with photographs, screened or dithered, beside and under print. Says
 * how many words that a reading of all of it gives are not read by Jalon.
 */
public final class MixedPages {
    private static final int DPI = 200;
    private static final double WELL_READ = 0.85;

    private MixedPages() {}

    /** @param args folder to write pages to, how many, seed */
    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        Path folder = Files.createDirectories(Path.of(args[0]));
        int pages = Integer.parseInt(args[1]);
        long seed = Long.parseLong(args[2]);
        List<BufferedImage> all = pages(pages, seed);
        for (int i = 0; i < all.size(); i++) {
            write(all.get(i), folder.resolve(String.format(Locale.ROOT, "page-%03d.png", i + 1)));
        }
        lost(all);
    }

    private static List<BufferedImage> pages(int n, long seed) {
        List<Sheet> sheets = ValuesBench.sheets(n, seed);
        List<BufferedImage> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Random r = new Random(seed * 1000 + i);
            Sheet text = sheets.get(i);
            BufferedImage grey = switch (i % 10) {
                case 3 -> drawn(MixedPages::note);
                case 6 -> drawn(g -> bars(g, r));
                case 7 -> drawn(g -> drawing(g, r));
                default -> Worn.scan(text, Scanner.Mode.GREY, DPI, r.nextDouble() - 0.5, r);
            };
            if (i % 10 == 9) {
                all.add(photographed(text, r, i % 20 == 9));
            } else {
                all.add(Scanner.bitonal(grey));
            }
        }
        return all;
    }

    /** @param what in millimetres */
    private static BufferedImage drawn(Consumer<Graphics2D> what) {
        var image = new BufferedImage((int) (210 * DPI / 25.4), (int) (297 * DPI / 25.4), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.setColor(Color.BLACK);
        g.scale(DPI / 25.4, DPI / 25.4);
        what.accept(g);
        g.dispose();
        return image;
    }

    private static void note(Graphics2D g) {
        g.setFont(new Font(Font.SERIF, Font.ITALIC, 1).deriveFont(6f));
        g.drawString("Please call back", 30, 60);
        g.drawString("before Thursday", 30, 72);
    }

    private static void bars(Graphics2D g, Random r) {
        double y = 18;
        for (char bar : (r.nextBoolean() ? "WNWN" : "NNWW").toCharArray()) {
            double thick = bar == 'W' ? 5.08 : 2.032;
            g.fill(new Rectangle2D.Double(30, y, 150, thick));
            y += thick + 2.032;
        }
    }

    private static void drawing(Graphics2D g, Random r) {
        g.setStroke(new BasicStroke(0.4f));
        for (int i = 0; i < 60; i++) {
            g.draw(new CubicCurve2D.Double(
                    20 + 170 * r.nextDouble(),
                    30 + 220 * r.nextDouble(),
                    20 + 170 * r.nextDouble(),
                    30 + 220 * r.nextDouble(),
                    20 + 170 * r.nextDouble(),
                    30 + 220 * r.nextDouble(),
                    20 + 170 * r.nextDouble(),
                    30 + 220 * r.nextDouble()));
        }
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 1).deriveFont(4f));
        g.drawString("Quay wall, section at ladder seven", 40, 275);
    }

    /** A page of print with a photograph on its lower half that has a caption below and words on it. */
    private static BufferedImage photographed(Sheet text, Random r, boolean screened) {
        BufferedImage page = Worn.scan(text, Scanner.Mode.GREY, DPI, 0, r);
        double px = DPI / 25.4;
        int left = (int) (20 * px);
        int top = (int) (140 * px);
        int wide = (int) (170 * px);
        int tall = (int) (115 * px);
        BufferedImage photo = photo(wide, tall, r);
        Graphics2D g = page.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, top - (int) (3 * px), page.getWidth(), page.getHeight());
        g.setColor(Color.BLACK);
        g.setFont(new Font(Font.SERIF, Font.PLAIN, (int) (4 * px)));
        g.drawString("The ferry landing in the storm of last November", left, top + tall + (int) (7 * px));
        g.dispose();
        BufferedImage out = Scanner.bitonal(page);
        dots(photo, out, left, top, screened);
        return out;
    }

    private static BufferedImage photo(int wide, int tall, Random r) {
        BufferedImage photo = new BufferedImage(wide, tall, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = photo.createGraphics();
        g.setPaint(new java.awt.GradientPaint(0, 0, new Color(215, 215, 215), 0, tall, new Color(70, 70, 70)));
        g.fillRect(0, 0, wide, tall);
        for (int i = 0; i < 220; i++) {
            int grey = 40 + r.nextInt(180);
            g.setColor(new Color(grey, grey, grey, 90));
            double size = wide * (0.02 + 0.2 * r.nextDouble());
            g.fill(new Ellipse2D.Double(
                    r.nextDouble() * wide, r.nextDouble() * tall, size, size * (0.2 + r.nextDouble())));
        }
        g.dispose();
        return photo;
    }

    /** Screened at 45 degrees, about 80 lines an inch, or dithered (R. Floyd and L. Steinberg, 1976). */
    private static void dots(BufferedImage photo, BufferedImage out, int left, int top, boolean screened) {
        int w = photo.getWidth();
        int h = photo.getHeight();
        double[] rest = new double[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                rest[y * w + x] = photo.getRaster().getSample(x, y, 0);
            }
        }
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                double v = rest[y * w + x];
                boolean white;
                if (screened) {
                    double period = 2 * Math.PI * 80 / DPI;
                    double u = (x + y) * period / Math.sqrt(2);
                    double q = (x - y) * period / Math.sqrt(2);
                    white = v > 127.5 + 63 * (Math.cos(u) + Math.cos(q));
                } else {
                    white = v > 127;
                    double off = v - (white ? 255 : 0);
                    spread(rest, w, h, x + 1, y, off * 7 / 16);
                    spread(rest, w, h, x - 1, y + 1, off * 3 / 16);
                    spread(rest, w, h, x, y + 1, off * 5 / 16);
                    spread(rest, w, h, x + 1, y + 1, off / 16);
                }
                if (left + x < out.getWidth() && top + y < out.getHeight()) {
                    out.setRGB(left + x, top + y, white ? 0xFFFFFFFF : 0xFF000000);
                }
            }
        }
    }

    private static void spread(double[] rest, int w, int h, int x, int y, double off) {
        if (x >= 0 && x < w && y < h) {
            rest[y * w + x] += off;
        }
    }

    private static void write(BufferedImage page, Path file) throws IOException {
        var writer = ImageIO.getImageWritersByFormatName("png").next();
        var meta = writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(page), null);
        var root = new IIOMetadataNode("javax_imageio_png_1.0");
        var phys = new IIOMetadataNode("pHYs");
        String perMetre = Long.toString(Math.round(DPI / 0.0254));
        phys.setAttribute("pixelsPerUnitXAxis", perMetre);
        phys.setAttribute("pixelsPerUnitYAxis", perMetre);
        phys.setAttribute("unitSpecifier", "meter");
        root.appendChild(phys);
        meta.mergeTree("javax_imageio_png_1.0", root);
        try (var out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            writer.write(new IIOImage(page, null, meta));
        } finally {
            writer.dispose();
        }
    }

    private static void lost(List<BufferedImage> pages) {
        int words = 0;
        List<String> lost = new ArrayList<>();
        try (TextReader reader = TesseractReader.open("eng")) {
            for (int i = 0; i < pages.size(); i++) {
                var scan = new Scan(pages.get(i), DPI, true, List.of());
                List<Word> all = reader.read(GrayPlane.of(scan.image(), DPI), TextReader.Layout.PAGE);
                PageFacts seen = ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader);
                if (seen.image().rotation() != 0) {
                    continue;
                }
                for (Word w : all) {
                    if (w.certainty() < WELL_READ
                            || w.text()
                                            .chars()
                                            .filter(Character::isLetterOrDigit)
                                            .count()
                                    < 3) {
                        continue;
                    }
                    words++;
                    if (seen.words().stream().noneMatch(s -> s.box().overlaps(w.box()))) {
                        lost.add("page " + (i + 1) + ": " + w.text());
                    }
                }
            }
        }
        System.out.println(words + " words that a reading of everything gives with certainty; not read at their place: "
                + lost.size() + " " + lost);
    }
}
