package jalon.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordFitTest {
    @ParameterizedTest
    @CsvSource({"0, 0, 1, 0", "20, -15, 1.03, 2", "-18, 22, 0.93, -6", "5, 5, 1.1, 10"})
    void aKnownMapIsFoundThoughAThirdOfTheWordsIsLostAndOthersStandThere(
            double dx, double dy, double scale, double turn) {
        Random r = new Random(7);
        double a = scale * Math.cos(Math.toRadians(turn));
        double b = scale * Math.sin(Math.toRadians(turn));
        // About the middle of the page.
        var map = new Similarity(a, b, 105 - (a * 105 - b * 148) + dx, 148 - (b * 105 + a * 148) + dy);
        List<WordFit.At> from = new ArrayList<>();
        List<WordFit.At> to = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            var word = new WordFit.At("word" + i % 30, 15 + 180 * r.nextDouble(), 15 + 260 * r.nextDouble());
            from.add(word);
            if (i % 3 == 0) {
                to.add(new WordFit.At(word.word(), 15 + 180 * r.nextDouble(), 15 + 260 * r.nextDouble()));
            } else {
                double noise = 0.3 * r.nextGaussian();
                to.add(new WordFit.At(
                        word.word(), map.x(word.x(), word.y()) + noise, map.y(word.x(), word.y()) - noise));
            }
        }
        WordFit fit = WordFit.of(from, WordFit.byWord(to));
        assertThat(fit.agreeing()).isGreaterThan(20);
        for (double[] p : new double[][] {{20, 20}, {190, 270}, {100, 150}}) {
            assertThat(fit.map().x(p[0], p[1])).isCloseTo(map.x(p[0], p[1]), within(0.8));
            assertThat(fit.map().y(p[0], p[1])).isCloseTo(map.y(p[0], p[1]), within(0.8));
            Similarity there = fit.map().inverse().after(fit.map());
            assertThat(there.x(p[0], p[1])).isCloseTo(p[0], within(1e-6));
            assertThat(there.y(p[0], p[1])).isCloseTo(p[1], within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "1"})
    void pagesThatShareNothingAgreeInNothing(int words) {
        List<WordFit.At> from = List.of(new WordFit.At("one", 10, 10), new WordFit.At("two", 90, 200));
        List<WordFit.At> to = words == 0 ? List.of() : List.of(new WordFit.At("one", 12, 10));
        WordFit fit = WordFit.of(from, WordFit.byWord(to));
        assertThat(fit.agreeing()).isZero();
        assertThat(fit.map()).isEqualTo(Similarity.NONE);
    }
}
