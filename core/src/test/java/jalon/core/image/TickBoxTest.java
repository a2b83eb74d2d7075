package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.page.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TickBoxTest {
    private static final double SIZE = 4;

    /** The frame is printed at 7 mm; where it should be is said to be elsewhere. */
    private static Ticked on(Box expected, int paper, Consumer<Graphics2D> print) {
        int dpi = 200;
        int side = (int) (18 * dpi / 25.4);
        var image = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(paper, paper, paper));
        g.fillRect(0, 0, side, side);
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(dpi / 25.4, dpi / 25.4);
        g.setColor(Color.BLACK);
        g.setStroke(new BasicStroke(0.3f));
        print.accept(g);
        g.dispose();
        return TickBox.on(GrayPlane.of(image, dpi), expected, 0);
    }

    private static final Box THERE = new Box(7, 7, SIZE, SIZE);

    private static void frame(Graphics2D g) {
        g.draw(new Rectangle2D.Double(7, 7, SIZE, SIZE));
    }

    private static Path2D path(double... xy) {
        var path = new Path2D.Double();
        path.moveTo(xy[0], xy[1]);
        for (int i = 2; i < xy.length; i += 2) {
            path.lineTo(xy[i], xy[i + 1]);
        }
        return path;
    }

    @Test
    void anEmptyBoxIsEmptyWhereverItsFrameLies() {
        for (double off : new double[] {-1.8, 0, 1.8}) {
            Ticked seen = on(new Box(7 + off, 7 - off, SIZE, SIZE), 250, TickBoxTest::frame);
            assertThat(seen.state()).isEqualTo(Ticked.State.EMPTY);
            assertThat(seen.framed()).isTrue();
            assertThat(seen.certainty()).isGreaterThan(0.99);
            assertThat(seen.boxMm().centreX()).isCloseTo(9, within(0.3));
        }
    }

    @Test
    void ticksCrossesAndStrokesAreTicked() {
        for (Path2D mark : new Path2D[] {
            path(7.5, 9, 8.5, 10.4, 12, 6), path(7.4, 7.4, 10.6, 10.6), path(8, 9, 10, 9),
        }) {
            Ticked seen = on(THERE, 250, g -> {
                frame(g);
                g.setStroke(new BasicStroke(0.45f));
                g.draw(mark);
            });
            assertThat(seen.state()).isEqualTo(Ticked.State.TICKED);
            assertThat(seen.certainty()).isGreaterThan(0.985);
        }
    }

    @Test
    void aPencilOnGreyPaperIsSeen() {
        Ticked seen = on(THERE, 190, g -> {
            frame(g);
            g.setColor(new Color(120, 120, 120));
            g.draw(path(7.5, 9, 8.5, 10.4, 11, 7));
        });
        assertThat(seen.state()).isEqualTo(Ticked.State.TICKED);
    }

    @Test
    void whatShinesThroughIsNeverCertain() {
        Ticked seen = on(THERE, 250, g -> {
            frame(g);
            g.setColor(new Color(205, 205, 205));
            g.setStroke(new BasicStroke(0.8f));
            g.draw(path(7.5, 7.5, 10.5, 10.5));
        });
        assertThat(seen.certainty()).isLessThan(0.95);
    }

    @Test
    void aFullBoxIsTold() {
        Ticked seen = on(THERE, 250, g -> {
            frame(g);
            g.fill(new Rectangle2D.Double(6.8, 6.8, SIZE + 0.4, SIZE + 0.4));
        });
        assertThat(seen.state()).isEqualTo(Ticked.State.FILLED);
    }

    @Test
    void aLineThroughItAndOutAtBothSidesStrikesItOut() {
        Ticked seen = on(THERE, 250, g -> {
            frame(g);
            g.draw(path(7.5, 9, 8.5, 10.4, 11, 7));
            g.draw(new Line2D.Double(4, 9.2, 15, 8.8));
        });
        assertThat(seen.state()).isEqualTo(Ticked.State.STRUCK_OUT);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void roundBoxesWorkAlike(boolean ticked) {
        Ticked seen = on(THERE, 250, g -> {
            g.draw(new Ellipse2D.Double(7, 7, SIZE, SIZE));
            if (ticked) {
                g.draw(path(7.9, 7.9, 10.1, 10.1));
            }
        });
        assertThat(seen.framed()).isTrue();
        assertThat(seen.state()).isEqualTo(ticked ? Ticked.State.TICKED : Ticked.State.EMPTY);
    }

    @Test
    void specksAreNoStrokesAndPaperWithoutAFrameIsNotCertain() {
        Ticked specks = on(THERE, 250, g -> {
            frame(g);
            g.fill(new Rectangle2D.Double(8.2, 8.2, 0.25, 0.25));
            g.fill(new Rectangle2D.Double(9.6, 9.9, 0.25, 0.25));
        });
        assertThat(specks.state()).isEqualTo(Ticked.State.EMPTY);
        Ticked bare = on(THERE, 250, g -> {});
        assertThat(bare.framed()).isFalse();
        assertThat(bare.certainty()).isLessThan(0.95);
    }
}
