package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ProblemTest {
    @ParameterizedTest
    @EnumSource
    void everyProblemHasWordsThatHoldAllOfItsParts(Problem problem) {
        List<String> values =
                problem.parts().stream().map(part -> "<" + part + ">").toList();
        NotPossible told = problem.with(values.toArray());
        assertThat(told.getMessage()).isNotBlank().doesNotContain("{", "}");
        assertThat(values).allMatch(told.getMessage()::contains);
    }
}
