package jalon.demo;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.util.Random;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Draws on a sheet in millimetres from its top left corner. */
public final class Pen {
    private static final Font PRINT = load();
    private static final double MM_PER_POINT = 25.4 / 72;

    private final Graphics2D g;
    private Font face = PRINT;

    Pen(Graphics2D g) {
        this.g = g;
    }

    /** Liberation Sans, which comes with the PDF library, so that no font of the machine is needed. */
    private static Font load() {
        try (InputStream in =
                PDDocument.class.getResourceAsStream("/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf")) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException | FontFormatException e) {
            throw new IllegalStateException("the font of the PDF library is missing", e);
        }
    }

    /** @param baseline mm from the top */
    public Pen text(double x, double baseline, double points, String text) {
        return text(x, baseline, points, text, Font.PLAIN);
    }

    public Pen bold(double x, double baseline, double points, String text) {
        return text(x, baseline, points, text, Font.BOLD);
    }

    private Pen text(double x, double baseline, double points, String text, int style) {
        AffineTransform before = g.getTransform();
        g.translate(x, baseline);
        g.scale(MM_PER_POINT, MM_PER_POINT);
        g.setFont(face.deriveFont(style, (float) points));
        g.drawString(text, 0, 0);
        g.setTransform(before);
        return this;
    }

    /** What is written from now on is in this typeface. */
    public Pen face(Font typeface) {
        face = typeface;
        return this;
    }

    public Pen ink(Color colour) {
        g.setColor(colour);
        return this;
    }

    public Pen line(double x1, double y1, double x2, double y2, double width) {
        g.setStroke(new BasicStroke((float) width));
        g.draw(new java.awt.geom.Line2D.Double(x1, y1, x2, y2));
        return this;
    }

    public Pen box(double x, double y, double w, double h, double width) {
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Rectangle2D.Double(x, y, w, h));
        return this;
    }

    public Pen fill(double x, double y, double w, double h) {
        g.fill(new Rectangle2D.Double(x, y, w, h));
        return this;
    }

    /** A line of any shape, as a round nib draws it. */
    public Pen stroke(Shape shape, double width) {
        g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(shape);
        return this;
    }

    /** A barcode with its quiet zone inside the given width. */
    public Pen barcode(BarcodeFormat kind, double x, double y, double w, double h, String value) {
        try {
            BitMatrix bars = new com.google.zxing.MultiFormatWriter().encode(value, kind, 0, 0);
            double cell = w / bars.getWidth();
            boolean rows =
                    bars.getHeight() > 1 && kind != BarcodeFormat.CODE_128 && bars.getHeight() == bars.getWidth();
            double cellH = rows ? h / bars.getHeight() : h;
            for (int row = 0; row < (rows ? bars.getHeight() : 1); row++) {
                for (int i = 0; i < bars.getWidth(); i++) {
                    if (bars.get(i, row)) {
                        fill(x + i * cell, y + row * cellH, cell, cellH);
                    }
                }
            }
            return this;
        } catch (WriterException e) {
            throw new IllegalArgumentException("no " + kind + " for " + value, e);
        }
    }

    /** A patch code whose first bar from the top is the first one read. Bars W (0.20 in) and N (0.08 in), 0.08 in apart. */
    public Pen patch(double x, double y, double length, String bars) {
        double at = y;
        for (char bar : bars.toCharArray()) {
            double thick = bar == 'W' ? 5.08 : 2.032;
            fill(x, at, length, thick);
            at += thick + 2.032;
        }
        return this;
    }

    /** An inked rubber stamp, a little askew. */
    public Pen stamp(double x, double y, double degrees, Color colour, String text) {
        AffineTransform before = g.getTransform();
        g.translate(x, y);
        g.rotate(Math.toRadians(degrees));
        g.setColor(new Color(colour.getRed(), colour.getGreen(), colour.getBlue(), 150));
        box(0, 0, 12 + 3.4 * text.length(), 11, 0.9);
        bold(5, 8, 15, text);
        g.setTransform(before);
        g.setColor(Color.BLACK);
        return this;
    }

    public Pen signature(double x, double y, Random r) {
        Path2D stroke = new Path2D.Double();
        stroke.moveTo(x, y);
        for (int i = 1; i <= 7; i++) {
            stroke.curveTo(
                    x + 5 * i - 4,
                    y - 7 * r.nextDouble(),
                    x + 5 * i - 2,
                    y + 5 * r.nextDouble(),
                    x + 5 * i,
                    y - 2 * r.nextDouble());
        }
        g.setColor(new Color(20, 30, 110));
        stroke(stroke, 0.35);
        g.setColor(Color.BLACK);
        return this;
    }
}
