package jalon.core.register;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.google.re2j.Pattern;
import jalon.core.evidence.RowWeights;
import java.util.List;
import java.util.Map;

/** What a column of a register holds: how its values are looked for on paper. */
public enum ColumnKind {
    @JsonProperty("name")
    NAME(RowWeights.NAME, new NameLook()),
    @JsonProperty("telephone")
    TELEPHONE(RowWeights.TELEPHONE, new FiguresLook(v -> Figures.telling(Plain.digits(v)), p -> p.dialled)),
    @JsonProperty("date")
    DATE(RowWeights.DATE, new DayLook()),
    @JsonProperty("street")
    STREET(RowWeights.STREET, new StreetLook()),
    @JsonProperty("number")
    NUMBER(RowWeights.NUMBER, new FiguresLook(Plain::joined, p -> p.numbers)),
    @JsonProperty("text")
    TEXT(RowWeights.TEXT, new TextLook());

    private static final Pattern ISO_DATE = Pattern.compile("(1[6-9]|20)\\d\\d-[01]\\d-[0-3]\\d");
    private static final Pattern CALLED = Pattern.compile("[+(]?\\d[\\d ()/.–-]{4,18}\\d");
    private static final Pattern HOUSE = Pattern.compile(
            "(?i)\\d{1,4} ?[a-z]?,? \\pL[\\pL .'’-]{2,}.*|\\pL[\\pL .'’-]{2,}[ ,]\\d{1,4} ?[a-z]?(,.*)?");
    private static final Pattern PERSON = Pattern.compile("\\pL[\\pL.'’-]*([ ,]+\\pL[\\pL.'’-]*){1,3}");
    private static final Pattern NUMBERED = Pattern.compile("[\\pL\\pN/.-]*\\pN[\\pL\\pN/.-]*");

    /** A column may have a few faults. */
    private static final double MOST_OF_THEM = 0.8;

    /** Of two words each, names differ and places come again and again. */
    private static final double MOSTLY_OTHERS = 0.5;

    private static final int ENOUGH = 500;
    private static final int SHORTEST_NUMBER = 3;

    private final RowWeights weights;
    private final ValueLook look;

    ColumnKind(RowWeights weights, ValueLook look) {
        this.weights = weights;
        this.look = look;
    }

    ValueLook look() {
        return look;
    }

    RowWeights weights() {
        return weights;
    }

    /** What a column holds by its values; {@link #TEXT} where nothing tells. */
    static ColumnKind of(List<Map<String, String>> rows, String column) {
        List<String> some = rows.stream()
                .map(row -> row.getOrDefault(column, ""))
                .filter(v -> !v.isBlank())
                .limit(ENOUGH)
                .toList();
        if (mostly(some, ISO_DATE)) {
            return DATE;
        }
        if (mostly(some, CALLED) && some.stream().filter(ColumnKind::isDialled).count() >= MOST_OF_THEM * some.size()) {
            return TELEPHONE;
        }
        if (mostly(some, HOUSE)) {
            return STREET;
        }
        long longer = some.stream().filter(v -> v.length() >= SHORTEST_NUMBER).count();
        boolean differ = some.stream().distinct().count() > MOSTLY_OTHERS * some.size();
        if (mostly(some, NUMBERED) && differ && longer >= MOST_OF_THEM * some.size()) {
            return NUMBER;
        }
        return mostly(some, PERSON) && differ ? NAME : TEXT;
    }

    private static boolean mostly(List<String> values, Pattern form) {
        return !values.isEmpty() && values.stream().filter(form::matches).count() >= MOST_OF_THEM * values.size();
    }

    private static boolean isDialled(String value) {
        long digits = value.chars().filter(Character::isDigit).count();
        return digits >= Figures.LEAST_DIALLED && (digits < value.length() || value.startsWith("0"));
    }
}
