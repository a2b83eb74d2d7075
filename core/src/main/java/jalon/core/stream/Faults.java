package jalon.core.stream;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import jalon.core.name.NameTemplate;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Collects what is at fault in a stream definition beyond what its schema can say, each with its place. */
final class Faults {
    /** What hardly one pattern fits all of. */
    private static final List<String> ANYTHING = List.of("q", "7", "Ab 9.-x", "Ünter den 12; (ok)");

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

    /** @param like a {@linkplain Shape shape}, or null */
    void shape(String like, String pointer) {
        if (like == null) {
            return;
        }
        try {
            Shape.of(like);
        } catch (IllegalArgumentException e) {
            add(pointer, "this form cannot be used: " + e.getMessage());
        }
    }

    /** @param pattern to be found anywhere: one that finds a value in nothing, or in anything, says nothing */
    void telling(String pattern, String pointer) {
        pattern(pattern, pointer).ifPresent(compiled -> {
            if (compiled.matches("") || ANYTHING.stream().allMatch(compiled::matches)) {
                add(pointer, "this fits everything on every page; say more of what the value looks like");
            }
        });
    }

    /** @param template a {@link NameTemplate} of field names, at least one */
    void names(String template, String pointer, DocumentType type) {
        try {
            List<String> names = NameTemplate.parse(template).names();
            if (names.isEmpty()) {
                add(pointer, "name at least one field, in braces");
            }
            names.stream()
                    .filter(name -> type.field(name).isEmpty())
                    .forEach(name -> add(pointer, "there is no field '" + name + "' in this type"));
        } catch (IllegalArgumentException e) {
            add(pointer, e.getMessage());
        }
    }

    /** @param pattern a regular expression (RE2), or null */
    Optional<Pattern> pattern(String pattern, String pointer) {
        if (pattern == null) {
            return Optional.empty();
        }
        try {
            return Optional.of(Pattern.compile(pattern));
        } catch (PatternSyntaxException e) {
            add(pointer, "this pattern cannot be used: " + e.getDescription());
            return Optional.empty();
        }
    }
}
