package jalon.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.evidence.MeasuredCertainty.Seen;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeasuredCertaintyTest {
    private static void add(List<Seen> all, int n, double certainty, boolean sure, boolean held, Boolean right) {
        for (int i = 0; i < n; i++) {
            all.add(new Seen(LocalDate.of(2026, 11, 20 + i % 10), certainty, sure, held, right));
        }
    }

    private static MeasuredCertainty month() {
        List<Seen> all = new ArrayList<>();
        add(all, 980, 0.999, true, false, null);
        add(all, 20, 0.999, true, false, true);
        add(all, 60, 0.97, false, false, true);
        add(all, 2, 0.97, false, false, false);
        add(all, 10, 0.995, false, true, true);
        add(all, 8, 0.5, false, true, false);
        return new MeasuredCertainty(all, 10);
    }

    @Test
    void sureIsAsGoodAsTheFewThatWereLookedAtCanSay() {
        MeasuredCertainty.Figures figures = month().figures();
        assertThat(figures.sure()).isEqualTo(1000);
        assertThat(figures.sureLooked()).isEqualTo(20);
        assertThat(figures.sureWrong()).isZero();
        // None of 20: at most 16.8 of a hundred (Clopper and Pearson).
        assertThat(figures.atMost()).isCloseTo(0.168, within(0.001));
        assertThat(figures.doubts()).isEqualTo(80);
        assertThat(figures.needless()).isEqualTo(70);
        assertThat(Bounds.upper(0, 300)).isCloseTo(0.0122, within(0.0001));
    }

    @Test
    void weeksAreTheSameFiguresPartedByMondays() {
        var weeks = month().weeks();
        assertThat(weeks)
                .extracting(MeasuredCertainty.Week::from)
                .containsExactly(LocalDate.of(2026, 11, 16), LocalDate.of(2026, 11, 23));
        assertThat(weeks.stream().mapToInt(w -> w.figures().sure()).sum()).isEqualTo(1000);
        assertThat(month().limits(0.96))
                .extracting(MeasuredCertainty.Under::limit)
                .isSorted()
                .contains(0.96, 0.985)
                .doesNotHaveDuplicates();
    }

    @Test
    void anotherLimitIsShownByWhatItWouldAskAndWhatItWouldLetPass() {
        MeasuredCertainty.Under now = month().under(0.985);
        assertThat(now.doubtsADay()).isEqualTo(8);
        assertThat(now.errorsInThousand()).isZero();
        MeasuredCertainty.Under lower = month().under(0.95);
        assertThat(lower.doubtsADay()).isCloseTo(1.8, within(1e-9));
        // Each of the 20 sure ones stands for 50: 2 wrong of 1062.
        assertThat(lower.errorsInThousand()).isCloseTo(1000 * 2 / 1062.0, within(1e-9));
        assertThat(month().under(0.9999).errorsInThousand()).isNull();
    }
}
