package jalon.server.batch;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.image.Repair;
import jalon.core.run.Decision;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ToldTest {
    static List<Arguments> decisions() {
        return List.of(
                Arguments.of(new Decision.SetAside(List.of(3)), "set aside page 3", ""),
                Arguments.of(new Decision.MovePages(List.of(3, 4), 0), "moved pages 3, 4 to the end", ""),
                Arguments.of(new Decision.MovePages(List.of(9), 2, true), "added page 9 before page 2", ""),
                Arguments.of(new Decision.AskAgain(3, "faint"), "asked again for page 3", "faint"),
                Arguments.of(new Decision.AskAgain(3, null), "no longer asked for page 3", ""),
                Arguments.of(new Decision.CloseGap(5, null), "filled the gap after page 5", ""),
                Arguments.of(new Decision.CloseGap(5, "lost at sea"), "waived the gap after page 5", "lost at sea"),
                Arguments.of(
                        new Decision.RepairPage(2, List.of(new Repair.FillHoles(), new Repair.CleanSpecks())),
                        "repaired page 2",
                        "fill holes, clean specks"),
                Arguments.of(new Decision.RepairPage(2, null), "left the repairs of page 2 to the stream", ""),
                Arguments.of(
                        new Decision.Settle(1, "vessel", " ", 0, null),
                        "settled vessel of the document with page 1",
                        "not on the document"),
                Arguments.of(
                        new Decision.AcceptCounts("one is a cover"), "left the counts as they are", "one is a cover"));
    }

    @ParameterizedTest
    @MethodSource("decisions")
    void aDecisionIsLoggedInWords(Decision decision, String act, String detail) {
        assertThat(Told.act(decision)).isEqualTo(act);
        assertThat(Told.detail(decision)).isEqualTo(detail);
    }
}
