package jalon.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QueryTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\'',
            value = {
                "dues 2026|[+dues*, +2026*]",
                "PM-4821-K|[+\"PM 4821 K\"]",
                "\"harbour dues\" quay|[+quay*, +\"harbour dues\"]",
                "+(foo) @x*|[+foo*, +x*]",
                "Größe|[+Größe*]"
            })
    void onlyLettersAndDigitsReachTheFullText(String line, String fullText) {
        assertThat(Query.of(line).fullText().toString()).isEqualTo(fullText);
    }

    @Test
    void fieldsTakeAPartOfTheirValue() {
        assertThat(Query.of("Vessel:PM-48 owner:\"Ewa L\" x").fields())
                .isEqualTo(Map.of("vessel", "PM-48", "owner", "Ewa L"));
        assertThat(Query.anywhere("50%_a\\")).isEqualTo("%50\\%\\_a\\\\%");
    }

    @Test
    void aPrintedWordIsAHitByItsBeginning() {
        assertThat(Query.of("regis PM-4821-K").hits("Registration,")).isTrue();
        assertThat(Query.of("regis PM-4821-K").hits("PM-4821-K.")).isTrue();
        assertThat(Query.of("regis").hits("unregistered")).isFalse();
        assertThat(Query.of(null).fullText()).isEmpty();
    }
}
