package jalon.core.index;

import jalon.core.stream.Finder;
import jalon.core.stream.Lookalikes;

/** What the limits of a zone make of a reading: lookalikes become what can stand there, the rest is left for the checks. */
record ZoneLimits(Finder.Limits limits) {
    String on(String text) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char c = limited(text.charAt(i));
            if (can(c) || Character.isLetterOrDigit(c)) {
                out.append(c);
            }
        }
        return out.toString();
    }

    /** The first character that cannot stand there, or an empty text. */
    String outside(String value) {
        return value.chars()
                .filter(c -> !can((char) c))
                .mapToObj(c -> String.valueOf((char) c))
                .findFirst()
                .orElse("");
    }

    private char limited(char c) {
        if (limits == null) {
            return c;
        }
        char kind = limits.only() == null
                ? c
                : switch (limits.only()) {
                    case DIGITS -> Lookalikes.digit(c);
                    case CAPITALS -> Lookalikes.capital(c);
                    case CAPITALS_AND_DIGITS -> Character.toUpperCase(c);
                };
        return can(kind) ? kind : lookalike(kind);
    }

    /** Of a character that cannot stand there, the one that can and looks like it; itself where there is none. */
    private char lookalike(char c) {
        for (char other : new char[] {
            Character.toUpperCase(c), Character.toLowerCase(c), Lookalikes.digit(c), Lookalikes.capital(c)
        }) {
            if (can(other)) {
                return other;
            }
        }
        return c;
    }

    private boolean can(char c) {
        return limits == null
                || ofKind(c)
                        && (limits.characters() == null || limits.characters().indexOf(c) >= 0);
    }

    /** Signs are of any kind: an account number has dashes. */
    private boolean ofKind(char c) {
        if (limits.only() == null || !Character.isLetterOrDigit(c)) {
            return true;
        }
        return switch (limits.only()) {
            case DIGITS -> Character.isDigit(c);
            case CAPITALS -> Character.isUpperCase(c);
            case CAPITALS_AND_DIGITS -> Character.isDigit(c) || Character.isUpperCase(c);
        };
    }
}
