package jalon.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class StreamWatchTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
    private final List<StreamWatch.Seen> seen = new ArrayList<>();
    private int document;

    /** A document of two fields. */
    private void filed(String type, int daysAgo, StreamWatch.Seen... fields) {
        document++;
        for (StreamWatch.Seen f : fields) {
            seen.add(new StreamWatch.Seen(
                    new StreamWatch.FiledDocument("B-1", document),
                    type,
                    f.field(),
                    f.finder(),
                    TODAY.minusDays(daysAgo),
                    f.sure(),
                    f.right(),
                    f.reasons()));
        }
    }

    private static StreamWatch.Seen field(String name, boolean sure, Boolean right, String... reasons) {
        return new StreamWatch.Seen(null, null, name, "label", TODAY, sure, right, List.of(reasons));
    }

    @Test
    void whatIsUntouchedDoubtedAndCorrectedIsCountedByWeekCauseAndRule() {
        filed("letter", 9, field("sum", true, null), field("day", true, null));
        filed("letter", 2, field("sum", false, true, "hardToRead"), field("day", true, false));
        filed("letter", 1, field("sum", false, false, "hardToRead", "notLike"), field("day", false, null));
        StreamWatch watch = StreamWatch.of(seen, TODAY);
        assertThat(watch.weeks())
                .containsExactly(
                        new StreamWatch.WatchedWeek(LocalDate.of(2026, 11, 16), 1, 1, 2, 0, 0),
                        new StreamWatch.WatchedWeek(LocalDate.of(2026, 11, 23), 2, 0, 4, 2, 1));
        assertThat(watch.causes())
                .containsExactly(
                        new StreamWatch.DoubtCause("hardToRead", 2, 1), new StreamWatch.DoubtCause("notLike", 1, 0));
        assertThat(watch.corrected())
                .extracting(
                        StreamWatch.CorrectedRule::field,
                        StreamWatch.CorrectedRule::wrong,
                        StreamWatch.CorrectedRule::sureWrong)
                .containsExactly(tuple("day", 1, 1), tuple("sum", 1, 0));
        assertThat(watch.corrected().get(1).latest()).containsExactly(new StreamWatch.FiledDocument("B-1", 3));
        assertThat(watch.drifting()).isEmpty();
    }

    @Test
    void aTypeThatIsReadBadlyOfLateDriftsAndOneThatAlwaysWasDoesNot() {
        for (int i = 0; i < 40; i++) {
            boolean lately = i >= 30;
            int days = lately ? 3 : 40;
            boolean odd = lately && i % 2 == 0;
            filed("slip", days, field("sum", !odd, null, odd ? new String[] {"lostBefore"} : new String[0]));
            filed("note", days, field("sum", i % 2 != 0, null, i % 2 == 0 ? new String[] {"faint"} : new String[0]));
        }
        StreamWatch watch = StreamWatch.of(seen, TODAY);
        assertThat(watch.drifting()).hasSize(1);
        StreamWatch.DriftingType slip = watch.drifting().get(0);
        assertThat(slip.type()).isEqualTo("slip");
        assertThat(List.of(slip.badly(), slip.of(), slip.badlyBefore(), slip.ofBefore()))
                .containsExactly(5, 10, 0, 30);
        assertThat(slip.latest()).hasSize(5);
    }
}
