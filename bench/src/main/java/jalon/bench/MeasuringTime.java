package jalon.bench;

import jalon.core.image.GrayPlane;
import jalon.core.image.PageCheck;
import jalon.core.image.Skew;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;

/** What the measures cost beside reading the same pages. */
final class MeasuringTime {
    private static final int PAGES = 12;

    private MeasuringTime() {}

    static void rows(Table table, List<Sheet> sheets) {
        table.title("Time of all measures against reading the page", "pages", "measures ms", "reading ms", "ratio");
        try (var readers = new TextReaders(1, TesseractReader::open);
                TextReader reader = readers.borrow("eng")) {
            for (Scanner.Mode mode : Scanner.Mode.values()) {
                double measuring = 0;
                double reading = 0;
                for (int i = 0; i < PAGES + 3; i++) {
                    BufferedImage image = Worn.scan(sheets.get(i * 5 % sheets.size()), mode, 300, 0, new Random(i));
                    GrayPlane full = GrayPlane.of(image, 300);
                    GrayPlane small = full.small();
                    long start = System.nanoTime();
                    PageCheck.of(full, small, mode == Scanner.Mode.BITONAL);
                    Skew.of(small);
                    long between = System.nanoTime();
                    reader.read(full.rotated(0, 2 / 3.0), TextReader.Layout.PAGE);
                    long end = System.nanoTime();
                    // The first pages warm the compiler up.
                    if (i >= 3) {
                        measuring += (between - start) / 1e6 / PAGES;
                        reading += (end - between) / 1e6 / PAGES;
                    }
                }
                table.row(mode + ", 300 dpi, read at 200", measuring, reading, measuring / reading);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
