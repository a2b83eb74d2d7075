package jalon.bench.values;

import jalon.bench.paper.Leaf;
import jalon.demo.Pen;
import java.awt.Color;
import java.awt.Font;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;

/** One side being written: what is printed, in order, and where the values lie. */
final class Ground {
    private final Map<String, Rectangle2D> places = new LinkedHashMap<>();
    private final Leaf leaf;

    Ground(Font face) {
        leaf = new Leaf(face);
    }

    /** @return where the text ends, mm */
    double text(double x, double y, double points, String text) {
        return leaf.text(x, y, points, text);
    }

    double width(double points, String text) {
        return Leaf.width(leaf.face(), points, text);
    }

    /** Text whose place is kept under a name. */
    double value(String name, double x, double y, double points, String text) {
        double end = text(x, y, points, text);
        double up = points * Leaf.MM_PER_POINT;
        places.put(name, new Rectangle2D.Double(x, y - 0.8 * up, end - x, up));
        return end;
    }

    void right(String name, double right, double y, double points, String text) {
        double x = right - width(points, text);
        if (name == null) {
            text(x, y, points, text);
        } else {
            value(name, x, y, points, text);
        }
    }

    void draw(Consumer<Pen> stroke) {
        leaf.draw(stroke);
    }

    Rectangle2D place(String name) {
        return places.get(name);
    }

    /** Nobody can read it any more. */
    void blot(String name, Random r) {
        Rectangle2D at = places.get(name);
        if (at == null) {
            return;
        }
        List<double[]> lines = new ArrayList<>();
        for (double x = at.getX() - 1; x < at.getMaxX() + 1; x += 0.9) {
            lines.add(
                    new double[] {x, at.getY() - 0.5 - r.nextDouble(), x + r.nextDouble(), at.getMaxY() + r.nextDouble()
                    });
        }
        leaf.draw(pen -> lines.forEach(l -> pen.line(l[0], l[1], l[2], l[3], 0.9)));
    }

    /** An inked stamp across it. */
    void stamp(String name, Color ink, String word, Random r) {
        Rectangle2D at = places.get(name);
        if (at != null) {
            double dx = r.nextDouble() * 6;
            double degrees = (r.nextDouble() - 0.5) * 16;
            leaf.draw(pen -> pen.stamp(at.getX() - dx, at.getCenterY() - 5.5, degrees, ink, word));
        }
    }

    void print(Pen pen) {
        leaf.print(pen);
    }
}
