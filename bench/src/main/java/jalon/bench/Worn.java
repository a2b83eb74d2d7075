package jalon.bench;

import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Pages as they come from hard use: clean ones of the demo's, to be worn by {@link jalon.demo.Wear}. */
final class Worn {
    static final int[] DPI = {150, 200, 300, 400};

    private Worn() {}

    /** First sides, second sides and half-empty ones of letters, forms and tables. */
    static List<Sheet> sheets(int documents, long seed) {
        List<Sheet> all = new ArrayList<>();
        for (String stream : List.of("dues-letters", "berth-applications", "licence-renewals")) {
            for (List<Sheet> document : Paper.sheets(stream, Harbour.portMerrow(), documents, seed)) {
                document.stream().filter(s -> s != Sheet.BLANK).forEach(all::add);
            }
        }
        return all;
    }

    static Scanner.Mode mode(int i) {
        return Scanner.Mode.values()[i % Scanner.Mode.values().length];
    }

    static BufferedImage scan(Sheet sheet, Scanner.Mode mode, int dpi, double skew, Random r) {
        return Scanner.scan(sheet, new Scanner.Setting(mode, dpi, skew, 0, 0, false, false), r);
    }
}
