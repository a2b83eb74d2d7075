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
    /** One answer for each kind of check. */
    interface Cases<R> {
        R like(Like like);

        R matches(Matches matches);

        R length(Length length);

        R date(Date date);

        R range(Range range);

        R oneOf(OneOf oneOf);

        R inRegister(InRegister inRegister);
    }

    <R> R match(Cases<R> cases);

    /**
     * Tells what is at fault beyond what the schema can say; most kinds have nothing to tell.
     *
     * @param at JSON pointer of the check
     */
    default void examine(String at, Faults faults) {}

    /** @param like a {@linkplain Shape shape} */
    record Like(String like) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.like(this);
        }
    }

    /** @param pattern a regular expression (RE2) for the whole value */
    record Matches(String pattern) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.matches(this);
        }

        @Override
        public void examine(String at, Faults faults) {
            faults.pattern(pattern, at + "/pattern");
        }
    }

    record Length(Integer least, Integer most) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.length(this);
        }
    }

    /**
     * A real date, {@code yyyy-MM-dd}.
     *
     * @param future whether a date after today is allowed
     * @param yearsBack how long ago it may be at most, or null
     */
    record Date(@JsonProperty("future") boolean future, Integer yearsBack) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.date(this);
        }
    }

    record Range(BigDecimal least, BigDecimal most) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.range(this);
        }
    }

    record OneOf(List<String> values) implements Check {
        public OneOf {
            values = values == null ? List.of() : List.copyOf(values);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.oneOf(this);
        }
    }

    record InRegister(String register, String column) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.inRegister(this);
        }
    }
}
