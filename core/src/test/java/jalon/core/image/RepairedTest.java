package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RepairedTest {
    private static final int DPI = 200;

    private static BufferedImage repaired(BufferedImage image, Repair... steps) {
        byte[] before = GrayPlane.of(image, DPI).pixels().clone();
        BufferedImage out = Repaired.of(image, DPI, List.of(steps), 0).image();
        assertThat(GrayPlane.of(image, DPI).pixels()).as("the received image").isEqualTo(before);
        return out;
    }

    private static double figure(BufferedImage image, Measure what) {
        GrayPlane full = GrayPlane.of(image, DPI);
        return PageCheck.of(full, full.small(), image.getColorModel().getPixelSize() == 1).figures().stream()
                .filter(m -> m.what() == what)
                .mapToDouble(Measured::figure)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void edgesHolesAndSpecksGoAndPrintStays() {
        var random = new java.util.Random(5);
        BufferedImage worn = Pictures.page(DPI, 0, g -> {
            Pictures.letter(g);
            g.fill(new Rectangle2D.Double(0, 0, 3, 297));
            g.fill(new Ellipse2D.Double(9, 120, 6, 6));
            for (int i = 0; i < 1500; i++) {
                g.fill(new Rectangle2D.Double(random.nextDouble() * 210, 240 + random.nextDouble() * 50, 0.25, 0.25));
            }
        });
        assertThat(figure(worn, Measure.SPECKS)).isGreaterThan(1);
        BufferedImage clean =
                repaired(worn, new Repair.WhitenEdges(), new Repair.FillHoles(), new Repair.CleanSpecks());
        assertThat(figure(clean, Measure.EDGE)).isZero();
        assertThat(figure(clean, Measure.HOLES)).isZero();
        assertThat(figure(clean, Measure.SPECKS)).isLessThan(0.1);
        // The lines of print, pixel for pixel.
        GrayPlane before = GrayPlane.of(worn, DPI).cut(190, 200, 1300, 1600);
        assertThat(GrayPlane.of(clean, DPI).cut(190, 200, 1300, 1600).pixels()).isEqualTo(before.pixels());
    }

    @Test
    void aLeaningPageIsMadeStraight() {
        BufferedImage leaning = Pictures.page(DPI, 4, Pictures::letter);
        Skew skew = Skew.of(GrayPlane.of(leaning, DPI).small());
        Repaired straight = Repaired.of(leaning, DPI, List.of(new Repair.Straighten()), skew.degrees());
        assertThat(straight.straightened()).isCloseTo(4, within(0.1));
        assertThat(Skew.of(GrayPlane.of(straight.image(), DPI).small()).degrees())
                .isCloseTo(0, within(0.1));
    }

    /** Whatever the order in the stream: on a page that was turned first, the slanting edge was not found. */
    @Test
    void anEdgeIsWhitenedBeforeThePageIsTurned() {
        BufferedImage leaning = Pictures.page(DPI, 3, g -> Pictures.letter(g));
        Graphics2D g = leaning.createGraphics();
        g.setColor(Color.BLACK);
        g.fillRect(leaning.getWidth() - 16, 0, 16, leaning.getHeight());
        g.dispose();
        List<Repair> recipe = List.of(new Repair.Straighten(), new Repair.WhitenEdges());
        GrayPlane out = GrayPlane.of(Repaired.of(leaning, DPI, recipe, 3).image(), DPI);
        GrayPlane side = out.cut(out.width() * 9 / 10, 0, out.width() / 10, out.height());
        assertThat(side.histogram()[0]).isZero();
    }

    @Test
    void aShadowIsEvenedOut() {
        BufferedImage shaded = Pictures.page(DPI, 0, g -> {
            g.setPaint(new GradientPaint(0, 0, Color.WHITE, 210, 0, new Color(120, 120, 120)));
            g.fill(new Rectangle2D.Double(0, 0, 210, 297));
            g.setPaint(Color.BLACK);
            Pictures.letter(g);
        });
        assertThat(figure(shaded, Measure.UNEVEN)).isGreaterThan(0.3);
        assertThat(figure(repaired(shaded, new Repair.EvenLight()), Measure.UNEVEN))
                .isLessThan(0.06);
    }

    @Test
    void aStampGoesAndTheBlackUnderItStays() {
        Color red = new Color(205, 45, 50);
        BufferedImage stamped = Pictures.page(DPI, 0, BufferedImage.TYPE_3BYTE_BGR, g -> {
            g.fill(new Rectangle2D.Double(50, 50, 4, 20));
            g.setColor(new Color(red.getRed(), red.getGreen(), red.getBlue(), 170));
            g.fill(new Rectangle2D.Double(40, 55, 60, 10));
        });
        GrayPlane without = GrayPlane.of(repaired(stamped, new Repair.DropColour(Colour.RED)), DPI);
        assertThat(without.at(mm(90), mm(60))).as("stamp alone").isGreaterThan(235);
        assertThat(without.at(mm(52), mm(60))).as("print under the stamp").isLessThan(170);
        assertThat(without.at(mm(52), mm(52))).as("print beside it").isLessThan(30);
        assertThat(repaired(stamped, new Repair.DropColour(Colour.BLUE)))
                .as("no blue ink there")
                .isSameAs(stamped);
    }

    private static int mm(double v) {
        return (int) (v * DPI / 25.4);
    }

    @Test
    void faintStrokesStayInBlackAndWhite() {
        BufferedImage faint = Pictures.page(DPI, 0, g -> {
            g.setColor(new Color(190, 190, 190));
            g.fill(new Rectangle2D.Double(60, 60, 40, 0.6));
            g.setColor(Color.BLACK);
            g.fill(new Rectangle2D.Double(60, 160, 40, 0.6));
        });
        BufferedImage bitonal = repaired(faint, new Repair.Bitonal());
        assertThat(bitonal.getColorModel().getPixelSize()).isEqualTo(1);
        assertThat(GrayPlane.of(bitonal, DPI).at(mm(80), mm(60.3))).isZero();
        assertThat(GrayPlane.of(bitonal, DPI).at(mm(80), mm(160.3))).isZero();
        assertThat(GrayPlane.of(bitonal, DPI).at(mm(80), mm(100))).isEqualTo(255);
    }

    /** A page without any need is filed as it came, byte for byte; so what is no need matters. */
    @Test
    void aStepThatAPageDoesNotNeedIsLeftOut() {
        List<Repair> all = List.of(
                new Repair.Straighten(),
                new Repair.WhitenEdges(),
                new Repair.FillHoles(),
                new Repair.CleanSpecks(),
                new Repair.EvenLight(),
                new Repair.Levels(0, 0.5));
        assertThat(Repair.needed(all, with(0.05, Map.of(Measure.EDGE, 2.0)))).containsExactly(new Repair.WhitenEdges());
        assertThat(Repair.needed(all, with(0.05, Map.of(Measure.SPECKS, 0.04, Measure.CONTRAST, 0.8))))
                .as("a handful of specks, black print")
                .isEmpty();
        assertThat(Repair.needed(all, with(0.5, Map.of(Measure.SPECKS, 0.06, Measure.CONTRAST, 0.3))))
                .containsExactly(new Repair.Straighten(), new Repair.CleanSpecks(), new Repair.Levels(0, 0.5));
        assertThat(Repair.needed(List.of(new Repair.Levels(0.2, 0.5)), with(0, Map.of(Measure.CONTRAST, 0.8))))
                .as("brighter too")
                .hasSize(1);
    }

    private static ImageFacts with(double skew, Map<Measure, Double> figures) {
        List<Measured> measured = figures.entrySet().stream()
                .map(f -> new Measured(f.getKey(), f.getValue(), null))
                .toList();
        return new ImageFacts(
                new ImageFacts.Size(210, 297),
                new ImageFacts.Density(300, true),
                new ImageFacts.Pose(skew, 0),
                0.02,
                measured,
                null,
                List.of(),
                null);
    }
}
