package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import jalon.core.run.Decision;
import jalon.server.NewerData;
import java.util.Arrays;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Decisions as they lie in the database: the JSON in which they come from the screens. */
final class StoredDecision {
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private StoredDecision() {}

    /** The name of its kind, such as {@code setAside}. */
    static String kind(Decision decision) {
        return Arrays.stream(Decision.class.getAnnotation(JsonSubTypes.class).value())
                .filter(type -> type.value() == decision.getClass())
                .map(JsonSubTypes.Type::name)
                .findFirst()
                .orElseThrow();
    }

    static String write(Decision decision) {
        return JSON.writerFor(Decision.class).writeValueAsString(decision);
    }

    /** @throws NewerData when it is of a kind that this version does not know */
    static Decision read(String body) {
        try {
            return JSON.readValue(body, Decision.class);
        } catch (JacksonException e) {
            throw new NewerData("a decision (" + e.getOriginalMessage() + ")", e);
        }
    }
}
