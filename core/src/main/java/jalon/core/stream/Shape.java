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

    /** In shorter values a blank parts two of them rather than one. */
    private static final int LONG = 6;

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

    /**
     * A pattern that also finds values with letters and digits mistaken for each other (O/0, I/1, S/5 ...), and longer ones
     * with blanks read into them or a speck in the place of a blank.
     */
    public Pattern loosePattern() {
        var p = new StringBuilder("(?:^|[^\\pL\\pN])(");
        for (int i = 0; i < places.length; i++) {
            boolean between = i > 0 && places.length >= LONG && !isBlank(i) && !isBlank(i - 1);
            p.append(between ? " ?" : "").append(pattern(i));
        }
        return Pattern.compile(p.append(")(?:$|[^\\pL\\pN])").toString());
    }

    private String pattern(int i) {
        return switch (places[i]) {
            case DIGIT -> "[0-9OoQDIlißSBZzgA|]";
            case CAPITAL -> "[\\pL0-9|" + Lookalikes.SIGNS + "]";
            case ANY -> "[\\pL\\pN]";
            case ITSELF -> {
                char c = literals[i];
                if (Character.isLetterOrDigit(c)) {
                    yield "[" + c + Lookalikes.of(c) + "]";
                }
                yield c == '-'
                        ? " ?[-–—_] ?"
                        : c == '.' || c == ','
                                ? " ?[.,]{1,2} ?"
                                : isBlank(i) ? "[^\\pL\\pN]{1,2}" : Pattern.quote(String.valueOf(c));
            }
        };
    }

    /** Whether a blank stands there, which is read as nothing or as a speck beside it as easily. */
    private boolean isBlank(int i) {
        return places[i] == Place.ITSELF && literals[i] == ' ';
    }

    /** The same shape with no blanks in it. */
    public Shape tight() {
        return of(written.replace(" ", ""));
    }

    @Override
    public String toString() {
        return written;
    }
}
