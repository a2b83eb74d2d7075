package jalon.core.name;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamesTest {
    @Test
    void aSlashInAValueMakesNoFolder() {
        var values = Map.of("vessel", "PM/48", "applied", "2026-04-03", "no", "7");
        assertThat(NameTemplate.parse("Berths/{applied:yyyy}/{vessel}").fill(values))
                .isEqualTo(List.of("Berths", "2026", "PM-48"));
        assertThat(NameTemplate.parse("{type|letter} {no:000}").fill(values)).isEqualTo(List.of("letter 007"));
        assertThatThrownBy(() -> NameTemplate.parse("a {vessel")).hasMessageContaining("not closed");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "../../etc/passwd|-..-etc-passwd",
                "CON|_CON",
                "nul.txt|_nul.txt",
                "a\u0000b\u202Ec|abc",
                "name. .|name",
                "<>:\"?*|------",
                "'   '|unnamed",
                "Grüße 🚢|Grüße 🚢"
            })
    void unsafeNamesAreMadeSafe(String raw, String safe) {
        assertThat(SafeName.of(raw)).isEqualTo(safe);
    }

    @Test
    void longNamesAreCutBetweenCharacters() {
        String name = SafeName.of("🚢".repeat(100));
        assertThat(name.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(120);
        assertThat(name).matches("(🚢)+");
    }
}
