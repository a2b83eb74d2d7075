package jalon.core.image;

import jalon.core.page.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;

/**
 * The picture of a page while a recipe is worked through. Where edges, holes and specks are and how bright the paper is
 * gets found once, and again only after a step that moved or recoloured the page.
 */
final class Repairing {
    private final double dpi;
    private BufferedImage image;
    private GrayPlane full;
    private InkMap map;

    /** @param received is not changed */
    Repairing(BufferedImage received, double dpi) {
        this.image = received;
        this.dpi = dpi;
    }

    BufferedImage image() {
        return image;
    }

    void step(Repair step) {
        if (step instanceof Repair.DropColour drop) {
            ColourDrop.Ink ink = ColourDrop.inkOf(image, drop.colour() == null ? Colour.ANY : drop.colour());
            if (ink != null) {
                becomes(ColourDrop.without(image, ink, ColourDrop.Lies.LIKE_GLASS));
            }
        } else if (step instanceof Repair.Sharpen) {
            becomes(Tones.sharpened(image, dpi));
        } else if (step instanceof Repair.Levels levels) {
            becomes(Tones.levels(image, levels.brightness(), levels.contrast(), map().paper));
        } else if (step instanceof Repair.EvenLight) {
            becomes(Tones.evened(image, map()));
        } else if (step instanceof Repair.Bitonal) {
            becomes(Bitonals.of(full(), map()));
        } else if (step instanceof Repair.CleanSpecks) {
            painted(withoutSpecks());
        } else if (step instanceof Repair.FillHoles) {
            painted(withoutHoles());
        } else {
            painted(withoutEdges());
        }
    }

    /** About the middle, same size, new corners of paper. @param degrees clockwise */
    void turn(double degrees) {
        BufferedImage plain = isPlain(image) ? image : copy(image);
        Color paper = paperOf(plain, map().paper);
        int[] around = plain.getType() == BufferedImage.TYPE_3BYTE_BGR
                ? new int[] {paper.getBlue(), paper.getGreen(), paper.getRed()}
                : new int[] {paper.getRed()};
        becomes(Turned.of(plain, degrees, around));
    }

    /** Moved or recoloured: all is to be found anew. */
    private void becomes(BufferedImage other) {
        painted(other);
        map = null;
    }

    /** The same page with some of it painted over. */
    private void painted(BufferedImage other) {
        image = other;
        full = null;
    }

    private GrayPlane full() {
        if (full == null) {
            full = GrayPlane.of(image);
        }
        return full;
    }

    private InkMap map() {
        if (map == null) {
            map = new InkMap(full().small(dpi), full().width() * 25.4 / dpi);
        }
        return map;
    }

    private BufferedImage withoutSpecks() {
        BufferedImage out = copy(image);
        int rgb = paperOf(image, map().paper).getRGB();
        Specks.each(map(), full(), dpi, (x, y, w, h) -> {
            for (int v = Math.max(0, y - 1); v < Math.min(out.getHeight(), y + h + 1); v++) {
                for (int u = Math.max(0, x - 1); u < Math.min(out.getWidth(), x + w + 1); u++) {
                    out.setRGB(u, v, rgb);
                }
            }
        });
        return out;
    }

    private BufferedImage withoutHoles() {
        BufferedImage out = copy(image);
        Graphics2D g = painting(out);
        // A little more than the hole: its rim is grey.
        for (Box hole : PunchHoles.in(map())) {
            Box all = hole.grown(0.5);
            g.fill(new Ellipse2D.Double(all.x(), all.y(), all.width(), all.height()));
        }
        g.dispose();
        return out;
    }

    private BufferedImage withoutEdges() {
        BufferedImage out = copy(image);
        Graphics2D g = painting(out);
        List<Corners.Corner> corners = Corners.in(map());
        for (ScanEdges.Edge edge : ScanEdges.in(map(), corners)) {
            Box all = edge.where().grown(0.3);
            g.fill(new Rectangle2D.Double(all.x(), all.y(), all.width(), all.height()));
        }
        g.setStroke(new BasicStroke(1));
        for (Corners.Corner corner : corners) {
            g.fill(Corners.triangle(corner, map().mm(map().width), map().mm(map().height)));
            g.draw(Corners.triangle(corner, map().mm(map().width), map().mm(map().height)));
        }
        g.dispose();
        return out;
    }

    /** Millimetres, in the colour of the paper. */
    private Graphics2D painting(BufferedImage out) {
        Graphics2D g = out.createGraphics();
        g.scale(dpi / 25.4, dpi / 25.4);
        g.setColor(paperOf(image, map().paper));
        return g;
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

    /** Whether it is of a kind that {@link #blank} makes, with all of its pixels its own. */
    private static boolean isPlain(BufferedImage image) {
        return image.getRaster().getParent() == null
                && switch (image.getType()) {
                    case BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_3BYTE_BGR -> true;
                    case BufferedImage.TYPE_BYTE_BINARY -> image.getColorModel().getPixelSize() == 1;
                    default -> false;
                };
    }
}
