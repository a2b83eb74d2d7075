package jalon.core.index;

import com.google.re2j.Pattern;
import jalon.core.stream.Lookalikes;
import jalon.core.stream.Shape;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Makes a misread value what its shape says it can only be: O becomes 0 where a digit stands. */
final class LookalikeMend {
    private static final Pattern SPECKS = Pattern.compile("[^\\pL\\pN/.,_$@€§–—-]");

    /** What is read of one point and a speck beside it. */
    private static final Pattern TWO_POINTS = Pattern.compile("[.,]{2}");

    private LookalikeMend() {}

    /** @return the value as its shape says it is, blanks too; without blanks where it cannot be */
    static String mend(String text, Shape shape) {
        List<String> ways = ways(text, shape);
        return ways.isEmpty() ? tight(text, shape) : ways.get(0);
    }

    /** What a text may say under a shape, what has to be mended least first; none where it is too short or long. */
    static List<String> ways(String text, Shape shape) {
        String tight = tight(text, shape);
        return shape.ofLength(tight.length()).stream()
                .map(fixed -> laid(tight, fixed))
                .distinct()
                .sorted(Comparator.comparing((String way) -> !shape.fits(way)).thenComparing(way -> mends(tight, way)))
                .toList();
    }

    /** How many characters of a text were taken for others. */
    static int mends(String text, String mended) {
        String tight = text.replace(" ", "");
        String bare = mended.replace(" ", "");
        return tight.length() != bare.length()
                ? Math.abs(tight.length() - bare.length())
                : (int) IntStream.range(0, tight.length())
                        .filter(i -> tight.charAt(i) != bare.charAt(i))
                        .count();
    }

    private static String laid(String tight, Shape shape) {
        StringBuilder out = new StringBuilder();
        int at = 0;
        for (int i = 0; i < shape.length(); i++) {
            if (shape.place(i) == Shape.Place.ITSELF && shape.takes(i, ' ')) {
                out.append(' ');
                continue;
            }
            char c = tight.charAt(at++);
            out.append(
                    switch (shape.place(i)) {
                        case DIGIT -> Lookalikes.digit(c);
                        case CAPITAL -> Lookalikes.capital(c);
                        case ITSELF -> shape.literal(i, c);
                        case ANY -> c;
                    });
        }
        return out.toString();
    }

    /** A shape with blanks has letters and digits beside them: what else stands there is a speck. */
    private static String tight(String text, Shape shape) {
        String bare = shape.hasBlanks() ? SPECKS.matcher(text).replaceAll("") : text;
        return TWO_POINTS.matcher(bare.replace(" ", "")).replaceAll(".");
    }
}
