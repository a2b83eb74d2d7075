package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.Pictures;
import jalon.core.page.Box;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HalftonesTest {
    private static final Box PHOTO = new Box(30, 150, 120, 90);

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aPhotographIsLeftOutAndThePrintAroundItStays(boolean screened) {
        List<Box> places = places(screened, g -> {
            Pictures.letter(g);
            g.setColor(Color.WHITE);
            g.fill(new Rectangle2D.Double(20, 146, 180, 98));
            photo(g);
            g.setColor(Color.BLACK);
            Pictures.text(g, 30, 246, 10, "The ferry landing in the storm of November");
        });
        assertThat(places).hasSize(1);
        Box found = places.get(0);
        assertThat(PHOTO.grown(1.5).overlaps(found)).isTrue();
        assertThat(found.y()).isBetween(148.0, 155.0);
        assertThat(found.bottom()).isBetween(233.0, 241.5);
        assertThat(found.width()).isBetween(108.0, 122.0);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aPhotographOrTintWithPrintOnItIsRead(boolean screened) {
        for (Color ink : List.of(Color.BLACK, Color.WHITE)) {
            List<Box> places = places(screened, g -> {
                photo(g);
                g.setColor(ink);
                double y = ink == Color.BLACK ? 165 : 225;
                Pictures.text(g, 40, y, 14, "Ferry dues are paid at the north quay");
            });
            assertThat(places).as("print in %s", ink).isEmpty();
        }
        assertThat(places(screened, g -> {
                    g.setColor(new Color(190, 190, 190));
                    g.fill(new Rectangle2D.Double(20, 40, 170, 60));
                    g.setColor(Color.BLACK);
                    Pictures.text(g, 30, 60, 10, "To be filled in by the office");
                }))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void printAndDrawingsAreNoPhotographs(boolean screened) {
        assertThat(places(screened, Pictures::letter)).isEmpty();
        assertThat(places(screened, g -> {
                    for (int i = 0; i < 60; i++) {
                        g.draw(new Ellipse2D.Double(20 + i, 60 + i, 100, 80 + i));
                    }
                    Pictures.patch(g, 40, 18, 130, "WNWN");
                }))
                .isEmpty();
    }

    private static void photo(Graphics2D g) {
        g.setPaint(new GradientPaint(0, 150, new Color(205, 205, 205), 0, 240, new Color(80, 80, 80)));
        g.fill(new Rectangle2D.Double(PHOTO.x(), PHOTO.y(), PHOTO.width(), PHOTO.height()));
        Random r = new Random(3);
        for (int i = 0; i < 60; i++) {
            int grey = 60 + r.nextInt(140);
            g.setColor(new Color(grey, grey, grey, 80));
            g.fill(new Ellipse2D.Double(
                    PHOTO.x() + 90 * r.nextDouble(), PHOTO.y() + 60 * r.nextDouble(), 30, 5 + 25 * r.nextDouble()));
        }
    }

    /** As grey tones, or in black dots alone. */
    private static List<Box> places(boolean screened, java.util.function.Consumer<Graphics2D> draw) {
        BufferedImage page = Pictures.page(200, 0, draw);
        if (screened) {
            for (int y = 0; y < page.getHeight(); y++) {
                for (int x = 0; x < page.getWidth(); x++) {
                    double screen = 127.5 + 63 * (Math.cos((x + y) * 1.777) + Math.cos((x - y) * 1.777));
                    page.getRaster().setSample(x, y, 0, page.getRaster().getSample(x, y, 0) > screen ? 255 : 0);
                }
            }
        }
        GrayPlane plane = GrayPlane.of(page, 200);
        return Halftones.in(plane, plane.small());
    }
}
