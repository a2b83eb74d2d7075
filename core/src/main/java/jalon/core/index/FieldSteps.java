package jalon.core.index;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.evidence.Reason;
import jalon.core.stream.Field;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * How a field's value came to be: as it was read, and after each of its steps.
 *
 * @param read as it stands on the paper, or null where nothing was found
 * @param steps one for each tidy step in its order, then what the field's kind asks for; fewer where one could not be done
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record FieldSteps(String read, List<Step> steps) {
    /** @param value after the step, @param problem why it could not be done, or null */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Step(String value, String problem) {}

    /**
     * @param field as the stream has it
     * @param value of the field, or null
     * @param asRead the value of the field {@linkplain Field#asRead as it is read}, with what else was found
     * @param today for years of two figures
     */
    public static FieldSteps of(Field field, String value, FieldValue asRead, LocalDate today) {
        if (asRead == null || asRead.value() == null) {
            return new FieldSteps(null, List.of());
        }
        String read = Stream.concat(Stream.of(asRead.value()), asRead.candidates().stream())
                .filter(text ->
                        Objects.equals(value, Tidy.tidy(text, field, today).value()))
                .findFirst()
                .orElse(asRead.value());
        return new FieldSteps(
                read,
                Tidy.each(read.strip(), field, today).stream()
                        .map(t -> new Step(t.value(), words(t.problem())))
                        .toList());
    }

    private static String words(Reason problem) {
        return problem == null ? null : problem.words();
    }
}
