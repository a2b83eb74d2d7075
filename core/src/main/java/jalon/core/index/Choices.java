package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.register.Plain;
import jalon.core.stream.Field;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Which of a field's choices a text means. */
record Choices(Map<String, List<String>> all) {
    /** Of so many letters one may be misread. */
    private static final int LETTERS_A_FAULT = 5;

    static Choices of(Field field) {
        return new Choices(field.choices());
    }

    /** A text that only resembles one, or says more than it, is taken for it with a doubt. */
    Tidying.Tidied meant(String text) {
        String plain = Plain.joined(text);
        Set<String> near = new HashSet<>();
        Set<String> part = new HashSet<>();
        List<String> tokens = Plain.tokens(text);
        for (Map.Entry<String, List<String>> choice : all.entrySet()) {
            List<String> spellings = new ArrayList<>(choice.getValue());
            spellings.add(choice.getKey());
            for (String spelling : spellings) {
                String its = Plain.joined(spelling);
                if (its.equals(plain)) {
                    return Tidying.Tidied.to(choice.getKey());
                }
                int most = its.length() / LETTERS_A_FAULT;
                if (most > 0 && new LevenshteinDistance(most).apply(plain, its) >= 0) {
                    near.add(choice.getKey());
                }
                if (tokens.containsAll(Plain.tokens(spelling)) && its.length() > 1) {
                    part.add(choice.getKey());
                }
            }
        }
        Set<String> meant = near.isEmpty() ? part : near;
        if (meant.size() != 1) {
            return Tidying.Tidied.failed(text, Reason.Code.NOT_ONE_OF.with(String.join(", ", all.keySet())));
        }
        String value = meant.iterator().next();
        return new Tidying.Tidied(value, null, List.of(Reason.Code.LOOKALIKES_MENDED.with(text, value)), List.of());
    }
}
