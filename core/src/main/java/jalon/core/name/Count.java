package jalon.core.name;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number that no other document has: {@code {#:0000 per folder}}.
 *
 * @param digits at least so many
 */
public record Count(int digits, Per per) {
    /** In the place of a value's name in a template; no field can have it. */
    static final String NAME = "#";

    private static final Pattern FORM = Pattern.compile("(0*)(?: *per (folder|day|stream))?");

    /** Within what no number is given twice. */
    public enum Per {
        FOLDER,
        DAY,
        STREAM
    }

    /** @throws IllegalArgumentException for a form that is none; the message says which there are */
    static Count parse(String form) {
        Matcher said = FORM.matcher(form);
        if (!said.matches()) {
            throw new IllegalArgumentException(
                    "'" + form + "' is no way to count; say {#}, {#:0000}, {#:000 per folder}, per day or per stream");
        }
        Per per = said.group(2) == null ? Per.STREAM : Per.valueOf(said.group(2).toUpperCase(java.util.Locale.ROOT));
        return new Count(said.group(1).length(), per);
    }

    /** A number as it stands in a name. */
    public String of(long number) {
        return NameForm.padded(Long.toString(number), digits);
    }
}
