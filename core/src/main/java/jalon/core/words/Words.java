package jalon.core.words;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Codes in English, for reports, mails and logs; from the same file that the screens have their words from. */
public final class Words {
    private static final Words CORE = new Words("/jalon/words/en.json");

    private final JsonNode words;

    /** @param resource a language file: an object of words by the names of codes, or of such objects */
    public Words(String resource) {
        try (InputStream in = Words.class.getResourceAsStream(resource)) {
            words = JsonMapper.builder().build().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param section of the core's language file
     * @param with what stands for the parts in braces, by their names
     */
    public static String of(String section, Enum<?> code, Map<String, String> with) {
        return filled(CORE.words.required(section).required(name(code)).asString(), with);
    }

    /** The words of a file without sections. */
    public String of(Enum<?> code, Map<String, String> with) {
        return filled(words.required(name(code)).asString(), with);
    }

    /** The name a constant has outside: what its {@link JsonProperty} says, else its own. */
    public static String name(Enum<?> constant) {
        try {
            JsonProperty named =
                    constant.getDeclaringClass().getField(constant.name()).getAnnotation(JsonProperty.class);
            return named == null ? constant.name() : named.value();
        } catch (NoSuchFieldException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Words with their parts in braces filled in; each once, whatever the values hold. */
    private static String filled(String words, Map<String, String> with) {
        var out = new StringBuilder();
        int at = 0;
        for (int open = words.indexOf('{'); open >= 0; open = words.indexOf('{', at)) {
            int close = words.indexOf('}', open);
            out.append(words, at, open).append(with.getOrDefault(words.substring(open + 1, close), ""));
            at = close + 1;
        }
        return out.append(words, at, words.length()).toString();
    }
}
