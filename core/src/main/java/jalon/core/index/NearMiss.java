package jalon.core.index;

import jalon.core.register.Register;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.Lookalikes;
import jalon.core.stream.Shape;

/**
 * Tells whether a text that fails a field's checks is likely that field's value all the same, badly read: then whatever
 * else is found for the field is in doubt.
 */
final class NearMiss {
    /** So much of a shape must fit. */
    private static final double OF_ITS_SHAPE = 0.6;

    private static final int OTHER_LENGTH = 2;

    private NearMiss() {}

    /** Whether a second reading could make it pass: names lose their accents to the model of a page. */
    static boolean mayPass(String text, Field field, Known known) {
        boolean inRegister = field.checks().stream().anyMatch(Check.InRegister.class::isInstance);
        return is(text, field, known)
                || inRegister && text.codePoints().filter(Character::isLetter).count() * 2 > text.length();
    }

    static boolean is(String text, Field field, Known known) {
        if (field.kind() == Field.Kind.DATE) {
            return Dates.looksLikeOne(text);
        }
        if (field.kind() != Field.Kind.TEXT) {
            return text.chars().anyMatch(Character::isDigit);
        }
        boolean any = false;
        for (Check check : field.checks()) {
            if (check instanceof Check.Like like && !resembles(text, Shape.of(like.like()))) {
                return false;
            }
            if (check instanceof Check.InRegister in) {
                Register register = known.registers().get(in.register());
                any = true;
                if (register != null
                        && register.neighbours(in.column(), text).known().isEmpty()
                        && register.rows(in.column(), text).isEmpty()
                        && !oddLength(text, field)) {
                    return false;
                }
            }
            any |= check instanceof Check.Like;
        }
        return any;
    }

    /** Of a value that lost or won a letter no neighbour is known; its shape has told already. */
    private static boolean oddLength(String text, Field field) {
        return field.checks().stream()
                .anyMatch(c -> c instanceof Check.Like like
                        && Shape.of(like.like()).ofLength(text.length()).isEmpty());
    }

    private static boolean resembles(String text, Shape shape) {
        String tight = text.replace(" ", "");
        int length = Math.max(shape.leastLength(), Math.min(shape.length(), tight.length()));
        return !tight.isEmpty()
                && Math.abs(tight.length() - length) <= OTHER_LENGTH
                && shape.ofLength(length).stream().anyMatch(fixed -> mostlyFits(tight, fixed));
    }

    private static boolean mostlyFits(String tight, Shape shape) {
        int fits = 0;
        for (int i = 0; i < Math.min(tight.length(), shape.length()); i++) {
            char c = tight.charAt(i);
            boolean fit = switch (shape.place(i)) {
                case DIGIT -> Character.isDigit(Lookalikes.digit(c));
                case CAPITAL -> Character.isUpperCase(Lookalikes.capital(c));
                case ANY -> Character.isLetterOrDigit(c);
                case ITSELF -> shape.takes(i, c);
            };
            fits += fit ? 1 : 0;
        }
        return fits >= OF_ITS_SHAPE * shape.length();
    }
}
