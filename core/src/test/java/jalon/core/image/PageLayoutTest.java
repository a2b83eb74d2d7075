package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.page.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PageLayoutTest {
    private static final int DPI = 200;

    private static BufferedImage form(double skew) {
        var image = new BufferedImage((int) (210 * DPI / 25.4), (int) (297 * DPI / 25.4), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(245, 245, 245));
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(DPI / 25.4, DPI / 25.4);
        g.rotate(Math.toRadians(skew), 105, 148.5);
        g.setColor(Color.BLACK);
        g.setStroke(new BasicStroke(0.3f));
        g.draw(new Line2D.Double(30, 100, 170, 100));
        g.draw(new Line2D.Double(60, 120, 60, 200));
        g.draw(new Rectangle2D.Double(150, 230, 5, 5));
        g.fill(new Rectangle2D.Double(20, 20, 24, 24));
        g.setFont(new Font(Font.SERIF, Font.PLAIN, 4));
        g.drawString("Print is no rule, however long the line of it may be on the page", 30, 60);
        g.dispose();
        return image;
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "2.5, 0", "-1.4, 180", "1, 90", "0, 270"})
    void rulesBoxesAndInkLieWhereTheyAreOnceThePageIsUprightAndStraight(double skew, int turned) {
        GrayPlane received = GrayPlane.of(form(skew), DPI).turned((360 - turned) % 360);
        PageLayout layout = PageCheck.of(received, received.small(), false).layout(turned, skew);
        assertThat(layout.rules()).anySatisfy(r -> {
            assertThat(r.x()).isCloseTo(30, within(1.0));
            assertThat(r.centreY()).isCloseTo(100, within(0.7));
            assertThat(r.width()).isCloseTo(140, within(1.5));
        });
        assertThat(layout.rules()).anySatisfy(r -> {
            assertThat(r.centreX()).isCloseTo(60, within(0.7));
            assertThat(r.height()).isCloseTo(80, within(1.5));
        });
        assertThat(layout.rules()).noneMatch(r -> r.y() > 50 && r.y() < 65 && r.width() > 9);
        assertThat(layout.boxes()).anySatisfy(b -> {
            assertThat(b.centreX()).isCloseTo(152.5, within(0.8));
            assertThat(b.width()).isCloseTo(5, within(1.0));
        });
        assertThat(layout.inkAt(30, 30)).isEqualTo(3);
        assertThat(layout.inkAt(100, 160)).isZero();
        assertThat(layout.inkAt(-1, 5)).isEqualTo(-1);
        assertThat(layout.darkestIn(new Box(30, 56, 20, 4))).isGreaterThanOrEqualTo(2);
    }
}
