package jalon.core.propose;

import jalon.core.stream.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The {@linkplain Shape shape} that all of some values have, if they have one that tells anything. */
final class ValueShape {
    private static final String MEANING_MORE = "A9x~[]{}";

    private ValueShape() {}

    /** Characters of one kind in a row; signs each by themselves. */
    private record Run(char kind, String text) {
        boolean like(Run other) {
            return kind == other.kind && (kind != ' ' || text.equals(other.text));
        }
    }

    /** @return empty where they differ in more than the length of their runs, or have fewer than two digits or capitals */
    static Optional<String> of(List<String> values) {
        List<List<Run>> all = values.stream().map(ValueShape::runs).toList();
        if (all.isEmpty() || all.stream().anyMatch(r -> !alike(all.get(0), r))) {
            return Optional.empty();
        }
        StringBuilder shape = new StringBuilder();
        int telling = 0;
        for (int i = 0; i < all.get(0).size(); i++) {
            int at = i;
            List<String> texts =
                    all.stream().map(runs -> runs.get(at).text()).distinct().toList();
            int least = texts.stream().mapToInt(String::length).min().orElse(0);
            int most = texts.stream().mapToInt(String::length).max().orElse(0);
            char kind = all.get(0).get(i).kind();
            boolean itself = kind == ' ' || kind == 'a' || kind == 'A' && texts.size() == 1;
            if (itself && texts.size() > 1) {
                return Optional.empty();
            }
            telling += itself ? 0 : most;
            shape.append(itself ? literal(texts.get(0)) : kind + (most == 1 ? "" : often(least, most)));
        }
        return telling < 2 ? Optional.empty() : Optional.of(shape.toString());
    }

    private static boolean alike(List<Run> a, List<Run> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (!a.get(i).like(b.get(i))) {
                return false;
            }
        }
        return true;
    }

    private static String often(int least, int most) {
        return least == most ? "{" + most + "}" : "{" + least + "," + most + "}";
    }

    /** A text that stands for itself in a shape. */
    static String literal(String text) {
        StringBuilder out = new StringBuilder();
        for (char c : text.toCharArray()) {
            out.append(MEANING_MORE.indexOf(c) >= 0 ? "~" : "").append(c);
        }
        return out.toString();
    }

    private static List<Run> runs(String value) {
        List<Run> runs = new ArrayList<>();
        for (char c : value.toCharArray()) {
            char kind = Character.isDigit(c) ? '9' : Character.isUpperCase(c) ? 'A' : Character.isLetter(c) ? 'a' : ' ';
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null && last.kind() == kind && kind != ' ') {
                runs.set(runs.size() - 1, new Run(kind, last.text() + c));
            } else {
                runs.add(new Run(kind, String.valueOf(c)));
            }
        }
        return runs;
    }
}
