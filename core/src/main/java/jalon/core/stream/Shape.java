package jalon.core.stream;

import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The form of a value, written by example: {@code 9} is any digit, {@code A} any capital letter, {@code x} any letter or
 * digit, {@code [/-]} one of these; everything else stands for itself, and so does the character after a {@code ~}. Behind
 * any of them {@code {3}}, {@code {2,4}} or {@code {5,}} says how often it stands there. {@code PM-9999-A} is "PM", a dash,
 * four digits, a dash and a capital; {@code A{2,4}[/-]9{5,8}} two to four capitals, a slash or dash, five to eight digits. To
 * write a capital A or a 9 itself: {@code ~A}, {@code ~9}.
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

    /** No place is repeated more often. */
    private static final int MOST_OFTEN = 60;

    /** Ways to lay a shape on a text that are looked at. */
    private static final int MOST_WAYS = 200;

    private final String written;
    private final List<Part> parts;
    private Pattern exact;

    private Shape(String written, List<Part> parts) {
        this.written = written;
        this.parts = parts;
    }

    /** @param itself the characters that can stand there, the likeliest first, where it stands for itself */
    private record Part(Place place, String itself, int least, int most) {
        boolean isBlank() {
            return place == Place.ITSELF && itself.equals(" ");
        }

        Part times(int n) {
            return new Part(place, itself, n, n);
        }

        boolean takes(char c) {
            return switch (place) {
                case DIGIT -> c >= '0' && c <= '9';
                case CAPITAL -> Character.isUpperCase(c);
                case ANY -> Character.isLetterOrDigit(c);
                case ITSELF -> itself.indexOf(c) >= 0;
            };
        }

        String exactly() {
            String one = switch (place) {
                case DIGIT -> "[0-9]";
                case CAPITAL -> "\\p{Lu}";
                case ANY -> "[\\pL\\pN]";
                case ITSELF ->
                    itself.chars()
                            .mapToObj(c -> Pattern.quote(String.valueOf((char) c)))
                            .collect(Collectors.joining("|", "(?:", ")"));
            };
            return one + "{" + least + "," + most + "}";
        }

        String loosely() {
            return switch (place) {
                case DIGIT -> "[0-9OoQDIlißSBZzgA|]";
                case CAPITAL -> "[\\pL0-9|" + Lookalikes.SIGNS + "]";
                case ANY -> "[\\pL\\pN]";
                case ITSELF ->
                    itself.chars()
                            .mapToObj(c -> loosely((char) c))
                            .distinct()
                            .collect(Collectors.joining("|", "(?:", ")"));
            };
        }

        private static String loosely(char c) {
            if (Character.isLetterOrDigit(c)) {
                return "[" + c + Lookalikes.of(c) + "]";
            }
            return switch (c) {
                case '-' -> " ?[-–—_] ?";
                case '.', ',' -> " ?[.,]{1,2} ?";
                case ' ' -> "[^\\pL\\pN]{1,2}";
                default -> Pattern.quote(String.valueOf(c));
            };
        }
    }

    /** @throws IllegalArgumentException saying what is wrong with it */
    public static Shape of(String written) {
        List<Part> parts = new ArrayList<>();
        int at = 0;
        while (at < written.length()) {
            char c = written.charAt(at);
            Part part;
            if (c == '[') {
                int end = closing(written, at, ']');
                part = one(Place.ITSELF, written.substring(at + 1, end));
                at = end + 1;
            } else if (c == '~' && at + 1 < written.length()) {
                part = one(Place.ITSELF, written.substring(at + 1, at + 2));
                at += 2;
            } else {
                part = switch (c) {
                    case '9' -> one(Place.DIGIT, null);
                    case 'A' -> one(Place.CAPITAL, null);
                    case 'x' -> one(Place.ANY, null);
                    default -> one(Place.ITSELF, String.valueOf(c));
                };
                at++;
            }
            if (at < written.length() && written.charAt(at) == '{') {
                int end = closing(written, at, '}');
                part = repeated(part, written.substring(at + 1, end));
                at = end + 1;
            }
            parts.add(part);
        }
        return new Shape(written, List.copyOf(parts));
    }

    private static Part one(Place place, String itself) {
        return new Part(place, itself, 1, 1);
    }

    private static int closing(String written, int from, char bracket) {
        int end = written.indexOf(bracket, from);
        String open = "'" + written.substring(from) + "'";
        String meant = "; write ~" + written.charAt(from) + " for the sign itself";
        if (end < 0) {
            throw new IllegalArgumentException(open + " is not closed by a '" + bracket + "'" + meant);
        }
        if (end == from + 1) {
            throw new IllegalArgumentException(open + " has nothing in it" + meant);
        }
        return end;
    }

    private static Part repeated(Part part, String often) {
        String[] both = often.split(",", -1);
        try {
            int least = Integer.parseInt(both[0].strip());
            int most = both.length == 1 ? least : both[1].isBlank() ? MOST_OFTEN : Integer.parseInt(both[1].strip());
            if (both.length <= 2 && least >= 0 && most >= Math.max(1, least) && most <= MOST_OFTEN) {
                return new Part(part.place(), part.itself(), least, most);
            }
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("'{" + often + "}' is no number or two", e);
        }
        throw new IllegalArgumentException(
                "'{" + often + "}' is not one or two numbers up to " + MOST_OFTEN + ", the smaller first");
    }

    /** Whether all its values are equally long. */
    public boolean isFixed() {
        return parts.stream().allMatch(p -> p.least() == p.most());
    }

    /** Of its longest value. */
    public int length() {
        return parts.stream().mapToInt(Part::most).sum();
    }

    /** Of its shortest value. */
    public int leastLength() {
        return parts.stream().mapToInt(Part::least).sum();
    }

    /** What a place of a {@linkplain #isFixed fixed} shape takes. */
    public Place place(int i) {
        return part(i).place();
    }

    /** The character that a place of a fixed shape stands for; of several the one that is meant by another one. */
    public char literal(int i, char read) {
        String itself = part(i).itself();
        return itself.indexOf(read) >= 0 ? read : itself.charAt(0);
    }

    /** Whether a character can stand at a place of a fixed shape. */
    public boolean takes(int i, char c) {
        return part(i).takes(c);
    }

    private Part part(int i) {
        int at = i;
        for (Part part : parts) {
            if (at < part.most()) {
                return part;
            }
            at -= part.most();
        }
        throw new IndexOutOfBoundsException(i);
    }

    public boolean fits(String value) {
        if (exact == null) {
            exact = Pattern.compile(parts.stream().map(Part::exactly).collect(Collectors.joining()));
        }
        return exact.matches(value);
    }

    /**
     * The fixed shapes among its own that are so long.
     *
     * @param length without blanks
     */
    public List<Shape> ofLength(int length) {
        List<Shape> ways = new ArrayList<>();
        lay(0, length, new ArrayList<>(), ways);
        return ways;
    }

    private void lay(int at, int left, List<Part> laid, List<Shape> ways) {
        if (ways.size() >= MOST_WAYS) {
            return;
        }
        if (at == parts.size()) {
            if (left == 0) {
                ways.add(new Shape(written, List.copyOf(laid)));
            }
            return;
        }
        Part part = parts.get(at);
        for (int n = part.least(); n <= part.most() && (part.isBlank() || n <= left); n++) {
            laid.add(part.times(n));
            lay(at + 1, part.isBlank() ? left : left - n, laid, ways);
            laid.remove(laid.size() - 1);
        }
    }

    /**
     * A pattern that also finds values with letters and digits mistaken for each other (O/0, I/1, S/5 ...), and longer ones
     * with blanks read into them or a speck in the place of a blank.
     */
    public Pattern loosePattern() {
        boolean apart = length() >= LONG;
        var p = new StringBuilder("(?:^|[^\\pL\\pN])(");
        boolean blankBefore = true;
        for (Part part : parts) {
            String before = apart && !part.isBlank() && !blankBefore ? " ?" : "";
            if (part.least() == 1 && part.most() == 1) {
                p.append(before).append(part.loosely());
            } else {
                // A word before it is no part of a run of letters.
                String again = "(?:" + (apart && part.place() == Place.DIGIT ? " ?" : "") + part.loosely() + "){";
                String first =
                        before + part.loosely() + again + Math.max(0, part.least() - 1) + "," + (part.most() - 1) + "}";
                p.append(part.least() == 0 ? "(?:" + first + ")?" : first);
            }
            blankBefore = part.isBlank();
        }
        return Pattern.compile(p.append(")(?:$|[^\\pL\\pN])").toString());
    }

    /** Whether it has blanks in it. */
    public boolean hasBlanks() {
        return parts.stream().anyMatch(Part::isBlank);
    }

    @Override
    public String toString() {
        return written;
    }
}
