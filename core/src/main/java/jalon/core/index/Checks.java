package jalon.core.index;

import com.google.re2j.Pattern;
import jalon.core.stream.Check;
import jalon.core.stream.Shape;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Holds a value against a field's checks. */
public final class Checks {
    private Checks() {}

    /**
     * @param problems what the value fails, in the operator's words; empty when it passes all
     * @param backing 0..1: how much the passed checks speak for the value (a register row more than a form)
     */
    public record Verdict(List<String> problems, double backing) {
        public boolean passed() {
            return problems.isEmpty();
        }
    }

    public static Verdict check(String value, List<Check> checks, Map<String, Register> registers, LocalDate today) {
        List<String> problems = new ArrayList<>();
        double backing = 0;
        for (Check check : checks) {
            String problem = problem(value, check, registers, today);
            if (problem != null) {
                problems.add(problem);
            }
            backing = Math.max(backing, backing(check));
        }
        return new Verdict(problems, backing);
    }

    private static double backing(Check check) {
        if (check instanceof Check.InRegister) {
            return 0.8;
        }
        return check instanceof Check.Like || check instanceof Check.OneOf ? 0.4 : 0.2;
    }

    private static String problem(String value, Check check, Map<String, Register> registers, LocalDate today) {
        if (check instanceof Check.Like c) {
            return Shape.of(c.like()).fits(value) ? null : "not of the form " + c.like();
        } else if (check instanceof Check.Matches c) {
            return Pattern.matches(c.pattern(), value) ? null : "does not match " + c.pattern();
        } else if (check instanceof Check.Length c) {
            int length = value.codePointCount(0, value.length());
            boolean fits = (c.least() == null || length >= c.least()) && (c.most() == null || length <= c.most());
            return fits ? null : "has " + length + " characters";
        } else if (check instanceof Check.Date c) {
            return date(value, c, today);
        } else if (check instanceof Check.Range c) {
            return range(value, c);
        } else if (check instanceof Check.OneOf c) {
            return c.values().contains(value) ? null : "not one of " + String.join(", ", c.values());
        } else if (check instanceof Check.InRegister c) {
            Register register = registers.get(c.register());
            if (register == null) {
                return "register " + c.register() + " is not there, so this could not be looked up";
            }
            return register.find(c.column(), value).isPresent() ? null : "not in the register " + c.register();
        }
        throw new IllegalStateException("no test for " + check);
    }

    private static String date(String value, Check.Date check, LocalDate today) {
        try {
            LocalDate date = LocalDate.parse(value);
            if (!check.future() && date.isAfter(today)) {
                return "lies in the future";
            }
            if (check.yearsBack() != null && date.isBefore(today.minusYears(check.yearsBack()))) {
                return "lies more than " + check.yearsBack() + " years back";
            }
            return null;
        } catch (DateTimeParseException e) {
            return "not a date";
        }
    }

    private static String range(String value, Check.Range check) {
        try {
            BigDecimal number = new BigDecimal(value);
            if (check.least() != null && number.compareTo(check.least()) < 0) {
                return "less than " + check.least().toPlainString();
            }
            if (check.most() != null && number.compareTo(check.most()) > 0) {
                return "more than " + check.most().toPlainString();
            }
            return null;
        } catch (NumberFormatException e) {
            return "not a number";
        }
    }
}
