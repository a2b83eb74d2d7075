package jalon.core.evidence;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Codes in English, for reports; from the same file that the screens have their words from. */
public final class Wording {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final JsonNode WORDS = words();

    private Wording() {}

    private static JsonNode words() {
        try (InputStream in = Wording.class.getResourceAsStream("/jalon/words/en.json")) {
            return JSON.readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Such as {@code not of the form PM-9999-A}. */
    public static String of(Reason reason) {
        return of("reason", reason.code(), reason.with());
    }

    /**
     * @param section of the language file
     * @param code a constant with the name that the file has for it
     * @param with what stands for the parts in braces, by their names
     */
    public static String of(String section, Enum<?> code, Map<String, String> with) {
        String said = WORDS.required(section)
                .required(JSON.convertValue(code, String.class))
                .asString();
        for (Map.Entry<String, String> part : with.entrySet()) {
            said = said.replace("{" + part.getKey() + "}", part.getValue());
        }
        return said;
    }
}
