package jalon.core.propose;

import com.google.re2j.Pattern;
import jalon.core.stream.Field;
import jalon.core.stream.Shape;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Forms that one value is an example of, as a finder by shape has them, the narrowest first. */
final class WrittenForm {
    /** A number as amounts are written: thousands parted or not, two places behind a point or comma. */
    private static final String AMOUNT = "(?:^|[^\\d.,])([0-9]{1,3}(?:[.,' ]?[0-9]{3})*[.,][0-9]{2})(?:$|[^\\d])";

    /** Runs of digits up to this long may be shorter or longer elsewhere. */
    private static final int COUNTED = 4;

    private static final int MOST_DAY_DIGITS = 2;

    private WrittenForm() {}

    /** @return parts of a finder's JSON: {@code like} or {@code pattern}; none for words without a digit */
    static List<Map<String, Object>> of(String text, LocalDate today) {
        if (text.chars().noneMatch(Character::isDigit)) {
            return List.of();
        }
        Field.Kind kind = ValueKind.of(List.of(text), today).kind();
        if (kind == Field.Kind.AMOUNT) {
            return List.of(Map.of("pattern", AMOUNT));
        }
        if (kind == Field.Kind.DATE && text.chars().anyMatch(Character::isLetter)) {
            return List.of(Map.of("pattern", "\\b(" + dateInWords(text) + ")"));
        }
        Set<String> likes = new LinkedHashSet<>();
        if (kind == Field.Kind.DATE) {
            likes.add(like(text, true, run -> run <= MOST_DAY_DIGITS ? "9{1,2}" : "9{" + run + "}"));
        } else {
            likes.add(like(text, true, WrittenForm::exactly));
            likes.add(like(text, false, WrittenForm::exactly));
            likes.add(like(text, true, WrittenForm::about));
            likes.add(like(text, false, WrittenForm::about));
        }
        List<Map<String, Object>> forms = new ArrayList<>();
        likes.forEach(like -> forms.add(Map.of("like", like)));
        return forms;
    }

    /** Whether all of a text has the form. */
    static boolean fits(Map<String, Object> form, String text) {
        Object like = form.get("like");
        return like != null
                ? Shape.of(like.toString()).fits(text)
                : Pattern.compile(form.get("pattern").toString()).matcher(text).matches();
    }

    private static String exactly(int run) {
        return run == 1 ? "9" : "9{" + run + "}";
    }

    private static String about(int run) {
        return run > COUNTED ? exactly(run) : "9{1," + (run + 1) + "}";
    }

    /** How often a digit stands in a row. */
    private interface Digits {
        String times(int run);
    }

    /** @param letters whether letters stand for themselves */
    private static String like(String text, boolean letters, Digits digits) {
        StringBuilder shape = new StringBuilder();
        for (int i = 0; i < text.length(); ) {
            int end = i + 1;
            char c = text.charAt(i);
            if (Character.isDigit(c)) {
                while (end < text.length() && Character.isDigit(text.charAt(end))) {
                    end++;
                }
                shape.append(digits.times(end - i));
            } else if (Character.isUpperCase(c) && !letters) {
                shape.append('A');
            } else {
                shape.append(ValueShape.literal(String.valueOf(c)));
            }
            i = end;
        }
        return shape.toString();
    }

    /** Runs of digits and of letters, what is between them as it stands. */
    private static String dateInWords(String text) {
        StringBuilder pattern = new StringBuilder();
        var runs = Pattern.compile("\\d+|\\pL+|[^\\d\\pL]+").matcher(text);
        while (runs.find()) {
            String run = runs.group();
            char c = run.charAt(0);
            pattern.append(
                    Character.isDigit(c)
                            ? run.length() <= MOST_DAY_DIGITS ? "\\d{1,2}" : "\\d{" + run.length() + "}"
                            : Character.isLetter(c) ? "\\pL+" : Pattern.quote(run));
        }
        return pattern.toString();
    }
}
