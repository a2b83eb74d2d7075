package jalon.bench;

import jalon.demo.Scanner;
import jalon.demo.Sheet;
import jalon.demo.Wear;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/** Pages that are nearly blank, and pages that are, however they look. */
final class Blanks {
    private Blanks() {}

    /** @param bitonal then even the faintest must be dark enough for a scanner's threshold to leave something */
    static void nearly(Graphics2D g, int kind, boolean bitonal, Random r) {
        double x = 25 + r.nextDouble() * 120;
        double y = 30 + r.nextDouble() * 230;
        int faint = bitonal ? 120 : 195;
        switch (kind) {
            case 0 -> Wear.squiggle(g, x, y, 15 + r.nextDouble() * 40, 0.4, new Color(faint, faint, faint), r);
            case 1 -> Wear.squiggle(g, x, y, 25, 0.35, new Color(30, 30, 90), r);
            case 2 -> {
                g.setColor(new Color(bitonal ? 120 : 190, 60, bitonal ? 60 : 90));
                g.setStroke(new BasicStroke(0.5f));
                g.draw(new Rectangle2D.Double(x, y, 18, 8));
                text(g, x + 2, y + 5.5, 8, "PAID");
            }
            case 3 -> {
                g.setColor(new Color(40, 40, 40));
                text(g, 103, 282, 8 + r.nextInt(4), Integer.toString(1 + r.nextInt(30)));
            }
            default -> {
                int light = bitonal ? 130 : 190;
                g.setColor(new Color(light, light, light));
                text(g, x, y, 9, "see berth " + (char) ('A' + r.nextInt(6)) + "-" + r.nextInt(40));
            }
        }
    }

    static BufferedImage really(BufferedImage page, int dpi, int kind, Sheet other, Random r) {
        switch (kind) {
            case 0 ->
                Wear.draw(page, dpi, g -> {
                    Wear.hole(g, 9, 100 + r.nextDouble() * 10, 5 + r.nextDouble() * 2);
                    Wear.hole(g, 9, 180 + r.nextDouble() * 10, 5 + r.nextDouble() * 2);
                });
            case 1 -> Wear.draw(page, dpi, g -> Wear.edge(g, r.nextInt(4), 0.5 + r.nextDouble() * 4, 210, 297));
            case 2 -> Wear.draw(page, dpi, g -> Wear.specks(g, 0.2 + r.nextDouble(), 210, 297, r));
            case 3 ->
                Wear.showThrough(
                        page,
                        Worn.scan(
                                other,
                                page.getColorModel().getNumComponents() == 1 ? Scanner.Mode.GREY : Scanner.Mode.COLOUR,
                                dpi,
                                0,
                                r),
                        dpi,
                        0.03 + r.nextDouble() * 0.07);
            default ->
                Wear.draw(page, dpi, g -> {
                    int line = 120 + r.nextInt(90);
                    g.setColor(new Color(line, line, line));
                    g.setStroke(new BasicStroke(0.3f));
                    double y = 40 + r.nextDouble() * 40;
                    for (int n = 0; n < 8; n++) {
                        g.draw(new Rectangle2D.Double(20, y + n * 12, 170, 0));
                    }
                });
        }
        return page;
    }

    private static void text(Graphics2D g, double x, double y, double points, String text) {
        AffineTransform before = g.getTransform();
        g.translate(x, y);
        g.scale(25.4 / 72, 25.4 / 72);
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 1).deriveFont((float) points));
        g.drawString(text, 0, 0);
        g.setTransform(before);
    }
}
