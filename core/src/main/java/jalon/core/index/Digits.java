package jalon.core.index;

/** Digits of any script. */
final class Digits {
    private Digits() {}

    /** The same text, place by place, with each digit as 0 to 9. */
    static String latin(String text) {
        StringBuilder out = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            out.append(Character.isDigit(c) ? (char) ('0' + Character.digit(c, 10)) : c);
        }
        return out.toString();
    }
}
