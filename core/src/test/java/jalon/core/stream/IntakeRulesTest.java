package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;

class IntakeRulesTest {
    private static final Instant MADE = Instant.parse("2026-11-23T08:00:00Z");
    private static final Instant DUE = MADE.plusSeconds(90 * 60);

    @Test
    void aBatchIsLateAsAWholeOrInItsStageWhicheverComesFirst() {
        var rules = new IntakeRules(90, Map.of(Stage.PAGES, 30), null, 20, null, null);
        Instant after40 = MADE.plusSeconds(40 * 60);
        assertThat(rules.isLate(after40, DUE, Stage.PAGES, MADE)).isTrue();
        assertThat(rules.isLate(after40, DUE, Stage.PAGES, MADE.plusSeconds(20 * 60)))
                .isFalse();
        assertThat(rules.isLate(after40, DUE, Stage.INDEX, MADE))
                .as("no limit for this stage")
                .isFalse();
        assertThat(rules.isLate(DUE.plusSeconds(1), DUE, Stage.INDEX, DUE)).isTrue();
        assertThat(rules.raises(DUE.minusSeconds(19 * 60), DUE)).isTrue();
        assertThat(rules.raises(DUE.minusSeconds(21 * 60), DUE)).isFalse();
    }

    @Test
    void whatIsNotSaidIsUsual() {
        assertThat(IntakeRules.USUAL.dueMinutes()).isEqualTo(240);
        assertThat(IntakeRules.USUAL.raises(DUE.plusSeconds(9999), DUE)).isFalse();
        assertThat(IntakeRules.USUAL.stageDueAt(Stage.PAGES, MADE)).isEmpty();
        assertThat(IntakeRules.Priority.NORMAL.raised().raised().raised()).isEqualTo(IntakeRules.Priority.URGENT);
    }
}
