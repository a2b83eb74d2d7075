package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Stream;

/** What a value must satisfy. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "check")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Check.Like.class, name = "like"),
    @JsonSubTypes.Type(value = Check.Matches.class, name = "matches"),
    @JsonSubTypes.Type(value = Check.Length.class, name = "length"),
    @JsonSubTypes.Type(value = Check.Date.class, name = "date"),
    @JsonSubTypes.Type(value = Check.Range.class, name = "range"),
    @JsonSubTypes.Type(value = Check.OneOf.class, name = "oneOf"),
    @JsonSubTypes.Type(value = Check.InRegister.class, name = "inRegister"),
    @JsonSubTypes.Type(value = Check.CheckDigit.class, name = "checkDigit"),
    @JsonSubTypes.Type(value = Check.Sum.class, name = "sum"),
    @JsonSubTypes.Type(value = Check.After.class, name = "after"),
    @JsonSubTypes.Type(value = Check.SameAs.class, name = "sameAs"),
    @JsonSubTypes.Type(value = Check.OnceInBatch.class, name = "onceInBatch"),
    @JsonSubTypes.Type(value = Check.NotFiledBefore.class, name = "notFiledBefore")
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

        R checkDigit(CheckDigit checkDigit);

        R between(Between between);
    }

    <R> R match(Cases<R> cases);

    /**
     * Tells what is at fault beyond what the schema can say; most kinds have nothing to tell.
     *
     * @param type the document type it belongs to
     * @param at JSON pointer of the check
     */
    default void examine(DocumentType type, String at, Faults faults) {
        others().stream()
                .filter(name -> type.field(name).isEmpty())
                .forEach(name -> faults.add(at, "there is no field '" + name + "' in this type"));
    }

    /** The other fields of the type that it looks at. */
    default List<String> others() {
        return List.of();
    }

    /** @param like a {@linkplain Shape shape} */
    record Like(String like) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.like(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            faults.shape(like, at + "/like");
        }
    }

    /** @param pattern a regular expression (RE2) for the whole value */
    record Matches(String pattern) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.matches(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
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
     * @param role what the day is, from which the rest follows where it is not said; or null
     * @param future whether a date after today is allowed
     * @param yearsBack how long ago it may be at most, or null
     */
    record Date(Role role, @JsonProperty("future") boolean future, Integer yearsBack) implements Check {
        public Date {
            future = future || role != null && role.future;
            yearsBack = yearsBack == null && role != null ? Integer.valueOf(role.yearsBack) : yearsBack;
        }

        public enum Role {
            /** Nobody is older than 120. */
            @JsonProperty("birth")
            BIRTH(false, 120),
            @JsonProperty("written")
            WRITTEN(false, 10),
            @JsonProperty("due")
            DUE(true, 10),
            /** The first or last day of some time. */
            @JsonProperty("period")
            PERIOD(true, 50);

            private final boolean future;
            private final int yearsBack;

            Role(boolean future, int yearsBack) {
                this.future = future;
                this.yearsBack = yearsBack;
            }
        }

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

    /**
     * The last characters of a value prove the others.
     *
     * @param weights from the last character before the check digit to the first, again from the beginning where they end; only
     *     with {@link CheckDigits#WEIGHTS}
     * @param modulus only with these: 2 to 97
     */
    record CheckDigit(CheckDigits by, List<Integer> weights, Integer modulus) implements Check {
        public CheckDigit {
            weights = weights == null ? List.of() : List.copyOf(weights);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.checkDigit(this);
        }

        @Override
        public void examine(DocumentType type, String at, Faults faults) {
            if ((by == CheckDigits.WEIGHTS) != (!weights.isEmpty() && modulus != null)) {
                faults.add(at, "weights and a modulus belong to 'weights', and to that only");
            }
        }
    }

    /** One that needs more than the value itself: other values of the document, or other documents. */
    sealed interface Between extends Check {
        @Override
        default <R> R match(Cases<R> cases) {
            return cases.between(this);
        }
    }

    /** The value is the sum of some fields, less others; amounts or numbers. */
    record Sum(List<String> of, List<String> less) implements Between {
        public Sum {
            of = of == null ? List.of() : List.copyOf(of);
            less = less == null ? List.of() : List.copyOf(less);
        }

        @Override
        public List<String> others() {
            return Stream.concat(of.stream(), less.stream()).toList();
        }
    }

    /**
     * A date that does not lie before another field's.
     *
     * @param least days between, 0 when it may be the same day
     * @param most days between, or null
     */
    record After(String field, int least, Integer most) implements Between {
        @Override
        public List<String> others() {
            return List.of(field);
        }
    }

    /** The same as another field has, such as one that is found on another page. */
    record SameAs(String field) implements Between {
        @Override
        public List<String> others() {
            return List.of(field);
        }
    }

    /** No other document of its type in the batch has it. */
    record OnceInBatch() implements Between {}

    /**
     * No document of its type was filed with this value and these others.
     *
     * @param with fields whose values must be the same too, for it to be the same document
     */
    record NotFiledBefore(List<String> with) implements Between {
        public NotFiledBefore {
            with = with == null ? List.of() : List.copyOf(with);
        }

        @Override
        public List<String> others() {
            return with;
        }
    }

    record InRegister(String register, String column) implements Check {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.inRegister(this);
        }
    }
}
