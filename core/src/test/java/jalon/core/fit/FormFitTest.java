package jalon.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.fit.Similarity.Pair;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class FormFitTest {
    private static final Box ZONE = new Box(120, 200, 40, 8);

    /** Turned by 8 degrees, a tenth smaller, 25 mm aside. */
    private static final Similarity LIES = new Similarity(0.9 * Math.cos(0.14), 0.9 * Math.sin(0.14), 25, -10);

    private static List<List<Pair>> anchors(int right, int wrong) {
        Random r = new Random(5);
        List<List<Pair>> all = new ArrayList<>();
        for (int i = 0; i < right + wrong; i++) {
            double x = 15 + 170 * r.nextDouble();
            double y = 20 + 250 * r.nextDouble();
            all.add(List.of(
                    i < right
                            ? new Pair(x, y, LIES.x(x, y), LIES.y(x, y))
                            : new Pair(x, y, x + 40 * (r.nextDouble() - 0.5), y + 40 * (r.nextDouble() - 0.5))));
        }
        return all;
    }

    @Test
    void aFormThatWasTurnedShiftedAndMadeSmallerIsFollowedThoughAThirdOfItsWordsStandsElsewhere() {
        FormFit fit = FormFit.of(anchors(8, 4));
        Box laid = fit.of(ZONE);
        assertThat(laid.centreX()).isCloseTo(LIES.x(140, 204), Offset.offset(0.6));
        assertThat(laid.centreY()).isCloseTo(LIES.y(140, 204), Offset.offset(0.6));
        assertThat(laid.height()).isCloseTo(0.9 * 8, Offset.offset(0.3));
        assertThat(fit.trust(ZONE, 2)).isGreaterThan(0.95);
    }

    @Test
    void fewWordsThatAgreeByChanceAreNotTrusted() {
        assertThat(FormFit.of(anchors(0, 3)).trust(ZONE, 2)).isLessThan(0.9);
        assertThat(FormFit.of(anchors(2, 2)).trust(ZONE, 2)).isLessThan(0.9);
    }

    @Test
    void aSingleWordShiftsTheFormAndNoneLeavesItAsDrawn() {
        FormFit one = FormFit.of(List.of(List.of(new Pair(20, 50, 23, 52), new Pair(20, 50, 60, 70))));
        assertThat(one.of(ZONE)).isEqualTo(new Box(123, 202, 40, 8));
        assertThat(one.trust(ZONE, 2)).isLessThan(0.9);
        FormFit none = FormFit.of(List.of());
        assertThat(none.of(ZONE)).isEqualTo(ZONE);
        assertThat(none.trust(ZONE, 2)).isLessThan(0.5);
    }

    @Test
    void wordsThatStandSeveralTimesAreTriedAtAllTheirPlaces() {
        List<List<Pair>> anchors = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            double y = 30 + 40 * i;
            anchors.add(
                    List.of(new Pair(20, y, 24, y + 33), new Pair(20, y, 24, y - 7), new Pair(20, y, 64, y + 33 - 40)));
        }
        anchors.add(List.of(new Pair(150, 20, 154, 53)));
        FormFit fit = FormFit.of(anchors);
        assertThat(fit.of(ZONE).x()).isCloseTo(124, Offset.offset(0.2));
        assertThat(fit.of(ZONE).y()).isCloseTo(233, Offset.offset(0.2));
    }
}
