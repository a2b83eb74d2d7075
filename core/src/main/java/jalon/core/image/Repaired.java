package jalon.core.image;

import jalon.core.page.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.Stream;

/**
 * A page's image after a recipe.
 *
 * @param straightened degrees clockwise that the print leaned and no longer does; 0 when it was left as it was
 */
public record Repaired(BufferedImage image, double straightened) {

    /**
     * @param received the image, which is not changed
     * @param skewDegrees measured lean of the print, clockwise
     */
    public static Repaired of(BufferedImage received, double dpi, List<Repair> recipe, double skewDegrees) {
        BufferedImage now = received;
        double straightened = 0;
        // Scan edges and corners run along the scanner: once the page is turned they are not found any more.
        List<Repair> inOrder = Stream.concat(
                        recipe.stream().filter(Repair.WhitenEdges.class::isInstance),
                        recipe.stream().filter(step -> !(step instanceof Repair.WhitenEdges)))
                .toList();
        for (Repair step : inOrder) {
            if (step instanceof Repair.Straighten) {
                now = turned(now, -skewDegrees, dpi);
                straightened += skewDegrees;
            } else {
                now = after(step, now, dpi);
            }
        }
        return new Repaired(now, straightened);
    }

    private static BufferedImage after(Repair step, BufferedImage image, double dpi) {
        if (step instanceof Repair.DropColour drop) {
            ColourDrop.Ink ink = ColourDrop.inkOf(image, drop.colour() == null ? Colour.ANY : drop.colour());
            return ink == null ? image : ColourDrop.without(image, ink, ColourDrop.Lies.LIKE_GLASS);
        }
        if (step instanceof Repair.Sharpen) {
            return Tones.sharpened(image, dpi);
        }
        GrayPlane full = GrayPlane.of(image);
        InkMap map = new InkMap(full.small(dpi), full.width() * 25.4 / dpi);
        if (step instanceof Repair.Levels levels) {
            return Tones.levels(image, levels.brightness(), levels.contrast(), map.paper);
        }
        if (step instanceof Repair.EvenLight) {
            return Tones.evened(image, map);
        }
        if (step instanceof Repair.Bitonal) {
            return Bitonals.of(full, map);
        }
        BufferedImage out = copy(image);
        Color paper = paperOf(image, map.paper);
        if (step instanceof Repair.CleanSpecks) {
            int rgb = paper.getRGB();
            Specks.each(map, full, dpi, (x, y, w, h) -> {
                for (int v = Math.max(0, y - 1); v < Math.min(out.getHeight(), y + h + 1); v++) {
                    for (int u = Math.max(0, x - 1); u < Math.min(out.getWidth(), x + w + 1); u++) {
                        out.setRGB(u, v, rgb);
                    }
                }
            });
            return out;
        }
        Graphics2D g = out.createGraphics();
        g.scale(dpi / 25.4, dpi / 25.4);
        g.setColor(paper);
        if (step instanceof Repair.FillHoles) {
            // A little more than the hole: its rim is grey.
            for (Box hole : PunchHoles.in(map)) {
                Box all = hole.grown(0.5);
                g.fill(new Ellipse2D.Double(all.x(), all.y(), all.width(), all.height()));
            }
        } else {
            List<Corners.Corner> corners = Corners.in(map);
            for (ScanEdges.Edge edge : ScanEdges.in(map, corners)) {
                Box all = edge.where().grown(0.3);
                g.fill(new Rectangle2D.Double(all.x(), all.y(), all.width(), all.height()));
            }
            g.setStroke(new BasicStroke(1));
            for (Corners.Corner corner : corners) {
                g.fill(Corners.triangle(corner, map.mm(map.width), map.mm(map.height)));
                g.draw(Corners.triangle(corner, map.mm(map.width), map.mm(map.height)));
            }
        }
        g.dispose();
        return out;
    }

    /** The mean colour of what is as bright as the paper. */
    private static Color paperOf(BufferedImage image, int paper) {
        if (image.getColorModel().getPixelSize() == 1) {
            return Color.WHITE;
        }
        long[] sum = new long[3];
        long n = 0;
        for (int y = 3; y < image.getHeight(); y += Math.max(1, image.getHeight() / 60)) {
            for (int x = 3; x < image.getWidth(); x += Math.max(1, image.getWidth() / 60)) {
                Color c = new Color(image.getRGB(x, y));
                if ((77 * c.getRed() + 150 * c.getGreen() + 29 * c.getBlue()) >> 8 >= paper - 12) {
                    sum[0] += c.getRed();
                    sum[1] += c.getGreen();
                    sum[2] += c.getBlue();
                    n++;
                }
            }
        }
        return n == 0
                ? new Color(paper, paper, paper)
                : new Color((int) (sum[0] / n), (int) (sum[1] / n), (int) (sum[2] / n));
    }

    private static BufferedImage blank(BufferedImage image) {
        return switch (image.getType()) {
            case BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_3BYTE_BGR ->
                new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
            case BufferedImage.TYPE_BYTE_BINARY ->
                new BufferedImage(
                        image.getWidth(),
                        image.getHeight(),
                        image.getColorModel().getPixelSize() == 1
                                ? BufferedImage.TYPE_BYTE_BINARY
                                : BufferedImage.TYPE_BYTE_GRAY);
            default ->
                new BufferedImage(
                        image.getWidth(),
                        image.getHeight(),
                        image.getColorModel().getNumColorComponents() < 3
                                ? BufferedImage.TYPE_BYTE_GRAY
                                : BufferedImage.TYPE_3BYTE_BGR);
        };
    }

    private static BufferedImage copy(BufferedImage image) {
        BufferedImage out = blank(image);
        Graphics2D g = out.createGraphics();
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return out;
    }

    /** Turned about its middle, same size, new corners of paper. @param degrees clockwise */
    private static BufferedImage turned(BufferedImage image, double degrees, double dpi) {
        BufferedImage out = blank(image);
        Graphics2D g = out.createGraphics();
        GrayPlane full = GrayPlane.of(image);
        g.setColor(paperOf(image, new InkMap(full.small(dpi), full.width() * 25.4 / dpi).paper));
        g.fillRect(0, 0, out.getWidth(), out.getHeight());
        boolean bitonal = image.getColorModel().getPixelSize() == 1;
        g.setRenderingHint(
                RenderingHints.KEY_INTERPOLATION,
                bitonal
                        ? RenderingHints.VALUE_INTERPOLATION_NEAREST_NEIGHBOR
                        : RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.rotate(Math.toRadians(degrees), image.getWidth() / 2.0, image.getHeight() / 2.0);
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return out;
    }
}
