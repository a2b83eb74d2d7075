package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * One index field of a document type.
 *
 * @param mayBeAbsent whether a person may say that it is not on the document
 * @param sureFrom a value at least this certain, with all checks passed, is sure
 */
public record Field(
        String field,
        String title,
        Kind kind,
        boolean required,
        Boolean mayBeAbsent,
        List<Finder> finders,
        List<TidyStep> tidy,
        List<Check> checks,
        Double sureFrom) {
    public Field {
        title = title == null ? field : title;
        kind = kind == null ? Kind.TEXT : kind;
        mayBeAbsent = mayBeAbsent == null || mayBeAbsent;
        finders = finders == null ? List.of() : List.copyOf(finders);
        tidy = tidy == null ? List.of() : List.copyOf(tidy);
        checks = checks == null ? List.of() : List.copyOf(checks);
        sureFrom = sureFrom == null ? 0.985 : sureFrom;
    }

    public enum Kind {
        @JsonProperty("text")
        TEXT,
        @JsonProperty("number")
        NUMBER,
        @JsonProperty("amount")
        AMOUNT,
        @JsonProperty("date")
        DATE
    }
}
