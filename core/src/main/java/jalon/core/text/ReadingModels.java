package jalon.core.text;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** The reading models that are installed: one for each language, and one for each script. */
final class ReadingModels {
    /** Knows the letters of all languages written with Latin letters; slower, and worse at worn English prose. */
    static final String LATIN = "Latin";

    private static final String ENGLISH = "eng";
    private static final String ONE = "([a-z]{3}(_[A-Za-z]+)?|[A-Z][A-Za-z_]+)";
    private static final Pattern SEVERAL = Pattern.compile(ONE + "(\\+" + ONE + ")*");
    private static final List<String> NOT_LATIN =
            List.of("ara", "bul", "chi", "ell", "fas", "heb", "hin", "jpn", "kor", "mkd", "rus", "srp", "tha", "ukr");

    private ReadingModels() {}

    /**
     * @return the folder that holds them
     * @throws IllegalStateException when there is none; the message says what to install
     */
    static Path folder() {
        String set = System.getenv("TESSDATA_PREFIX");
        if (set != null && !set.isBlank()) {
            return Path.of(set);
        }
        for (String usual : List.of("/usr/share/tesseract-ocr/5/tessdata", "/usr/share/tessdata")) {
            if (Files.isDirectory(Path.of(usual))) {
                return Path.of(usual);
            }
        }
        throw new IllegalStateException(
                "no reading models are installed; on Debian: apt-get install tesseract-ocr-eng tesseract-ocr-osd");
    }

    static boolean has(String model) {
        return Files.exists(folder().resolve(model + ".traineddata"));
    }

    /**
     * @param models names joined by {@code +}, such as {@code eng+deu}
     * @throws IllegalStateException when one is not installed; the message says which package to install
     */
    static void need(String models) {
        if (!SEVERAL.matcher(models).matches()) {
            throw new IllegalStateException(
                    "'" + models + "' does not name reading languages; write for example eng or Latin");
        }
        for (String model : models.split("\\+")) {
            if (!has(model)) {
                throw new IllegalStateException("the reading model for '" + model
                        + "' is not installed; on Debian: apt-get install tesseract-ocr-" + packageOf(model));
            }
        }
    }

    private static String packageOf(String model) {
        return model.equals(LATIN)
                ? "script-latn"
                : model.toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The models that read a value a second time, with mistakes of another kind; the same where nothing else is installed. */
    static String other(String models) {
        boolean otherScript = Character.isUpperCase(models.charAt(0)) && !models.contains(LATIN);
        if (otherScript || NOT_LATIN.stream().anyMatch(models::startsWith)) {
            return models;
        }
        String other = models.contains(LATIN) ? ENGLISH : LATIN;
        return has(other) ? other : models;
    }
}
