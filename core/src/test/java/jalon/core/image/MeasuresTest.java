package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import java.awt.BasicStroke;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MeasuresTest {
    @ParameterizedTest
    @ValueSource(doubles = {-9, -3.2, -0.8, 0, 0.3, 1.7, 6})
    void skewOfALetter(double degrees) {
        var page = Pictures.plane(200, degrees, Pictures::letter);
        assertThat(Skew.of(page.small()).degrees()).isCloseTo(degrees, within(0.1));
    }

    /** Found on a sketch: its caption was turned with it and could not be read. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 5})
    void aDrawingLeavesTheLeanToItsCaption(double degrees) {
        var page = Pictures.plane(200, degrees, g -> {
            g.setStroke(new BasicStroke(0.3f));
            for (int i = 0; i < 12; i++) {
                g.draw(new Line2D.Double(30, 50 + 12 * i, 180, 80 + 12 * i));
                g.draw(new Line2D.Double(40 + 9 * i, 40, 60 + 9 * i, 210));
            }
            Pictures.text(g, 40, 250, 12, "Quay wall, section at ladder seven");
        });
        assertThat(Skew.of(page.small()).degrees()).isCloseTo(degrees, within(0.2));
    }

    @Test
    void anEmptyPageHasNoSkew() {
        assertThat(Skew.of(Pictures.plane(200, 3, g -> {}).small()).certain()).isFalse();
    }

    @Test
    void holesAndEdgesAreNotInkButASignatureIs() {
        var empty = Pictures.plane(200, 0, g -> {
            g.fill(new Ellipse2D.Double(10, 105, 6, 6));
            g.fill(new Ellipse2D.Double(10, 185, 6, 6));
            g.fill(new Rectangle2D.Double(207, 0, 3, 297));
        });
        var signed = Pictures.plane(200, 0, g -> Pictures.text(g, 120, 250, 14, "E. Lindqvist"));
        assertThat(ink(empty)).isLessThan(0.00001);
        assertThat(ink(signed)).isGreaterThan(0.0004);
    }

    /** One in a thousand nearly empty pages was lost by this: a long flat pencil line was taken for a ruled one. */
    @Test
    void aFlatScribbleIsContentAndARuledLineIsNot() {
        var scribble = Pictures.plane(200, 0, g -> {
            g.setColor(new java.awt.Color(195, 195, 195));
            g.setStroke(new java.awt.BasicStroke(0.4f));
            for (int i = 0; i < 10; i++) {
                g.draw(new java.awt.geom.Line2D.Double(40 + 5 * i, 100 + i % 2 * 2.5, 45 + 5 * i, 102.5 - i % 2 * 2.5));
            }
        });
        var ruled = Pictures.plane(200, 1.5, g -> {
            g.setStroke(new java.awt.BasicStroke(0.3f));
            for (int i = 0; i < 8; i++) {
                g.draw(new java.awt.geom.Line2D.Double(20, 60 + 12 * i, 190, 60 + 12 * i));
            }
        });
        assertThat(ink(scribble)).isGreaterThan(0.00001);
        assertThat(ink(ruled)).isLessThan(0.00001);
    }

    /** A black page, and one with a picture up to its rim, were taken for blank: their ink hangs on the image's side. */
    @Test
    void whatReachesTheSideIsContentUnlessItIsAnEdge() {
        var black = Pictures.plane(100, 0, g -> g.fill(new Rectangle2D.Double(0, 0, 210, 297)));
        var picture = Pictures.plane(200, 0, g -> g.fill(new Rectangle2D.Double(90, 100, 120, 90)));
        var edges = Pictures.plane(200, 0, g -> {
            g.fill(new Rectangle2D.Double(206, 0, 4, 297));
            g.fill(new Rectangle2D.Double(0, 294, 210, 3));
        });
        assertThat(ink(black)).isGreaterThan(0.5);
        assertThat(ink(picture)).isGreaterThan(0.1);
        assertThat(ink(edges)).isLessThan(0.00001);
    }

    private static double ink(GrayPlane page) {
        return PageCheck.of(page, page.small(), false).ink().share();
    }

    @Test
    void turningFourTimesGivesThePageBack() {
        var page = Pictures.plane(50, 0, Pictures::letter);
        assertThat(page.turned(90).turned(90).turned(180).pixels()).isEqualTo(page.pixels());
    }

    /** The loop that straightens skips its bounds checks; every pixel must still be the one the formula gives. */
    @ParameterizedTest
    @ValueSource(doubles = {-31, -2.2, -0.4, 0, 0.7, 14, 90, 135})
    void aTurnedPlaneIsWhatTheFormulaSays(double degrees) {
        var page = Pictures.plane(30, 0, Pictures::letter).cut(0, 0, 190, 131);
        var turned = page.rotated(degrees, -3, 5, 200, 140);
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        for (int y = 0; y < 140; y++) {
            for (int x = 0; x < 200; x++) {
                double dx = x - 3 - 94.5;
                double dy = y + 5 - 65.0;
                double sx = 94.5 + dx * cos + dy * sin;
                double sy = 65.0 - dx * sin + dy * cos;
                boolean edge = Math.abs(sx - Math.rint(sx)) < 0.01 || Math.abs(sy - Math.rint(sy)) < 0.01;
                if (!edge) {
                    assertThat(turned.at(x, y)).isCloseTo(between(page, sx, sy), within(4));
                }
            }
        }
    }

    private static int between(GrayPlane p, double x, double y) {
        int ix = (int) Math.floor(x);
        int iy = (int) Math.floor(y);
        if (ix < 0 || iy < 0 || ix >= p.width() - 1 || iy >= p.height() - 1) {
            return 255;
        }
        double above = p.at(ix, iy) * (1 - x + ix) + p.at(ix + 1, iy) * (x - ix);
        double below = p.at(ix, iy + 1) * (1 - x + ix) + p.at(ix + 1, iy + 1) * (x - ix);
        return (int) (above * (1 - y + iy) + below * (y - iy));
    }
}
