package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.math.BigDecimal;
import java.util.List;

/** What a value must satisfy. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "check")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Check.Like.class, name = "like"),
    @JsonSubTypes.Type(value = Check.Matches.class, name = "matches"),
    @JsonSubTypes.Type(value = Check.Length.class, name = "length"),
    @JsonSubTypes.Type(value = Check.Date.class, name = "date"),
    @JsonSubTypes.Type(value = Check.Range.class, name = "range"),
    @JsonSubTypes.Type(value = Check.OneOf.class, name = "oneOf"),
    @JsonSubTypes.Type(value = Check.InRegister.class, name = "inRegister")
})
public sealed interface Check {
    /** @param like a {@linkplain Shape shape} */
    record Like(String like) implements Check {}

    /** @param pattern a regular expression (RE2) for the whole value */
    record Matches(String pattern) implements Check {}

    record Length(Integer least, Integer most) implements Check {}

    /**
     * A real date, {@code yyyy-MM-dd}.
     *
     * @param future whether a date after today is allowed
     * @param yearsBack how long ago it may be at most, or null
     */
    record Date(@JsonProperty("future") boolean future, Integer yearsBack) implements Check {}

    record Range(BigDecimal least, BigDecimal most) implements Check {}

    record OneOf(List<String> values) implements Check {
        public OneOf {
            values = values == null ? List.of() : List.copyOf(values);
        }
    }

    record InRegister(String register, String column) implements Check {}
}
