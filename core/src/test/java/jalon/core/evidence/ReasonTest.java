package jalon.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ReasonTest {
    @ParameterizedTest
    @EnumSource
    void everyCodeHasWordsThatHoldAllOfItsParts(Reason.Code code) {
        List<String> values =
                code.parts().stream().map(part -> "<" + part + ">").toList();
        String said = code.with(values.toArray()).words();
        assertThat(said).isNotBlank().doesNotContain("{", "}");
        assertThat(values).allMatch(said::contains);
        assertThatThrownBy(() -> code.with(new Object[values.size() + 1])).isInstanceOf(IllegalArgumentException.class);
    }
}
