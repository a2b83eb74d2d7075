package jalon.demo;

import java.util.Random;

/** What goes wrong on paper. */
final class Mistakes {
    private Mistakes() {}

    /** Two neighbouring digits of the number changed places. */
    static String swapped(String registration) {
        char[] c = registration.toCharArray();
        for (int i = 3; i < 6; i++) {
            if (c[i] != c[i + 1]) {
                char kept = c[i];
                c[i] = c[i + 1];
                c[i + 1] = kept;
                break;
            }
        }
        return new String(c);
    }

    /** A pen run over a value. */
    static void scribble(Pen pen, double x, double y, double width, Random r) {
        double at = x;
        double level = y;
        while (at < x + width) {
            double next = at + 2 + 2 * r.nextDouble();
            double to = y + 5 * r.nextDouble();
            pen.line(at, level, next, to, 0.5);
            at = next;
            level = to;
        }
    }
}
