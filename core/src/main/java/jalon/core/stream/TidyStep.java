package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** Something done to a value as read, in the order given. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
@JsonSubTypes({
    @JsonSubTypes.Type(value = TidyStep.Trim.class, name = "trim"),
    @JsonSubTypes.Type(value = TidyStep.Case.class, name = "case"),
    @JsonSubTypes.Type(value = TidyStep.Replace.class, name = "replace"),
    @JsonSubTypes.Type(value = TidyStep.Keep.class, name = "keep"),
    @JsonSubTypes.Type(value = TidyStep.Drop.class, name = "drop"),
    @JsonSubTypes.Type(value = TidyStep.Pad.class, name = "pad"),
    @JsonSubTypes.Type(value = TidyStep.Date.class, name = "date"),
    @JsonSubTypes.Type(value = TidyStep.Amount.class, name = "amount")
})
public sealed interface TidyStep {
    /** Blanks at the ends go, runs of blanks inside become one. */
    record Trim() implements TidyStep {}

    record Case(To to) implements TidyStep {
        public enum To {
            @JsonProperty("upper")
            UPPER,
            @JsonProperty("lower")
            LOWER
        }
    }

    record Replace(String what, String with) implements TidyStep {}

    /** @param characters those that stay */
    record Keep(String characters) implements TidyStep {}

    /** @param characters those that go */
    record Drop(String characters) implements TidyStep {}

    /** Fills up in front to a length. */
    record Pad(int length, String with) implements TidyStep {}

    /** A date in a usual spelling becomes {@code yyyy-MM-dd}. */
    record Date(Order order) implements TidyStep {
        public Date {
            order = order == null ? Order.DAY_FIRST : order;
        }

        public enum Order {
            @JsonProperty("dayFirst")
            DAY_FIRST,
            @JsonProperty("monthFirst")
            MONTH_FIRST
        }
    }

    /** An amount with decimal comma or point becomes digits with a decimal point. */
    record Amount() implements TidyStep {}
}
