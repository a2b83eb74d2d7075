package jalon.core.index;

import com.google.re2j.Pattern;
import jalon.core.stream.Lookalikes;
import jalon.core.stream.Shape;

/** Makes a misread value what its shape says it can only be: O becomes 0 where a digit stands. */
final class LookalikeMend {
    private static final Pattern SPECKS = Pattern.compile("[^\\pL\\pN/.,_$@€§–—-]");

    /** What is read of one point and a speck beside it. */
    private static final Pattern TWO_POINTS = Pattern.compile("[.,]{2}");

    private LookalikeMend() {}

    /** @return the value as its shape says it is, blanks too; without blanks where it cannot be */
    static String mend(String text, Shape shape) {
        String tight = tight(text, shape);
        if (tight.length() != shape.tight().length()) {
            return tight;
        }
        StringBuilder out = new StringBuilder();
        int at = 0;
        for (int i = 0; i < shape.length(); i++) {
            if (shape.place(i) == Shape.Place.ITSELF && shape.literal(i) == ' ') {
                out.append(' ');
                continue;
            }
            char c = tight.charAt(at++);
            out.append(
                    switch (shape.place(i)) {
                        case DIGIT -> Lookalikes.digit(c);
                        case CAPITAL -> Lookalikes.capital(c);
                        case ITSELF -> shape.literal(i);
                        case ANY -> c;
                    });
        }
        return out.toString();
    }

    /** A shape with blanks has letters and digits beside them: what else stands there is a speck. */
    private static String tight(String text, Shape shape) {
        boolean blanks = shape.tight().length() < shape.length();
        String bare = blanks ? SPECKS.matcher(text).replaceAll("") : text;
        return TWO_POINTS.matcher(bare.replace(" ", "")).replaceAll(".");
    }
}
