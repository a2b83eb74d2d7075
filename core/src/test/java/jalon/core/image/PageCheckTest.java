package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import jalon.core.page.Box;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class PageCheckTest {
    private static PageCheck check(BufferedImage image, double dpi) {
        GrayPlane full = GrayPlane.of(image, dpi);
        return PageCheck.of(full, full.small(), image.getColorModel().getPixelSize() == 1);
    }

    private static PageCheck letter(int dpi, Consumer<Graphics2D> more) {
        return check(
                Pictures.page(dpi, 0, g -> {
                    Pictures.letter(g);
                    more.accept(g);
                }),
                dpi);
    }

    private static double figure(PageCheck check, Measure what) {
        return find(check, what).figure();
    }

    private static Measured find(PageCheck check, Measure what) {
        return check.figures().stream()
                .filter(m -> m.what() == what)
                .findFirst()
                .orElseThrow();
    }

    private static void near(Box found, double x, double y, double w, double h) {
        assertThat(found.x()).isCloseTo(x, within(1.0));
        assertThat(found.y()).isCloseTo(y, within(1.0));
        assertThat(found.right()).isCloseTo(x + w, within(1.0));
        assertThat(found.bottom()).isCloseTo(y + h, within(1.0));
    }

    @ParameterizedTest
    @ValueSource(ints = {150, 200, 300, 400})
    void aCleanLetterBreaksNoLimitAtAnyResolution(int dpi) {
        for (Measured m : letter(dpi, g -> {}).figures()) {
            assertThat(m.what().breaks(m.figure(), m.what().usualLimit()))
                    .as(m.toString())
                    .isFalse();
        }
    }

    @Test
    void edgesHolesAndCornersAreFoundWhereTheyAre() {
        PageCheck edge = letter(200, g -> g.fill(new Rectangle2D.Double(206, 0, 4, 297)));
        assertThat(figure(edge, Measure.EDGE)).isCloseTo(4, within(0.4));
        near(find(edge, Measure.EDGE).where(), 206, 0, 4, 297);
        PageCheck holes = letter(200, g -> {
            g.fill(new Ellipse2D.Double(9, 100, 6, 6));
            g.fill(new Ellipse2D.Double(9, 180, 6, 6));
        });
        assertThat(figure(holes, Measure.HOLES)).isEqualTo(2);
        near(find(holes, Measure.HOLES).where(), 9, 100, 6, 86);
        PageCheck corner = letter(200, g -> g.fill(triangle(210, 0, -20, 14)));
        assertThat(figure(corner, Measure.CORNER)).isCloseTo(14, within(1.0));
        near(find(corner, Measure.CORNER).where(), 190, 0, 20, 14);
        assertThat(figure(corner, Measure.EDGE)).isZero();
    }

    /** On a feeder's paper both come together; the corner was taken for a deep edge. */
    @Test
    void aCornerIsFoundBesideABlackEdge() {
        PageCheck both = letter(200, g -> {
            g.fill(new Rectangle2D.Double(208, 0, 2, 297));
            g.fill(triangle(208, 0, -20, 14));
        });
        assertThat(figure(both, Measure.CORNER)).isCloseTo(14, within(1.5));
        assertThat(figure(both, Measure.EDGE)).isCloseTo(2, within(0.5));
    }

    private static Path2D triangle(double x, double y, double across, double down) {
        Path2D path = new Path2D.Double();
        path.moveTo(x, y);
        path.lineTo(x + across, y);
        path.lineTo(x, y + down);
        path.closePath();
        return path;
    }

    @Test
    void printThatRunsOutOfTheImageIsCutOff() {
        PageCheck cut = check(
                Pictures.page(200, 0, g -> {
                    for (int i = 0; i < 10; i++) {
                        Pictures.text(g, -0.3 * i, 50 + i * 9, 12, "Millions of words");
                    }
                }),
                200);
        assertThat(figure(cut, Measure.CUT_OFF)).isGreaterThan(Measure.CUT_OFF.usualLimit());
        assertThat(find(cut, Measure.CUT_OFF).where().x()).isZero();
    }

    @Test
    void faintPrintHasLittleContrastAndADarkPageIsDark() {
        PageCheck faint = check(
                Pictures.page(300, 0, g -> {
                    g.setColor(new Color(205, 205, 205));
                    Pictures.letter(g);
                }),
                300);
        assertThat(figure(faint, Measure.CONTRAST)).isCloseTo(0.2, within(0.03));
        PageCheck dark = check(
                Pictures.page(200, 0, g -> {
                    g.setColor(new Color(110, 110, 110));
                    g.fill(new Rectangle2D.Double(-10, -10, 300, 400));
                    g.setColor(Color.BLACK);
                    Pictures.letter(g);
                }),
                200);
        assertThat(figure(dark, Measure.DARKNESS)).isGreaterThan(Measure.DARKNESS.usualLimit());
    }

    static Stream<Arguments> oddImages() {
        return Stream.of(
                Arguments.of("one pixel", new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY), 300),
                Arguments.of("one row", new BufferedImage(900, 1, BufferedImage.TYPE_BYTE_BINARY), 300),
                Arguments.of("black", new BufferedImage(1654, 2339, BufferedImage.TYPE_BYTE_GRAY), 200),
                Arguments.of("white", Pictures.page(50, 0, g -> {}), 50),
                Arguments.of("16 bit", new BufferedImage(600, 800, BufferedImage.TYPE_USHORT_GRAY), 100),
                Arguments.of("alpha", new BufferedImage(600, 800, BufferedImage.TYPE_4BYTE_ABGR), 100),
                Arguments.of("palette", new BufferedImage(600, 800, BufferedImage.TYPE_BYTE_INDEXED), 100),
                Arguments.of("receipt", new BufferedImage(630, 7874, BufferedImage.TYPE_BYTE_GRAY), 200),
                Arguments.of("photo", noise(800, 600), 100),
                Arguments.of("1200 dpi", new BufferedImage(1200, 1200, BufferedImage.TYPE_3BYTE_BGR), 1200));
    }

    private static BufferedImage noise(int w, int h) {
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
        var random = new java.util.Random(3);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                image.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        return image;
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("oddImages")
    void anythingIsMeasuredOrLeftOut(String name, BufferedImage image, int dpi) {
        PageCheck check = check(image, dpi);
        assertThat(check.ink().share()).isBetween(0.0, 1.0);
        assertThat(figure(check, Measure.RESOLUTION)).isEqualTo(dpi);
        assertThat(check.figures()).allMatch(m -> Double.isFinite(m.figure()) && m.figure() >= 0);
        java.util.List<Repair> recipe = java.util.List.of(
                new Repair.Straighten(),
                new Repair.WhitenEdges(),
                new Repair.FillHoles(),
                new Repair.CleanSpecks(),
                new Repair.EvenLight(),
                new Repair.Levels(0.1, 0.2),
                new Repair.Sharpen(),
                new Repair.DropColour(Colour.ANY),
                new Repair.Bitonal());
        BufferedImage repaired = Repaired.of(image, dpi, recipe, 1.5).image();
        assertThat(repaired.getWidth()).isEqualTo(image.getWidth());
        assertThat(ColouredInk.in(image, dpi)).hasSizeLessThanOrEqualTo(40);
    }
}
