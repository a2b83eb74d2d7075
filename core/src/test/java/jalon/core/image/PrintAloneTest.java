package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.page.Box;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A zone of 60 by 9 mm with letters of 1.6 by 3 mm, the first 10 mm in, their feet 6 mm down. */
class PrintAloneTest {
    private static final double DPI = 200;
    private static final List<Box> LETTERS =
            DoubleStream.of(10, 12, 14).mapToObj(x -> new Box(x, 3, 1.6, 3)).toList();
    private static final Box FULL_STOP = new Box(16.4, 5.6, 0.4, 0.4);

    private static GrayPlane zone(List<Box> ink) {
        var image = new BufferedImage((int) (60 * DPI / 25.4), (int) (9 * DPI / 25.4), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(DPI / 25.4, DPI / 25.4);
        g.setColor(Color.BLACK);
        ink.forEach(b -> g.fill(new Rectangle2D.Double(b.x(), b.y(), b.width(), b.height())));
        g.dispose();
        return GrayPlane.of(image, DPI);
    }

    private static GrayPlane lettersAnd(Box... more) {
        return zone(Stream.concat(LETTERS.stream(), Stream.of(more)).toList());
    }

    private static boolean ink(PrintAlone print, Box at) {
        Box there = new Box(at.x() - print.at().x(), at.y() - print.at().y(), at.width(), at.height());
        int x = (int) print.plane().inPixels(there.centreX());
        int y = (int) print.plane().inPixels(there.centreY());
        boolean on = x >= 0
                && y >= 0
                && x < print.plane().width()
                && y < print.plane().height();
        return on && print.plane().at(x, y) < 128;
    }

    @Test
    void specksGoAndFullStopsStay() {
        Box[] specks = {new Box(30, 4, 0.4, 0.4), new Box(45, 7, 0.4, 0.4), FULL_STOP};
        PrintAlone print = PrintAlone.on(lettersAnd(specks));
        assertThat(LETTERS).allMatch(letter -> ink(print, letter));
        assertThat(ink(print, FULL_STOP)).isTrue();
        assertThat(print.at().right())
                .as("the paper behind is left away with its specks")
                .isLessThan(20);
    }

    @Test
    void theLinesOfABoxGoAndALetterThatCrossesOneStays() {
        Box crossing = new Box(20, 3, 1.6, 5.6);
        Box under = new Box(0, 7.5, 60, 0.4);
        Box side = new Box(1, 1, 0.4, 6.6);
        PrintAlone print = PrintAlone.on(lettersAnd(crossing, under, side));
        assertThat(LETTERS).allMatch(letter -> ink(print, letter));
        assertThat(ink(print, new Box(20, 7, 1.6, 1.4))).isTrue();
        assertThat(ink(print, new Box(14, 7.5, 1, 0.4))).isFalse();
        assertThat(ink(print, side)).isFalse();
    }

    @Test
    void whatHoldsNothingButItsPrintIsLeftAsItIs() {
        GrayPlane cut = zone(LETTERS).cut((int) (9 * DPI / 25.4), (int) (2 * DPI / 25.4), 62, 40);
        assertThat(PrintAlone.on(cut).plane()).isSameAs(cut);
    }

    @Test
    void printThatNoWordCoversIsTold() {
        PrintAlone print = PrintAlone.on(lettersAnd(FULL_STOP));
        Box first = new Box(10 - print.at().x(), 3 - print.at().y(), 1.6, 3);
        assertThat(print.leftBy(List.of(first))).hasSize(2);
        Box all = new Box(first.x(), first.y(), 5.6, 3);
        assertThat(print.leftBy(List.of(all))).as("a full stop is no letter").isEmpty();
        assertThat(print.leftBy(List.of())).isEmpty();
    }
}
