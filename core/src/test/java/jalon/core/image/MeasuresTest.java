package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MeasuresTest {
    @ParameterizedTest
    @ValueSource(doubles = {-9, -3.2, -0.8, 0, 0.3, 1.7, 6})
    void skewOfALetter(double degrees) {
        var page = GrayPlane.of(Pictures.page(200, degrees, Pictures::letter));
        assertThat(Skew.of(page.small(200)).degrees()).isCloseTo(degrees, within(0.1));
    }

    @Test
    void anEmptyPageHasNoSkew() {
        assertThat(Skew.of(GrayPlane.of(Pictures.page(200, 3, g -> {})).small(200))
                        .certain())
                .isFalse();
    }

    @Test
    void holesAndEdgesAreNotInkButASignatureIs() {
        var empty = GrayPlane.of(Pictures.page(200, 0, g -> {
            g.fill(new Ellipse2D.Double(10, 105, 6, 6));
            g.fill(new Ellipse2D.Double(10, 185, 6, 6));
            g.fill(new Rectangle2D.Double(207, 0, 3, 297));
        }));
        var signed = GrayPlane.of(Pictures.page(200, 0, g -> Pictures.text(g, 120, 250, 14, "E. Lindqvist")));
        assertThat(Ink.of(empty.small(200), 210).share()).isLessThan(0.0001);
        assertThat(Ink.of(signed.small(200), 210).share()).isGreaterThan(0.0004);
    }

    @Test
    void turningFourTimesGivesThePageBack() {
        var page = GrayPlane.of(Pictures.page(50, 0, Pictures::letter));
        assertThat(page.turned(90).turned(90).turned(180).pixels()).isEqualTo(page.pixels());
    }
}
