package jalon.core.page;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;

/** Whole-image turns and the squaring of fax pixels. */
public final class Pixels {
    private Pixels() {}

    /** The image turned clockwise by a multiple of 90 degrees; the same image for 0. */
    public static BufferedImage turned(BufferedImage image, int degrees) {
        int turn = Math.floorMod(degrees, 360);
        if (turn == 0) {
            return image;
        }
        int w = image.getWidth();
        int h = image.getHeight();
        boolean sideways = turn != 180;
        BufferedImage out = sameKind(image, sideways ? h : w, sideways ? w : h);
        Graphics2D g = out.createGraphics();
        var at = new AffineTransform();
        at.translate(out.getWidth() / 2.0, out.getHeight() / 2.0);
        at.quadrantRotate(turn / 90);
        at.translate(-w / 2.0, -h / 2.0);
        g.drawImage(image, at, null);
        g.dispose();
        return out;
    }

    /** Fax pages have more columns than rows per inch; this stretches the poorer direction so that pixels are square. */
    static BufferedImage square(BufferedImage image, Resolution r) {
        if (Math.abs(r.x() - r.y()) < 0.02 * r.x()) {
            return image;
        }
        double best = Math.max(r.x(), r.y());
        int w = (int) Math.round(image.getWidth() * best / r.x());
        int h = (int) Math.round(image.getHeight() * best / r.y());
        BufferedImage out = sameKind(image, w, h);
        Graphics2D g = out.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_NEAREST_NEIGHBOR);
        g.drawImage(image, 0, 0, w, h, null);
        g.dispose();
        return out;
    }

    private static BufferedImage sameKind(BufferedImage image, int w, int h) {
        return switch (image.getType()) {
            case BufferedImage.TYPE_BYTE_BINARY, BufferedImage.TYPE_BYTE_GRAY ->
                new BufferedImage(w, h, image.getType());
            default -> new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
        };
    }
}
