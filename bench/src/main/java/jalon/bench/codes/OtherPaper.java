package jalon.bench.codes;

import jalon.bench.paper.Leaf;
import jalon.bench.paper.MixedPaper;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.awt.Font;
import java.awt.image.BufferedImage;
import java.util.Random;

/** Pages without any code: ordinary paper, and what bars and cells are seen in that are none. */
final class OtherPaper {
    private OtherPaper() {}

    static BufferedImage page(int dpi, Random r) {
        Sheet sheet = r.nextInt(3) > 0 ? ordinary(r) : trap(r);
        var mode = r.nextInt(3) == 0 ? Scanner.Mode.BITONAL : Scanner.Mode.GREY;
        return Scanner.scan(sheet, Scanner.Setting.feeder(mode, dpi, r), r);
    }

    private static Sheet ordinary(Random r) {
        var pages = new MixedPaper(r).document(r).pages();
        return pages.get(r.nextInt(pages.size()));
    }

    private static Sheet trap(Random r) {
        var leaf = new Leaf(new Font("Liberation Serif", Font.PLAIN, 12));
        int marks = 2 + r.nextInt(4);
        for (int i = 0; i < marks; i++) {
            double x = 15 + 100 * r.nextDouble();
            double y = 20 + 60.0 * i;
            switch (r.nextInt(7)) {
                case 0 -> comb(leaf, x, y, r);
                case 1 -> hatching(leaf, x, y, r);
                case 2 -> chart(leaf, x, y, r);
                case 3 -> leaf.text(15, y, 24 + 30 * r.nextDouble(), "IIIlllIl1I|||HIIH|lI".substring(r.nextInt(6)));
                case 4 -> bars(leaf, x, y, r);
                case 5 -> chequers(leaf, x, y, r);
                default -> barsLikePatch(leaf, x, y, r);
            }
        }
        return leaf;
    }

    /** Cells for single letters, some filled. */
    private static void comb(Leaf leaf, double x, double y, Random r) {
        double cell = 2 + 4 * r.nextDouble();
        for (int i = 0; i < 14; i++) {
            double at = x + i * cell;
            double thick = 0.2 + 0.3 * r.nextInt(2);
            leaf.draw(p -> p.line(at, y, at, y + 7, thick));
        }
        leaf.draw(p -> p.line(x, y + 7, x + 13 * cell, y + 7, 0.3));
    }

    private static void hatching(Leaf leaf, double x, double y, Random r) {
        double step = 0.6 + 2 * r.nextDouble();
        double lean = 6 * r.nextDouble();
        for (double at = 0; at < 60; at += step) {
            double from = x + at;
            leaf.draw(p -> p.line(from, y, from + lean, y + 25, 0.3));
        }
    }

    private static void chart(Leaf leaf, double x, double y, Random r) {
        for (int i = 0; i < 24; i++) {
            double h = 5 + 30 * r.nextDouble();
            double at = x + 3 * i;
            double w = 1 + r.nextDouble();
            leaf.draw(p -> p.fill(at, y + 40 - h, w, h));
        }
    }

    /** Bars of chance that no kind of code has. */
    private static void bars(Leaf leaf, double x, double y, Random r) {
        double at = x;
        while (at < x + 50) {
            double from = at;
            double w = 0.25 + 1.2 * r.nextDouble();
            leaf.draw(p -> p.fill(from, y, w, 12));
            at += w + 0.25 + 1.2 * r.nextDouble();
        }
    }

    private static void chequers(Leaf leaf, double x, double y, Random r) {
        double cell = 0.6 + 1.5 * r.nextDouble();
        for (int i = 0; i < 20; i++) {
            for (int j = 0; j < 20; j++) {
                if (r.nextBoolean()) {
                    double cx = x + i * cell;
                    double cy = y + j * cell;
                    leaf.draw(p -> p.fill(cx, cy, cell, cell));
                }
            }
        }
    }

    /** Four thick bars, as a table's head has them, in no order that means something. */
    private static void barsLikePatch(Leaf leaf, double x, double y, Random r) {
        double at = y;
        for (int i = 0; i < 4; i++) {
            double from = at;
            double thick = 2 + 4 * r.nextDouble();
            double length = 40 + 40 * r.nextDouble();
            leaf.draw(p -> p.fill(x, from, length, thick));
            at += thick + 1 + 4 * r.nextDouble();
        }
    }
}
