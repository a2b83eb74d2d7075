package jalon.bench.codes;

import jalon.bench.paper.Leaf;
import jalon.demo.Scanner;
import jalon.demo.Wear;
import java.awt.Font;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Separator sheets with a patch code along their leading edge. */
final class PatchPaper {
    private static final List<Map.Entry<String, String>> CODES = List.of(
            Map.entry("1", "WNNW"),
            Map.entry("2", "WNWN"),
            Map.entry("3", "NNWW"),
            Map.entry("4", "WWNN"),
            Map.entry("6", "NWWN"),
            Map.entry("T", "NWNW"));

    record Page(BufferedImage image, int dpi, String code) {}

    private PatchPaper() {}

    static Page page(boolean worn, Random r) {
        var code = CODES.get(r.nextInt(CODES.size()));
        int dpi = new int[] {150, 200, 300}[r.nextInt(3)];
        var leaf = new Leaf(new Font("Liberation Sans", Font.PLAIN, 12));
        double x = 20 + 25 * r.nextDouble();
        double y = 9 + 15 * r.nextDouble();
        double length = 60 + 100 * r.nextDouble();
        leaf.draw(p -> p.patch(x, y, length, code.getValue()));
        if (r.nextBoolean()) {
            leaf.text(30, 140, 16, "Begin a new record behind this sheet");
        }
        double skew = (worn ? 12 : 2) * (r.nextDouble() - 0.5);
        var mode = r.nextInt(3) == 0 ? Scanner.Mode.BITONAL : Scanner.Mode.GREY;
        BufferedImage image =
                Scanner.scan(leaf, new Scanner.Setting(mode, dpi, skew, 0, 0, r.nextInt(4) == 0, r.nextInt(4) == 0), r);
        if (worn && mode == Scanner.Mode.GREY) {
            image = switch (r.nextInt(4)) {
                case 0 -> Wear.faded(image, 0.3 + 0.4 * r.nextDouble());
                case 1 -> Wear.blurred(image, dpi, 0.1 + 0.2 * r.nextDouble());
                case 2 -> Wear.shaded(image, 0.3 + 0.3 * r.nextDouble());
                default -> Wear.draw(image, dpi, g -> Wear.specks(g, 8, 210, 297, r));
            };
        }
        return new Page(image, dpi, code.getKey());
    }
}
