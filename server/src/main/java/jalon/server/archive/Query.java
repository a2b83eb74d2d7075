package jalon.server.archive;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The archive's one line, understood: {@code field:part} looks in a field (a part of the value is enough), words in
 * quotation marks must stand together, other words must all be there, each as the beginning of a word.
 *
 * @param fields parts of field values by field name
 * @param words single words and phrases
 */
public record Query(Map<String, String> fields, List<String> words, List<String> phrases) {
    private static final Pattern PART = Pattern.compile("(?:([\\p{L}][\\p{L}\\d-]*):)?(?:\"([^\"]*)\"?|(\\S+))");

    public static Query of(String line) {
        Map<String, String> fields = new LinkedHashMap<>();
        List<String> words = new ArrayList<>();
        List<String> phrases = new ArrayList<>();
        Matcher m = PART.matcher(line == null ? "" : line);
        while (m.find()) {
            String text = m.group(2) != null ? m.group(2) : m.group(3);
            if (m.group(1) != null) {
                if (!text.isBlank()) {
                    fields.put(m.group(1).toLowerCase(Locale.ROOT), text.strip());
                }
                continue;
            }
            List<String> pieces = pieces(text);
            if (pieces.size() > 1) {
                // A registration such as PM-4821-K is three words that stand together.
                phrases.add(String.join(" ", pieces));
            } else {
                words.addAll(pieces);
            }
        }
        return new Query(fields, words, phrases);
    }

    private static List<String> pieces(String text) {
        List<String> pieces = new ArrayList<>();
        for (String piece : text.split("[^\\p{L}\\p{N}]+")) {
            if (!piece.isEmpty()) {
                pieces.add(piece);
            }
        }
        return pieces;
    }

    /**
     * For MATCH ... AGAINST (IN BOOLEAN MODE), one for each word, since the words of a document may stand on different
     * pages; only letters and digits reach it, so nothing of it is syntax.
     */
    List<String> fullText() {
        List<String> all = new ArrayList<>();
        words.forEach(w -> all.add("+" + w + "*"));
        phrases.forEach(p -> all.add("+\"" + p + "\""));
        return all;
    }

    /** A LIKE pattern for a part of a value. */
    static String anywhere(String part) {
        return "%" + part.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
    }

    /** Whether a printed word is one of those looked for. */
    boolean hits(String printed) {
        List<String> seen = pieces(printed.toLowerCase(Locale.ROOT));
        return seen.stream()
                .anyMatch(s -> words.stream().anyMatch(w -> s.startsWith(w.toLowerCase(Locale.ROOT)))
                        || phrases.stream()
                                .anyMatch(
                                        p -> List.of(p.toLowerCase(Locale.ROOT).split(" "))
                                                .contains(s)));
    }
}
