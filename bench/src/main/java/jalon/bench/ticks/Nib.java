package jalon.bench.ticks;

import java.awt.Color;
import java.awt.geom.Path2D;
import java.util.Random;

/**
 * One person's way of marking boxes: a pen and a habit.
 *
 * @param width of its line, mm
 */
record Nib(Habit habit, double width, Color ink, double haste) {
    enum Habit {
        TICK,
        CROSS,
        SLASH,
        DOT,
        FILL
    }

    static Nib any(Random r) {
        int brightness = switch (r.nextInt(4)) {
            case 0 -> 105 + r.nextInt(30);
            case 1 -> 50 + r.nextInt(40);
            default -> r.nextInt(30);
        };
        Color ink = r.nextBoolean()
                ? new Color(brightness, brightness, brightness)
                : new Color(brightness / 2, brightness * 2 / 3, Math.min(255, brightness + 90));
        return new Nib(Habit.values()[r.nextInt(5)], 0.3 + 0.55 * r.nextDouble(), ink, r.nextDouble());
    }

    /** What it leaves in a box. */
    Path2D mark(double x, double y, double size, Random r) {
        var path = new Path2D.Double();
        double out = 0.35 * haste;
        switch (habit) {
            case TICK -> {
                path.moveTo(x + size * at(r, 0.1, 0.2), y + size * at(r, 0.5, 0.2));
                path.lineTo(x + size * at(r, 0.4, 0.15), y + size * at(r, 0.85, 0.15));
                path.quadTo(
                        x + size * 0.6,
                        y + size * 0.5,
                        x + size * (0.9 + out * r.nextDouble() * 1.5),
                        y - size * out * 1.5 * r.nextDouble());
            }
            case CROSS -> {
                path.moveTo(x + size * at(r, 0.1 - out, 0.2), y + size * at(r, 0.1 - out, 0.2));
                path.lineTo(x + size * at(r, 0.9 + out, 0.2), y + size * at(r, 0.9 + out, 0.2));
                path.moveTo(x + size * at(r, 0.9 + out, 0.2), y + size * at(r, 0.1 - out, 0.2));
                path.lineTo(x + size * at(r, 0.1 - out, 0.2), y + size * at(r, 0.9 + out, 0.2));
            }
            case SLASH -> {
                path.moveTo(x + size * at(r, 0.15 - out, 0.2), y + size * at(r, 0.9 + out, 0.2));
                path.lineTo(x + size * at(r, 0.85 + out, 0.2), y + size * at(r, 0.1 - out, 0.2));
            }
            case DOT -> zigzag(path, x + size * at(r, 0.3, 0.1), y + size * at(r, 0.3, 0.1), size * 0.4, r);
            case FILL -> zigzag(path, x + size * 0.04, y + size * 0.04, size * at(r, 0.95, 0.1), r);
        }
        return path;
    }

    /** A line through a box and out of it on both sides. */
    static Path2D struck(double x, double y, double size, Random r) {
        var path = new Path2D.Double();
        path.moveTo(x - size * (0.7 + r.nextDouble()), y + size * at(r, 0.5, 0.3));
        path.quadTo(
                x + size / 2,
                y + size * at(r, 0.5, 0.3),
                x + size * (1.7 + 2 * r.nextDouble()),
                y + size * at(r, 0.5, 0.3));
        return path;
    }

    /** Made black so that nobody can say what was there. */
    void blacken(Path2D path, double x, double y, double size, Random r) {
        zigzag(path, x - size * 0.05, y - size * 0.05, size * 1.1, r);
    }

    private void zigzag(Path2D path, double x, double y, double size, Random r) {
        path.moveTo(x, y);
        boolean right = true;
        for (double down = 0; down <= size; down += width * 0.8) {
            path.lineTo(x + (right ? size : 0) + 0.15 * r.nextDouble(), y + down);
            right = !right;
        }
    }

    private static double at(Random r, double about, double give) {
        return about + give * (r.nextDouble() - 0.5);
    }
}
