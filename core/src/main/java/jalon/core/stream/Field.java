package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One index field of a document type.
 *
 * @param choices the values that it can have, each with the other spellings that mean it; empty where anything can stand
 * @param several whether it holds all values that are found, joined by {@link #JOINED_BY}
 * @param ranked whether the first finder that finds something is right, whatever the others find
 * @param mayBeAbsent whether a person may say that it is not on the document
 * @param confidential whether it is only for those who may see what is confidential
 * @param sureFrom a value at least this certain, with all checks passed, is sure
 */
public record Field(
        String field,
        String title,
        Kind kind,
        Map<String, List<String>> choices,
        boolean several,
        boolean required,
        Boolean mayBeAbsent,
        boolean confidential,
        List<Finder> finders,
        boolean ranked,
        List<TidyStep> tidy,
        List<Check> checks,
        Double sureFrom) {
    /** Between the values of a field that holds several. */
    public static final String JOINED_BY = "; ";

    /** A field that holds what some finders find; all else is as usual. */
    public static Field of(String field, Kind kind, List<Finder> finders) {
        return new Field(field, null, kind, null, false, false, null, false, finders, false, null, null, null);
    }

    public Field {
        title = title == null ? field : title;
        kind = kind == null ? Kind.TEXT : kind;
        choices = choices == null ? kind.choices : Collections.unmodifiableMap(new LinkedHashMap<>(choices));
        mayBeAbsent = mayBeAbsent == null || mayBeAbsent;
        finders = finders == null ? List.of() : List.copyOf(finders);
        tidy = tidy == null ? List.of() : List.copyOf(tidy);
        checks = checks == null ? List.of() : List.copyOf(checks);
        sureFrom = sureFrom == null ? 0.985 : sureFrom;
    }

    /** The same field with what it finds as it is read: no steps, no checks, any text. */
    public Field asRead() {
        return new Field(
                field,
                title,
                Kind.TEXT,
                Map.of(),
                false,
                required,
                mayBeAbsent,
                confidential,
                finders,
                true,
                null,
                null,
                sureFrom);
    }

    /** The values that a text holds: those of a field that holds several, else itself. */
    public List<String> values(String text) {
        return several
                ? Arrays.stream(text.split(JOINED_BY.strip()))
                        .map(String::strip)
                        .filter(part -> !part.isEmpty())
                        .toList()
                : List.of(text);
    }

    public enum Kind {
        @JsonProperty("text")
        TEXT,
        @JsonProperty("number")
        NUMBER,
        @JsonProperty("amount")
        AMOUNT,
        @JsonProperty("date")
        DATE,
        @JsonProperty("time")
        TIME,
        /** One of its choices. */
        @JsonProperty("choice")
        CHOICE,
        @JsonProperty("yesNo")
        YES_NO(Spellings.of()),
        /** As a machine printed it: no letter is ever taken for another. */
        @JsonProperty("code")
        CODE,
        /** A person's or a firm's. */
        @JsonProperty("name")
        NAME,
        /** Of a person or a house, its lines joined by commas. */
        @JsonProperty("address")
        ADDRESS;

        private final Map<String, List<String>> choices;

        Kind() {
            this(Map.of());
        }

        Kind(Map<String, List<String>> choices) {
            this.choices = choices;
        }

        private static final class Spellings {
            static Map<String, List<String>> of() {
                Map<String, List<String>> both = new LinkedHashMap<>();
                both.put("yes", YES);
                both.put("no", NO);
                return Collections.unmodifiableMap(both);
            }

            static final List<String> YES =
                    List.of("ja", "oui", "sí", "sim", "sì", "tak", "ano", "áno", "igen", "kyllä", "da", "y", "j", "x");
            static final List<String> NO =
                    List.of("nein", "non", "não", "nie", "ne", "nem", "ei", "nej", "nei", "nee", "nu", "n");
        }
    }
}
