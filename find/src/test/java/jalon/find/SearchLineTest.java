package jalon.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchLineTest {
    private static final Map<String, String> FIELDS = Map.of(
            "type",
            "type",
            "vessel",
            "vessel",
            "owner",
            "owner",
            "written",
            "written",
            "Written on",
            "written",
            "amount",
            "amount");

    private static SearchLine line(String typed) {
        return SearchLine.of(typed, FIELDS);
    }

    private static String said(SearchLine.Part p) {
        return (p.or() ? "or " : "") + (p.not() ? "not " : "") + p.kind() + " "
                + (p.field() == null ? "" : p.field() + " ") + p.text();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\'',
            value = {
                "dues 2026|[WORD dues, WORD 2026]",
                "PM-4821-K|[JOINED PM-4821-K]",
                "\"harbour dues\" quay|[PHRASE harbour dues, WORD quay]",
                "\"never ended|[PHRASE never ended]",
                "vessel:PM-48 -copy|[IN_FIELD vessel PM-48, not WORD copy]",
                "Vessel:\"PM 48\"|[IN_FIELD vessel PM 48]",
                "owner:=\"Ewa Lind\"|[WHOLE owner Ewa Lind]",
                "writtenon:2026-03..05|[RANGE written 2026-03..05]",
                "-amount:100..|[not RANGE amount 100..]",
                "amount:x..y|[IN_FIELD amount x..y]",
                "quay OR berth boat|[WORD quay, or WORD berth, WORD boat]",
                "OR quay OR|[WORD quay]",
                "quay or berth|[WORD quay, WORD or, WORD berth]",
                "Re: boat|[WORD Re:, WORD boat]",
                "12:30|[JOINED 12:30]",
                "owner: x|[WORD owner:, WORD x]",
                "+-\"(|[NOTHING +-\"(]",
                "- quay|[NOTHING -, WORD quay]",
                "%_*\\|[NOTHING %_*\\]",
                "Größe|[WORD Größe]"
            })
    void theLineIsUnderstood(String typed, String parts) {
        assertThat(line(typed).parts().stream().map(SearchLineTest::said).toList())
                .hasToString(parts);
    }

    @Test
    void aLineOfSignsAsksForNothingAndAnEmptyOneIsBlank() {
        assertThat(line("+-\"(").asks()).isFalse();
        assertThat(line("+-\"(").isBlank()).isFalse();
        assertThat(line("  ").isBlank()).isTrue();
        assertThat(line(null).isBlank()).isTrue();
    }

    @Test
    void partsSayWhereTheyStand() {
        String typed = "dues  -vessel:\"PM 48\" OR 7";
        assertThat(line(typed).parts().stream().map(p -> typed.substring(p.from(), p.to())))
                .containsExactly("dues", "-vessel:\"PM 48\"", "7");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03..05,2026-03-01,2026-05-31",
        "2026..,2026-01-01,",
        "..2025,,2025-12-31",
        "2024-02..2024-02,2024-02-01,2024-02-29",
        "2026-03-05..12,2026-03-05,2026-03-12",
        "1.3.2026..15.4.2026,2026-03-01,2026-04-15"
    })
    void rangesOfDays(String typed, LocalDate low, LocalDate high) {
        assertThat(Range.of(typed).orElseThrow().days()).isEqualTo(new Range.Ends<>(low, high));
    }

    @Test
    void whatIsNoRangeIsNone() {
        assertThat(Range.of("2026-13..2027")).isEmpty();
        assertThat(Range.of("..")).isEmpty();
        assertThat(Range.of("2026")).isEmpty();
        assertThat(Range.of("99,50..100").orElseThrow().numbers().low()).isEqualByComparingTo("99.5");
        assertThat(Range.of("99,50..100").orElseThrow().days()).isNull();
    }

    @Test
    void printedWordsAreMarked() {
        List<String> printed = List.of("Registration:", "PM-4821-K,", "harbour", "dues", "unregistered", "Łukasz");
        assertThat(line("regis").marked(printed, List.of())).containsExactly(0);
        assertThat(line("vessel:21-k type:harbour").marked(printed, List.of())).containsExactly(1);
        assertThat(line("821").marked(printed, List.of())).containsExactly(1);
        assertThat(line("PM-48").marked(printed, List.of())).containsExactly(1);
        assertThat(line("\"harbour dues\" -regis").marked(printed, List.of())).containsExactly(2, 3);
        assertThat(line("\"dues harbour\" lukasz").marked(printed, List.of())).containsExactly(5);
        assertThat(line("dies").marked(printed, List.of("dues"))).containsExactly(3);
        assertThat(line("vessel:\"pm 4821 k\"").marked(printed, List.of())).containsExactly(1);
    }
}
