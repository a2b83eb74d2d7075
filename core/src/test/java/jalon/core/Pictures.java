package jalon.core;

import jalon.core.image.GrayPlane;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.function.Consumer;

/** Pages drawn for tests, in millimetres. */
public final class Pictures {
    private Pictures() {}

    public static BufferedImage page(int dpi, double degrees, Consumer<Graphics2D> draw) {
        return page(dpi, degrees, BufferedImage.TYPE_BYTE_GRAY, draw);
    }

    public static BufferedImage page(int dpi, double degrees, int type, Consumer<Graphics2D> draw) {
        int w = (int) Math.round(210 * dpi / 25.4);
        int h = (int) Math.round(297 * dpi / 25.4);
        BufferedImage image = new BufferedImage(w, h, type);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, w, h);
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.scale(dpi / 25.4, dpi / 25.4);
        g.rotate(Math.toRadians(degrees), 105, 148.5);
        g.setColor(Color.BLACK);
        draw.accept(g);
        g.dispose();
        return image;
    }

    /** A page of grey, to be measured. */
    public static GrayPlane plane(int dpi, double degrees, Consumer<Graphics2D> draw) {
        return GrayPlane.of(page(dpi, degrees, draw), dpi);
    }

    public static void text(Graphics2D g, double x, double y, double points, String text) {
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 1).deriveFont((float) (points * 25.4 / 72)));
        g.drawString(text, (float) x, (float) y);
    }

    /** Lines of print as a letter has them. */
    public static void letter(Graphics2D g) {
        String[] lines = {
            "The harbour office thanks you for the letter about the berth on the north quay.",
            "Dues for the season are payable within thirty days of the date given above.",
            "A vessel that leaves before the end of the season is charged by the week.",
            "Please keep the registration ready when you telephone, best in the morning."
        };
        for (int i = 0; i < 24; i++) {
            text(g, 25, 40 + i * 8, 11, lines[i % lines.length]);
        }
    }

    public static void patch(Graphics2D g, double x, double y, double length, String bars) {
        double at = y;
        for (char bar : bars.toCharArray()) {
            double thick = bar == 'W' ? 5.08 : 2.032;
            g.fill(new java.awt.geom.Rectangle2D.Double(x, at, length, thick));
            at += thick + 2.032;
        }
    }
}
