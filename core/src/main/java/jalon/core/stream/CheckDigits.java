package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Locale;

/**
 * Ways in which the last characters of a number prove the others. Blanks, dashes, points and slashes do not count.
 *
 * <p>Sources: ISO/IEC 7064:2003 (pure and hybrid systems), ISO 13616 (account numbers), ISO 2108 (weights of ten characters),
 * ISO/IEC 7812-1 annex B (doubling every other digit).
 */
public enum CheckDigits {
    /** Every other digit doubled, from the last but one; one digit. */
    @JsonProperty("mod10")
    MOD_10(10, Alphabet.DIGITS),
    /** Weights 2, 3, 4 and so on from the right; one digit or X. */
    @JsonProperty("mod11")
    MOD_11(11, Alphabet.DIGITS),
    /** ISO 7064 pure systems; X or * may be the check character of 11-2 and 37-2. */
    @JsonProperty("mod11-2")
    MOD_11_2(11, Alphabet.DIGITS),
    @JsonProperty("mod37-2")
    MOD_37_2(37, Alphabet.LETTERS_AND_DIGITS),
    /** The number, letters as 10 to 35, leaves 1; two digits. */
    @JsonProperty("mod97-10")
    MOD_97_10(97, Alphabet.LETTERS_AND_DIGITS),
    /** ISO 7064 hybrid systems; one character. */
    @JsonProperty("mod11-10")
    MOD_11_10(10, Alphabet.DIGITS),
    @JsonProperty("mod27-26")
    MOD_27_26(26, Alphabet.LETTERS),
    @JsonProperty("mod37-36")
    MOD_37_36(36, Alphabet.LETTERS_AND_DIGITS),
    /** An account number: its first four characters behind the others, then as mod97-10. */
    @JsonProperty("iban")
    IBAN(97, Alphabet.LETTERS_AND_DIGITS),
    /** Weights and a modulus of the stream's own; one digit, or X for 10. */
    @JsonProperty("weights")
    WEIGHTS(0, Alphabet.DIGITS);

    private static final int LEAST_OF_AN_ACCOUNT = 15;
    private static final String ALL = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ*";

    private enum Alphabet {
        DIGITS,
        LETTERS,
        LETTERS_AND_DIGITS
    }

    private final int of;
    private final Alphabet alphabet;

    CheckDigits(int of, Alphabet alphabet) {
        this.of = of;
        this.alphabet = alphabet;
    }

    /** One in so many misread values passes all the same. */
    public int oneIn(Integer modulus) {
        return this == WEIGHTS ? modulus : of;
    }

    /**
     * @param weights and modulus for {@link #WEIGHTS}, else not looked at
     * @return false as well for what has other characters than these numbers have, or too few
     */
    public boolean prove(String value, List<Integer> weights, Integer modulus) {
        String text = value.toUpperCase(Locale.ROOT).replaceAll("[\\s./-]", "");
        int tail = this == MOD_97_10 ? 2 : 1;
        if (text.length() <= tail || !known(text)) {
            return false;
        }
        return switch (this) {
            case MOD_10 -> doubled(text) % of == 0;
            case MOD_11 -> weighted(text, null) % of == 0;
            case WEIGHTS -> weighted(text, weights) % modulus == 0;
            case MOD_11_2, MOD_37_2 -> pure(text, 2) == 1;
            case MOD_97_10 -> remainder(text) == 1;
            case IBAN ->
                text.length() >= LEAST_OF_AN_ACCOUNT && remainder(text.substring(4) + text.substring(0, 4)) == 1;
            case MOD_11_10, MOD_27_26, MOD_37_36 -> hybrid(text) == 1;
        };
    }

    private boolean known(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean digit = c >= '0' && c <= '9';
            boolean letter = c >= 'A' && c <= 'Z';
            boolean fits = switch (alphabet) {
                case DIGITS -> digit;
                case LETTERS -> letter;
                case LETTERS_AND_DIGITS -> digit || letter;
            };
            if (!fits && !(i == text.length() - 1 && mayEndIn(c))) {
                return false;
            }
        }
        return true;
    }

    private boolean mayEndIn(char c) {
        return switch (this) {
            case MOD_11, MOD_11_2, WEIGHTS -> c == 'X';
            case MOD_37_2 -> c == '*';
            default -> false;
        };
    }

    /** Of a character among digits only, X stands for ten. */
    private int worth(char c) {
        return alphabet == Alphabet.DIGITS && c == 'X'
                ? 10
                : ALL.indexOf(c) - (alphabet == Alphabet.LETTERS ? ALL.indexOf('A') : 0);
    }

    private int doubled(String text) {
        int sum = 0;
        for (int i = 0; i < text.length(); i++) {
            int digit = worth(text.charAt(text.length() - 1 - i));
            int twice = 2 * digit;
            sum += i % 2 == 0 ? digit : twice / 10 + twice % 10;
        }
        return sum;
    }

    /** The check digit counts once. */
    private int weighted(String text, List<Integer> weights) {
        int sum = worth(text.charAt(text.length() - 1));
        for (int i = 1; i < text.length(); i++) {
            int weight = weights == null ? i + 1 : weights.get((i - 1) % weights.size());
            sum += weight * worth(text.charAt(text.length() - 1 - i));
        }
        return sum;
    }

    private int pure(String text, int radix) {
        int p = 0;
        for (int i = 0; i < text.length() - 1; i++) {
            p = (p + worth(text.charAt(i))) * radix % of;
        }
        return (p + worth(text.charAt(text.length() - 1))) % of;
    }

    private int remainder(String text) {
        int rest = 0;
        for (char c : text.toCharArray()) {
            int worth = worth(c);
            rest = (rest * (worth < 10 ? 10 : 100) + worth) % of;
        }
        return rest;
    }

    private int hybrid(String text) {
        int p = of;
        for (int i = 0; i < text.length() - 1; i++) {
            int s = (p + worth(text.charAt(i))) % of;
            p = (s == 0 ? of : s) * 2 % (of + 1);
        }
        return (p + worth(text.charAt(text.length() - 1))) % of;
    }
}
