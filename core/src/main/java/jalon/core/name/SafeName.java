package jalon.core.name;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Names that every usual file system takes: no separators, control or direction characters, none of the characters and
 * device names that Windows reserves, no dot or blank at the end, at most 120 bytes.
 */
public final class SafeName {
    /** File systems take 255 bytes; room is left for a number, an ending and a temporary mark. */
    private static final int MOST_BYTES = 120;

    private static final Set<String> DEVICES = Set.of(
            "con", "prn", "aux", "nul", "com1", "com2", "com3", "com4", "com5", "com6", "com7", "com8", "com9", "lpt1",
            "lpt2", "lpt3", "lpt4", "lpt5", "lpt6", "lpt7", "lpt8", "lpt9");

    private SafeName() {}

    /**
     * A path that a person typed, part by part.
     *
     * @return one safe name for each part between slashes that says something
     */
    public static List<String> path(String typed) {
        return Arrays.stream(typed.split("/"))
                .filter(part -> !part.isBlank())
                .map(SafeName::of)
                .toList();
    }

    /** Whether a text can stand in a name as it is. */
    public static boolean takes(String text) {
        return piece(text).equals(Normalizer.normalize(text, Normalizer.Form.NFC))
                && text.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
    }

    /** A value as part of a name: what is unsafe becomes a dash. */
    static String piece(String text) {
        StringBuilder out = new StringBuilder();
        Normalizer.normalize(text, Normalizer.Form.NFC).codePoints().forEach(c -> {
            int type = Character.getType(c);
            boolean invisible = type == Character.CONTROL
                    || type == Character.FORMAT
                    || type == Character.SURROGATE
                    || type == Character.PRIVATE_USE
                    || type == Character.UNASSIGNED
                    || type == Character.LINE_SEPARATOR
                    || type == Character.PARAGRAPH_SEPARATOR;
            if ("/\\:*?\"<>|".indexOf(c) >= 0) {
                out.append('-');
            } else if (!invisible) {
                out.appendCodePoint(c);
            }
        });
        return out.toString();
    }

    public static String of(String text) {
        String name = piece(text).strip().replaceAll("\\s+", " ");
        // Neither a hidden file nor a step up the tree, and no ending that Windows drops.
        name = name.replaceAll("^[. ]+", "").replaceAll("[. ]+$", "");
        name = cut(name);
        if (name.isEmpty()) {
            return "unnamed";
        }
        String stem = name.contains(".") ? name.substring(0, name.indexOf('.')) : name;
        return DEVICES.contains(stem.toLowerCase(Locale.ROOT)) ? "_" + name : name;
    }

    private static String cut(String name) {
        String cut = name;
        while (cut.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
        }
        return cut.stripTrailing();
    }
}
