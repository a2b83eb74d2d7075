package jalon.bench.paper;

import jalon.demo.Pen;
import jalon.demo.Sheet;
import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/** One side being written, in one typeface. */
public final class Leaf implements Sheet {
    public static final double MM_PER_POINT = 25.4 / 72;
    private static final FontRenderContext FINE = new FontRenderContext(null, true, true);

    private final List<Consumer<Pen>> strokes = new ArrayList<>();
    private final Font face;

    public Leaf(Font face) {
        this.face = face;
    }

    public Font face() {
        return face;
    }

    public static double width(Font face, double points, String text) {
        return face.deriveFont((float) points).getStringBounds(text, FINE).getWidth() * MM_PER_POINT;
    }

    /** @return where the text ends, mm */
    public double text(double x, double y, double points, String text) {
        strokes.add(pen -> pen.face(face).text(x, y, points, text));
        return x + width(face, points, text);
    }

    double bold(double x, double y, double points, String text) {
        strokes.add(pen -> pen.face(face).bold(x, y, points, text));
        return x + width(face.deriveFont(Font.BOLD), points, text);
    }

    /** Written in another hand than the print. */
    double filled(Font hand, double x, double y, double points, String text) {
        strokes.add(pen -> pen.face(hand).text(x, y, points, text));
        return x + width(hand, points, text);
    }

    void right(double right, double y, double points, String text) {
        text(right - width(face, points, text), y, points, text);
    }

    void centred(double middle, double y, double points, String text, boolean bold) {
        double half = width(face.deriveFont(bold ? Font.BOLD : Font.PLAIN), points, text) / 2;
        if (bold) {
            bold(middle - half, y, points, text);
        } else {
            text(middle - half, y, points, text);
        }
    }

    public Leaf draw(Consumer<Pen> stroke) {
        strokes.add(stroke);
        return this;
    }

    void rule(double x1, double y1, double x2, double y2) {
        strokes.add(pen -> pen.line(x1, y1, x2, y2, 0.25));
    }

    void box(double x, double y, double w, double h) {
        strokes.add(pen -> pen.box(x, y, w, h, 0.25));
    }

    @Override
    public void print(Pen pen) {
        strokes.forEach(s -> s.accept(pen));
    }
}
