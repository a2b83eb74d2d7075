package jalon.core.stream;

import com.google.re2j.Pattern;

/**
 * The form of a value, written by example: {@code 9} is any digit, {@code A} any capital letter, {@code x} any letter or
 * digit; everything else stands for itself, and so does the character after a {@code ~}. {@code PM-9999-A} is "PM", a
 * dash, four digits, a dash and a capital. To write a capital A or a 9 itself: {@code ~A}, {@code ~9}.
 */
public final class Shape {
    /** What one place of a shape takes. */
    public enum Place {
        DIGIT,
        CAPITAL,
        ANY,
        ITSELF
    }

    private final String written;
    private final Place[] places;
    private final char[] literals;

    private Shape(String written, Place[] places, char[] literals) {
        this.written = written;
        this.places = places;
        this.literals = literals;
    }

    public static Shape of(String written) {
        Place[] places = new Place[written.length()];
        char[] literals = new char[written.length()];
        int n = 0;
        for (int i = 0; i < written.length(); i++) {
            char c = written.charAt(i);
            if (c == '~' && i + 1 < written.length()) {
                places[n] = Place.ITSELF;
                literals[n++] = written.charAt(++i);
            } else {
                places[n] = switch (c) {
                    case '9' -> Place.DIGIT;
                    case 'A' -> Place.CAPITAL;
                    case 'x' -> Place.ANY;
                    default -> Place.ITSELF;
                };
                literals[n++] = c;
            }
        }
        return new Shape(written, java.util.Arrays.copyOf(places, n), java.util.Arrays.copyOf(literals, n));
    }

    public int length() {
        return places.length;
    }

    public Place place(int i) {
        return places[i];
    }

    public char literal(int i) {
        return literals[i];
    }

    public boolean fits(String value) {
        if (value.length() != places.length) {
            return false;
        }
        for (int i = 0; i < places.length; i++) {
            char c = value.charAt(i);
            boolean ok = switch (places[i]) {
                case DIGIT -> c >= '0' && c <= '9';
                case CAPITAL -> Character.isUpperCase(c);
                case ANY -> Character.isLetterOrDigit(c);
                case ITSELF -> c == literals[i];
            };
            if (!ok) {
                return false;
            }
        }
        return true;
    }

    /** A pattern that also finds values with letters and digits mistaken for each other (O/0, I/1, S/5 ...). */
    public Pattern loosePattern() {
        var p = new StringBuilder("(?:^|[^\\pL\\pN])(");
        for (int i = 0; i < places.length; i++) {
            p.append(
                    switch (places[i]) {
                        case DIGIT -> "[0-9OoQDIlißSBZzgA|]";
                        case CAPITAL -> "[\\pL0-9|]";
                        case ANY -> "[\\pL\\pN]";
                        case ITSELF ->
                            Character.isLetterOrDigit(literals[i])
                                    ? "[" + literals[i] + Lookalikes.of(literals[i]) + "]"
                                    : literals[i] == '-' ? " ?[-–—_] ?" : Pattern.quote(String.valueOf(literals[i]));
                    });
        }
        return Pattern.compile(p.append(")(?:$|[^\\pL\\pN])").toString());
    }

    @Override
    public String toString() {
        return written;
    }
}
