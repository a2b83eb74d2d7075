package jalon.core.output;

import java.util.regex.Pattern;

/** Values for files that people open in a spreadsheet, which takes some of them for formulas. */
public final class Spreadsheet {
    private static final String STARTS_FORMULA = "=+-@\t\r";

    /** What begins with a sign and is a figure all the same. */
    private static final Pattern FIGURE = Pattern.compile("[+-]?[\\d.,\\s\u00a0'’]*\\d[\\d.,]*-?");

    private Spreadsheet() {}

    /** The value, behind an apostrophe where a spreadsheet would compute it: then it shows it as text. */
    public static String plain(String value) {
        return value != null
                        && !value.isEmpty()
                        && STARTS_FORMULA.indexOf(value.charAt(0)) >= 0
                        && !FIGURE.matcher(value).matches()
                ? "'" + value
                : value;
    }
}
