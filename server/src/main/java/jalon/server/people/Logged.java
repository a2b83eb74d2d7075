package jalon.server.people;

import jalon.core.page.Unread;
import jalon.core.words.Parts;
import java.util.List;
import java.util.Map;

/**
 * An act with its values.
 *
 * @param step whether it was undone or done again; {@link Step#DONE} for all that is neither
 * @param with the values of the act's parts, by their names
 * @param because why something was not read, where the act is about that; else null
 */
public record Logged(Step step, Act act, Map<String, String> with, Unread because) {
    public enum Step {
        DONE,
        UNDONE,
        DONE_AGAIN
    }

    static Logged of(Act act, List<String> parts, Object... values) {
        return new Logged(Step.DONE, act, Parts.of(act, parts, values), null);
    }

    public Logged as(Step other) {
        return new Logged(other, act, with, because);
    }

    public Logged because(Unread why) {
        return new Logged(step, act, with, why);
    }
}
