package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.Pictures;
import jalon.core.image.GrayPlane;
import jalon.core.image.Measure;
import jalon.core.image.Repair;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StampTest {
    /** Zones were read again from the received image, whatever the page itself was read through. */
    @Test
    void aZoneIsReadThroughTheSameRepairsAsItsPage() {
        var seen = new ArrayList<GrayPlane>();
        var reader = new TextReader() {
            @Override
            public List<Word> read(GrayPlane picture, Layout layout) {
                seen.add(picture);
                return List.of();
            }

            @Override
            public int uprightTurn(GrayPlane picture) {
                return 0;
            }

            @Override
            public void close() {}
        };
        var scan = new Scan(Pictures.page(150, 0, Pictures::letter), 150, true, List.of());
        List<Repair> white = List.of(new Repair.Levels(1, 0));
        PageFacts page =
                ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader, new HowToReadPage(0, white, null));
        new ReadZone(scan, page).read(new Box(20, 30, 150, 60), reader);
        assertThat(seen).hasSize(2).allMatch(p -> p.histogram()[255] == p.pixels().length);
        assertThat(page.image().figure(Measure.CONTRAST).orElseThrow())
                .as("figures are those of the received image")
                .isGreaterThan(0.9);
    }

    @ParameterizedTest
    @CsvSource({"1, false", "1, true", "0.45, false", "0.45, true"})
    void aValueUnderAStampIsReadFromItsZone(double contrast, boolean another) throws Exception {
        BufferedImage form = Pictures.page(200, 0, BufferedImage.TYPE_3BYTE_BGR, g -> {
            Pictures.text(g, 20, 60, 11, "Vessel");
            Pictures.text(g, 60, 60, 12, "PM-4821-K");
            for (int i = 0; i < 12; i++) {
                Pictures.text(g, 20, 100 + 8 * i, 11, "The harbour office thanks you for the letter about the berth");
            }
            g.setColor(new Color(30, 60, 170, 170));
            g.setStroke(new BasicStroke(1.2f));
            g.rotate(Math.toRadians(-6), 70, 58);
            g.draw(new Rectangle2D.Double(48, 51, 52, 14));
            Pictures.text(g, 50, 62, 26, "RECEIVED");
            if (another) {
                g.setColor(new Color(190, 40, 50, 170));
                g.draw(new Rectangle2D.Double(60, 67, 60, 14));
                Pictures.text(g, 68, 78, 26, "COPY");
            }
        });
        fade(form, contrast);
        var scan = new Scan(form, 200, true, List.of());
        try (var reader = TesseractReader.open("eng")) {
            PageFacts page = ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader);
            Box zone = new Box(56, 54.5, 36, 8);
            assertThat(page.image().coloured()).anyMatch(zone::overlaps);
            assertThat(new ReadZone(scan, page).read(zone, reader))
                    .extracting(Word::text)
                    .contains("PM-4821-K");
        }
    }

    private static void fade(BufferedImage page, double contrast) {
        byte[] px = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < px.length; i++) {
            px[i] = (byte) Math.round(255 - contrast * (255 - (px[i] & 0xFF)));
        }
    }
}
