package jalon.server.archive;

import static java.util.stream.Collectors.toUnmodifiableMap;
import static java.util.stream.Collectors.toUnmodifiableSet;

import jalon.core.stream.Field;
import jalon.core.stream.StreamDefinition;
import jalon.server.stream.StreamLibrary;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What streams call confidential, as they have it at this moment; for what was filed earlier too. A type that a stream no
 * longer has is as its last version with the type had it.
 */
final class Confidential {
    private final StreamLibrary streams;
    private final Map<String, Optional<Integer>> newest = new HashMap<>();
    private final Map<String, Optional<StreamDefinition.DocumentType>> known = new HashMap<>();

    Confidential(StreamLibrary streams) {
        this.streams = streams;
    }

    boolean isType(String stream, String type) {
        return type(stream, type).filter(t -> t.confidential()).isPresent();
    }

    /** Names of a type's fields that are. */
    Set<String> fields(String stream, String type) {
        return type(stream, type).map(Confidential::fields).orElse(Set.of());
    }

    private static Set<String> fields(StreamDefinition.DocumentType type) {
        return type.fields().stream()
                .filter(Field::confidential)
                .map(Field::field)
                .collect(toUnmodifiableSet());
    }

    /** Names of fields that are, by type. */
    static Map<String, Set<String>> fields(StreamDefinition stream) {
        return stream.types().stream()
                .filter(t -> !fields(t).isEmpty())
                .collect(toUnmodifiableMap(StreamDefinition.DocumentType::type, Confidential::fields));
    }

    private Optional<StreamDefinition.DocumentType> type(String stream, String type) {
        return known.computeIfAbsent(stream + "/" + type, key -> lookedUp(stream, type));
    }

    private Optional<StreamDefinition.DocumentType> lookedUp(String stream, String type) {
        int version = newest.computeIfAbsent(stream, streams::newestIfAny).orElse(0);
        for (int v = version; v >= 1; v--) {
            Optional<StreamDefinition.DocumentType> its =
                    streams.usable(stream, v).flatMap(definition -> definition.type(type));
            if (its.isPresent()) {
                return its;
            }
        }
        return Optional.empty();
    }
}
