package jalon.core.name;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Folder and file names made from values. In braces stands a value's name, then if wanted a colon and {@linkplain NameForm what is
 * taken of it} ({@code yyyy-MM} of a date, {@code first 3}, zeros for a number's length), then if wanted a bar and what to put where
 * there is no value: {@code {type}/{vessel|unknown vessel}/{applied:yyyy}}; {@code {#}} is a {@linkplain Count number of its own}.
 * Only a slash of the template makes a folder, never one in a value.
 */
public final class NameTemplate {
    private sealed interface Part {
        record Literal(String text) implements Part {}

        /** @param otherwise null where nothing stands in for it */
        record Value(String name, NameForm form, String otherwise) implements Part {}

        record Counted(Count count) implements Part {}
    }

    private final List<Part> parts;

    private NameTemplate(List<Part> parts) {
        this.parts = parts;
    }

    /** @throws IllegalArgumentException for a brace without its other half or a count that is none; the message says where */
    public static NameTemplate parse(String template) {
        List<Part> parts = new ArrayList<>();
        int at = 0;
        while (at < template.length()) {
            int open = template.indexOf('{', at);
            if (open < 0) {
                parts.add(new Part.Literal(template.substring(at)));
                break;
            }
            if (open > at) {
                parts.add(new Part.Literal(template.substring(at, open)));
            }
            int close = template.indexOf('}', open);
            if (close < 0) {
                throw new IllegalArgumentException("the brace at character " + (open + 1) + " is not closed");
            }
            parts.add(value(template.substring(open + 1, close)));
            at = close + 1;
        }
        return new NameTemplate(parts);
    }

    private static Part value(String inside) {
        int bar = inside.indexOf('|');
        String otherwise = bar < 0 ? null : inside.substring(bar + 1);
        String head = bar < 0 ? inside : inside.substring(0, bar);
        int colon = head.indexOf(':');
        String name = (colon < 0 ? head : head.substring(0, colon)).strip();
        String form = colon < 0 ? "" : head.substring(colon + 1).strip();
        return name.equals(Count.NAME)
                ? new Part.Counted(Count.parse(form))
                : new Part.Value(name, NameForm.parse(form), otherwise);
    }

    /** What it counts, once for each time. */
    public List<Count> counts() {
        return parts.stream()
                .filter(Part.Counted.class::isInstance)
                .map(p -> ((Part.Counted) p).count())
                .toList();
    }

    /** The names of the values this template uses. */
    public List<String> names() {
        return parts.stream()
                .filter(Part.Value.class::isInstance)
                .map(p -> ((Part.Value) p).name())
                .toList();
    }

    /** Those of them that nothing stands in for. */
    public List<String> needed() {
        return parts.stream()
                .filter(p -> p instanceof Part.Value value && value.otherwise() == null)
                .map(p -> ((Part.Value) p).name())
                .toList();
    }

    /** The template filled as it is, for a text that is no name of a file; nothing is counted in it. */
    public String text(Map<String, String> values) {
        return parts.stream()
                .map(part -> part instanceof Part.Literal literal ? literal.text() : filled(part, values, count -> ""))
                .collect(Collectors.joining());
    }

    /** Safe names, folder by folder, of a template that counts nothing. */
    public List<String> fill(Map<String, String> values) {
        return fill(values, count -> {
            throw new IllegalStateException("nothing is counted here");
        });
    }

    /**
     * Safe names, folder by folder.
     *
     * @param numbers gives the number for a count, as it stands in the name
     * @return one for each part between slashes, none of them empty
     */
    public List<String> fill(Map<String, String> values, Function<Count, String> numbers) {
        List<String> names = new ArrayList<>();
        StringBuilder current = new StringBuilder();
        for (Part part : parts) {
            if (part instanceof Part.Literal literal) {
                String[] pieces = literal.text().split("/", -1);
                for (int i = 0; i < pieces.length; i++) {
                    if (i > 0) {
                        add(names, current);
                    }
                    current.append(pieces[i]);
                }
            } else {
                current.append(SafeName.piece(filled(part, values, numbers)));
            }
        }
        add(names, current);
        return names;
    }

    private static String filled(Part part, Map<String, String> values, Function<Count, String> numbers) {
        return part instanceof Part.Counted counted
                ? numbers.apply(counted.count())
                : formed((Part.Value) part, values);
    }

    private static void add(List<String> names, StringBuilder current) {
        if (!current.toString().isBlank()) {
            names.add(SafeName.of(current.toString()));
        }
        current.setLength(0);
    }

    private static String formed(Part.Value value, Map<String, String> values) {
        return Optional.ofNullable(values.get(value.name()))
                .filter(v -> !v.isBlank())
                .map(value.form()::of)
                .filter(v -> !v.isBlank())
                .orElse(Objects.requireNonNullElse(value.otherwise(), ""));
    }
}
