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
    @JsonSubTypes.Type(value = TidyStep.Amount.class, name = "amount"),
    @JsonSubTypes.Type(value = TidyStep.Time.class, name = "time")
})
public sealed interface TidyStep {
    /** One answer for each kind of step. */
    interface Cases<R> {
        R trim(Trim step);

        R inCase(Case step);

        R replace(Replace step);

        R keep(Keep step);

        R drop(Drop step);

        R pad(Pad step);

        R date(Date step);

        R amount(Amount step);

        R time(Time step);
    }

    <R> R match(Cases<R> cases);

    /** Blanks at the ends go, runs of blanks inside become one. */
    record Trim() implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.trim(this);
        }
    }

    record Case(To to) implements TidyStep {
        public enum To {
            @JsonProperty("upper")
            UPPER,
            @JsonProperty("lower")
            LOWER
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.inCase(this);
        }
    }

    record Replace(String what, String with) implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.replace(this);
        }
    }

    /** @param characters those that stay */
    record Keep(String characters) implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.keep(this);
        }
    }

    /** @param characters those that go */
    record Drop(String characters) implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drop(this);
        }
    }

    /** Fills up in front to a length. */
    record Pad(int length, String with) implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pad(this);
        }
    }

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

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.date(this);
        }
    }

    /** A time of day in a usual spelling becomes {@code HH:mm}. */
    record Time() implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.time(this);
        }
    }

    /** An amount with decimal comma or point becomes digits with a decimal point. */
    record Amount() implements TidyStep {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.amount(this);
        }
    }
}
