package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SmallAngleRotationTest {
    private static final int SIDE = 400;
    private static final int[] PAPER = {240, 240, 240};

    /** The middle of a square, told from where its dark pixels are, goes where the turn takes it. */
    @ParameterizedTest
    @CsvSource({
        BufferedImage.TYPE_BYTE_GRAY + ", 3",
        BufferedImage.TYPE_3BYTE_BGR + ", -7.5",
        BufferedImage.TYPE_BYTE_BINARY + ", 14"
    })
    void whatIsOnItGoesWhereTheTurnTakesIt(int type, double degrees) {
        var page = new BufferedImage(SIDE, SIDE, type);
        Graphics2D g = page.createGraphics();
        g.setColor(new Color(PAPER[0], PAPER[1], PAPER[2]));
        g.fillRect(0, 0, SIDE, SIDE);
        g.setColor(Color.BLACK);
        g.fillRect(290, 130, 20, 20);
        g.dispose();
        BufferedImage turned = SmallAngleRotation.of(page, degrees, PAPER);
        assertThat(turned.getType()).isEqualTo(type);
        double x = 0;
        double y = 0;
        double ink = 0;
        for (int v = 0; v < SIDE; v++) {
            for (int u = 0; u < SIDE; u++) {
                int dark = Math.max(
                        0,
                        (type == BufferedImage.TYPE_BYTE_BINARY ? 255 : 240)
                                - new Color(turned.getRGB(u, v)).getGreen());
                x += dark * (u + 0.5);
                y += dark * (v + 0.5);
                ink += dark;
            }
        }
        double radians = Math.toRadians(degrees);
        double middle = SIDE / 2.0;
        assertThat(x / ink).isCloseTo(middle + 100 * Math.cos(radians) + 60 * Math.sin(radians), within(0.15));
        assertThat(y / ink).isCloseTo(middle + 100 * Math.sin(radians) - 60 * Math.cos(radians), within(0.15));
        assertThat(ink / new Color(page.getRGB(0, 0)).getGreen()).as("its area").isCloseTo(400, within(32.0));
    }
}
