package jalon.core.stream;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Collects what is at fault in a stream definition beyond what its schema can say, each with its place. */
final class Faults {
    private final List<Streams.Fault> found = new ArrayList<>();

    List<Streams.Fault> found() {
        return found;
    }

    /** @param pointer JSON pointer (RFC 6901) of the faulty place */
    void add(String pointer, String message) {
        found.add(new Streams.Fault(pointer, message));
    }

    /** @param seen names used so far; the name is added */
    void usedTwice(Set<String> seen, String name, String pointer) {
        if (!seen.add(name)) {
            add(pointer, "the name '" + name + "' is used twice");
        }
    }

    /** @param pattern a regular expression (RE2), or null */
    void pattern(String pattern, String pointer) {
        if (pattern == null) {
            return;
        }
        try {
            Pattern.compile(pattern);
        } catch (PatternSyntaxException e) {
            add(pointer, "this pattern cannot be used: " + e.getDescription());
        }
    }
}
