package jalon.demo;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.util.Random;
import java.util.function.Consumer;

/** What hard use and hurried scanning do to a page, each by a known amount; places in millimetres. */
public final class Wear {
    private Wear() {}

    /** Draws in millimetres on a scan. */
    public static BufferedImage draw(BufferedImage image, double dpi, Consumer<Graphics2D> what) {
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(dpi / 25.4, dpi / 25.4);
        what.accept(g);
        g.dispose();
        return image;
    }

    public static Rectangle2D edge(Graphics2D g, int side, double depth, double width, double height) {
        g.setColor(new Color(25, 25, 25));
        Rectangle2D box = switch (side) {
            case 0 -> new Rectangle2D.Double(0, 0, depth, height);
            case 1 -> new Rectangle2D.Double(width - depth, 0, depth, height);
            case 2 -> new Rectangle2D.Double(0, 0, width, depth);
            default -> new Rectangle2D.Double(0, height - depth, width, depth);
        };
        g.fill(new Rectangle2D.Double(box.getX(), box.getY(), box.getWidth(), box.getHeight()));
        return box;
    }

    public static Rectangle2D hole(Graphics2D g, double x, double y, double across) {
        g.setColor(new Color(35, 35, 35));
        g.fill(new Ellipse2D.Double(x, y, across, across));
        return new Rectangle2D.Double(x, y, across, across);
    }

    public static Rectangle2D corner(
            Graphics2D g, int corner, double across, double down, double width, double height) {
        g.setColor(new Color(25, 25, 25));
        double x = corner % 2 == 0 ? 0 : width;
        double y = corner < 2 ? 0 : height;
        double dx = corner % 2 == 0 ? across : -across;
        double dy = corner < 2 ? down : -down;
        Path2D triangle = new Path2D.Double();
        triangle.moveTo(x, y);
        triangle.lineTo(x + dx, y);
        triangle.lineTo(x, y + dy);
        triangle.closePath();
        g.fill(triangle);
        return new Rectangle2D.Double(Math.min(x, x + dx), Math.min(y, y + dy), across, down);
    }

    public static void specks(Graphics2D g, double perCm2, double width, double height, Random r) {
        g.setColor(new Color(30, 30, 30));
        for (int n = 0; n < perCm2 * width * height / 100; n++) {
            double size = 0.18 + r.nextDouble() * 0.2;
            g.fill(new Ellipse2D.Double(r.nextDouble() * width, r.nextDouble() * height, size, size));
        }
    }

    /** A squiggle such as a signature or a pencil note. */
    public static void squiggle(Graphics2D g, double x, double y, double length, double stroke, Color ink, Random r) {
        g.setColor(ink);
        g.setStroke(new BasicStroke((float) stroke, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        Path2D path = new Path2D.Double();
        path.moveTo(x, y);
        for (double at = 0; at < length; at += 3) {
            path.quadTo(x + at + 1, y - 2 - 4 * r.nextDouble(), x + at + 3, y + 2 * r.nextDouble());
        }
        g.draw(path);
    }

    /** Blurred by a Gaussian. @param sigmaMm its width */
    public static BufferedImage blurred(BufferedImage image, double dpi, double sigmaMm) {
        double sigma = sigmaMm * dpi / 25.4;
        int reach = Math.max(1, (int) Math.ceil(3 * sigma));
        float[] k = new float[2 * reach + 1];
        float sum = 0;
        for (int i = -reach; i <= reach; i++) {
            k[i + reach] = (float) Math.exp(-i * i / (2 * sigma * sigma));
            sum += k[i + reach];
        }
        for (int i = 0; i < k.length; i++) {
            k[i] /= sum;
        }
        BufferedImage once =
                new ConvolveOp(new Kernel(k.length, 1, k), ConvolveOp.EDGE_NO_OP, null).filter(image, null);
        return new ConvolveOp(new Kernel(1, k.length, k), ConvolveOp.EDGE_NO_OP, null).filter(once, null);
    }

    /** The picture drawn over white, so that its ink is fainter. @param strength 1 as it is to 0 nothing left */
    public static BufferedImage faded(BufferedImage image, double strength) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
        Graphics2D g = out.createGraphics();
        g.setColor(new Color(247, 247, 247));
        g.fillRect(0, 0, out.getWidth(), out.getHeight());
        g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, (float) strength));
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return out;
    }

    /** A shadow from one side. @param depth share of the brightness lost at the darkest side */
    public static BufferedImage shaded(BufferedImage image, double depth) {
        Graphics2D g = image.createGraphics();
        g.setPaint(new java.awt.GradientPaint(
                0, 0, new Color(0, 0, 0, 0), image.getWidth(), image.getHeight() / 2f, new Color(0, 0, 0, (int)
                        (255 * depth))));
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.dispose();
        return image;
    }

    /** The other side showing through: mirrored, soft and faint. @param strength share of its darkness */
    public static BufferedImage showThrough(BufferedImage blank, BufferedImage other, double dpi, double strength) {
        BufferedImage soft = blurred(other, dpi, 0.25);
        Graphics2D g = blank.createGraphics();
        g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, (float) strength));
        g.drawImage(soft, blank.getWidth(), 0, -blank.getWidth(), blank.getHeight(), null);
        g.dispose();
        return blank;
    }
}
