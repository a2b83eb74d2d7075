package jalon.core.fit;

import jalon.core.page.Box;
import java.util.List;

/**
 * A plane map that keeps shapes: {@code x' = a x - b y + dx}, {@code y' = b x + a y + dy}. Millimetres.
 *
 * @param a cosine of the turn times the scale
 * @param b sine of the turn (clockwise, y down) times the scale
 */
public record Similarity(double a, double b, double dx, double dy) {
    public static final Similarity NONE = new Similarity(1, 0, 0, 0);

    /** A point and where it lies on the other page. */
    public record Pair(double x, double y, double toX, double toY) {}

    public double x(double x, double y) {
        return a * x - b * y + dx;
    }

    public double y(double x, double y) {
        return b * x + a * y + dy;
    }

    public double scale() {
        return Math.hypot(a, b);
    }

    /** Clockwise. */
    public double degrees() {
        return Math.toDegrees(Math.atan2(b, a));
    }

    public double miss(Pair p) {
        return Math.hypot(x(p.x, p.y) - p.toX, y(p.x, p.y) - p.toY);
    }

    /** The box about the mapped middle; for turns so small that it still lies straight. */
    public Box of(Box box) {
        double w = box.width() * scale();
        double h = box.height() * scale();
        double cx = x(box.centreX(), box.centreY());
        double cy = y(box.centreX(), box.centreY());
        return new Box(cx - w / 2, cy - h / 2, w, h);
    }

    public Similarity inverse() {
        double n = a * a + b * b;
        return new Similarity(a / n, -b / n, -(a * dx + b * dy) / n, (b * dx - a * dy) / n);
    }

    /** First the other one, then this. */
    public Similarity after(Similarity first) {
        return new Similarity(
                a * first.a - b * first.b, b * first.a + a * first.b, x(first.dx, first.dy), y(first.dx, first.dy));
    }

    /**
     * The one that two pairs fix, or null where the two points fall together.
     */
    static Similarity through(Pair p, Pair q) {
        double ux = q.x - p.x;
        double uy = q.y - p.y;
        double n = ux * ux + uy * uy;
        if (n == 0) {
            return null;
        }
        double vx = q.toX - p.toX;
        double vy = q.toY - p.toY;
        double a = (ux * vx + uy * vy) / n;
        double b = (ux * vy - uy * vx) / n;
        return new Similarity(a, b, p.toX - (a * p.x - b * p.y), p.toY - (b * p.x + a * p.y));
    }

    /** Least squares; of one pair, or of several at one place, a shift. */
    static Similarity best(List<Pair> pairs) {
        double n = pairs.size();
        double mx = 0;
        double my = 0;
        double tx = 0;
        double ty = 0;
        for (Pair p : pairs) {
            mx += p.x / n;
            my += p.y / n;
            tx += p.toX / n;
            ty += p.toY / n;
        }
        double spread = 0;
        double along = 0;
        double aside = 0;
        for (Pair p : pairs) {
            double ux = p.x - mx;
            double uy = p.y - my;
            double vx = p.toX - tx;
            double vy = p.toY - ty;
            spread += ux * ux + uy * uy;
            along += ux * vx + uy * vy;
            aside += ux * vy - uy * vx;
        }
        double a = spread < 1 ? 1 : along / spread;
        double b = spread < 1 ? 0 : aside / spread;
        return new Similarity(a, b, tx - (a * mx - b * my), ty - (b * mx + a * my));
    }
}
