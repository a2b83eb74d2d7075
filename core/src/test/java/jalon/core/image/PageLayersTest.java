package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;

class PageLayersTest {
    private static final int DPI = 200;

    private static BufferedImage page(java.util.function.Consumer<Graphics2D> more) {
        return Pictures.page(DPI, 0, BufferedImage.TYPE_3BYTE_BGR, g -> {
            g.setColor(new Color(0xF4EFE0));
            g.fill(new Rectangle2D.Double(0, 0, 210, 297));
            g.setColor(Color.BLACK);
            Pictures.letter(g);
            more.accept(g);
        });
    }

    private static int px(double mm) {
        return (int) Math.round(mm * DPI / 25.4);
    }

    private static Color at(BufferedImage layer, double xMm, double yMm) {
        return new Color(layer.getRGB((int) (xMm / 210 * layer.getWidth()), (int) (yMm / 297 * layer.getHeight())));
    }

    @Test
    void printIsAsSharpAsItWasAndPaperAndColoursLieBehind() {
        BufferedImage page = page(g -> {
            g.setColor(new Color(0xB02020));
            g.fill(new Rectangle2D.Double(150, 250, 12, 1.5));
        });
        PageLayers layers = PageLayers.of(page, DPI).orElseThrow();
        GrayPlane grey = GrayPlane.of(page, DPI);
        assertThat(layers.ink().getWidth())
                .as("as fine as letters' soft rims say")
                .isEqualTo(2 * page.getWidth());
        int wrong = 0;
        for (int y = 0; y < page.getHeight(); y++) {
            for (int x = 0; x < page.getWidth(); x++) {
                boolean ink = (layers.ink().getRGB(2 * x, 2 * y) & 0xFF) == 0;
                int light = grey.at(x, y);
                wrong += ink && light > 220 || !ink && light < 30 ? 1 : 0;
            }
        }
        assertThat(wrong).as("ink that is paper, or paper that is ink").isLessThan(40);
        assertThat(layers.paper().getWidth()).isCloseTo(page.getWidth() / 2, within(1));
        Color paper = at(layers.paper(), 60, 40);
        assertThat(paper.getBlue()).as("without the ink on it").isCloseTo(0xE0, within(6));
        assertThat(at(layers.colours(), 156, 250.7).getRed()).isCloseTo(0xB0, within(8));
        assertThat(at(layers.colours(), 60, 39).getRed()).as("of print").isLessThan(60);
    }

    @Test
    void whatIsFaintStaysWithThePaper() {
        BufferedImage page = page(g -> {
            g.setColor(new Color(0xD8D0C0));
            g.setStroke(new BasicStroke(0.6f));
            g.draw(new Line2D.Double(40, 260, 120, 260));
        });
        PageLayers layers = PageLayers.of(page, DPI).orElseThrow();
        assertThat(layers.ink().getRGB(2 * px(80), 2 * px(260)) & 0xFF).isEqualTo(255);
        assertThat(at(layers.paper(), 80, 260).getGreen())
                .as("fainter than ink, and to be seen all the same")
                .isLessThan(at(layers.paper(), 80, 265).getGreen() - 12);
    }

    /** Ink of two kinds side by side, finer than its colours are kept. */
    @Test
    void aPageThatWouldNotLookTheSameStaysWhole() {
        BufferedImage page = page(g -> {});
        for (int y = 0; y < 90; y++) {
            for (int x = 0; x < 90; x++) {
                page.setRGB(900 + x, 1800 + y, (x / 3 + y / 3) % 2 == 0 ? 0 : 0x6E6E6E);
            }
        }
        assertThat(PageLayers.of(page, DPI)).isEmpty();
    }

    @Test
    void coloursOfAPaletteStay() {
        BufferedImage page = Pictures.page(DPI, 0, BufferedImage.TYPE_BYTE_INDEXED, g -> {
            Pictures.letter(g);
            g.setColor(new Color(0xCC3333));
            g.fill(new Rectangle2D.Double(150, 250, 12, 1.5));
        });
        Color stamp = at(PageLayers.of(page, DPI).orElseThrow().colours(), 156, 250.7);
        assertThat(stamp.getRed() - stamp.getBlue()).isGreaterThan(100);
    }

    @Test
    void whatIsSmallAlreadyStaysAsItIs() {
        assertThat(PageLayers.of(Pictures.page(DPI, 0, BufferedImage.TYPE_BYTE_BINARY, Pictures::letter), DPI))
                .isEmpty();
        assertThat(PageLayers.of(Pictures.page(100, 0, Pictures::letter), 100)).isEmpty();
        assertThat(PageLayers.of(Pictures.page(DPI, 0, g -> {}), DPI))
                .as("an empty page")
                .isPresent();
    }
}
