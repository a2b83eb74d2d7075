package jalon.core.index;

import jalon.core.stream.Lookalikes;
import jalon.core.stream.Shape;

/** Makes a misread value what its shape says it can only be: O becomes 0 where a digit stands. */
final class LookalikeMend {
    private LookalikeMend() {}

    static String mend(String text, Shape shape) {
        String tight = text.replace(" ", "");
        if (tight.length() != shape.length()) {
            return tight;
        }
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < tight.length(); i++) {
            char c = tight.charAt(i);
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
}
