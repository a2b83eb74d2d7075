package jalon.server.batch;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.image.Repair;
import jalon.core.run.Decision;
import jalon.server.people.Act;
import jalon.server.people.Logged;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class DecisionLogTest {
    static List<Arguments> decisions() {
        return List.of(
                Arguments.of(new Decision.SetAside(List.of(3)), Act.SET_ASIDE.with("3")),
                Arguments.of(new Decision.MovePages(List.of(3, 4), 0), Act.MOVED_TO_END.with("3, 4")),
                Arguments.of(new Decision.MovePages(List.of(9), 2, true), Act.ADDED_BEFORE.with("9", 2)),
                Arguments.of(new Decision.AskAgain(3, "faint"), Act.ASKED_AGAIN.with("3", "faint")),
                Arguments.of(new Decision.AskAgain(3, null), Act.ASKED_NO_LONGER.with("3")),
                Arguments.of(new Decision.CloseGap(5, null), Act.FILLED_GAP.with("5")),
                Arguments.of(new Decision.CloseGap(5, "lost at sea"), Act.WAIVED_GAP.with("5", "lost at sea")),
                Arguments.of(
                        new Decision.RepairPage(2, List.of(new Repair.FillHoles(), new Repair.CleanSpecks())),
                        Act.REPAIRED.with("2", "fill holes, clean specks")),
                Arguments.of(new Decision.RepairPage(2, null), Act.LEFT_REPAIRS_TO_STREAM.with("2")),
                Arguments.of(new Decision.Settle(1, "vessel", " ", 0, null), Act.SETTLED_ABSENT.with("1", "vessel")),
                Arguments.of(new Decision.AcceptCounts("one is a cover"), Act.ACCEPTED_COUNTS.with("one is a cover")));
    }

    @ParameterizedTest
    @MethodSource("decisions")
    void aDecisionIsLoggedAsWhatItDid(Decision decision, Logged logged) {
        assertThat(DecisionLog.of(decision)).isEqualTo(logged);
    }
}
