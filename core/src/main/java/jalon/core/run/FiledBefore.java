package jalon.core.run;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/** What was filed before, where somebody keeps it. */
@FunctionalInterface
public interface FiledBefore {
    FiledBefore NOTHING = (type, values) -> Optional.empty();

    /** @param page its first one, by the number in its batch */
    record Earlier(LocalDate on, String batch, int page) {}

    /**
     * The newest document of a type that was filed with all of these values.
     *
     * @param values by field, at least one
     */
    Optional<Earlier> with(String type, Map<String, String> values);
}
