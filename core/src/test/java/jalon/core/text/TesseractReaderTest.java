package jalon.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import jalon.core.image.GrayPlane;
import jalon.core.page.Scan;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class TesseractReaderTest {
    private static TextReader reader;

    @BeforeAll
    static void open() {
        reader = TesseractReader.open("eng");
    }

    @AfterAll
    static void close() {
        reader.close();
    }

    /** Each of these would end the whole process if it got through to the native code unchecked. */
    @Test
    void hostilePicturesDoNotTakeTheServerDown() {
        int[][] sizes = {{1, 1}, {1, 5000}, {5000, 1}, {3, 3}, {12, 12}, {13, 4000}, {200, 200}};
        Random random = new Random(7);
        for (int[] size : sizes) {
            byte[] noise = new byte[size[0] * size[1]];
            random.nextBytes(noise);
            for (byte[] pixels : new byte[][] {new byte[noise.length], noise}) {
                var plane = new GrayPlane(size[0], size[1], pixels, 300);
                for (TextReader.Layout layout : TextReader.Layout.values()) {
                    assertThat(reader.read(plane, layout)).isNotNull();
                    assertThat(reader.read(new GrayPlane(size[0], size[1], pixels, 1), layout))
                            .isNotNull();
                    assertThat(reader.read(new GrayPlane(size[0], size[1], pixels, 1e9), layout))
                            .isNotNull();
                }
                assertThat(reader.uprightTurn(plane)).isBetween(0, 270);
            }
        }
        assertThatThrownBy(() -> new GrayPlane(0, 10, new byte[0], 300)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new GrayPlane(10, 10, new byte[100], 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new GrayPlane(100, 100, new byte[99], 300))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aLanguageThatIsNotInstalledIsNamedWithItsPackage() {
        assertThatThrownBy(() -> TesseractReader.open("xxx")).hasMessageContaining("tesseract-ocr-xxx");
        assertThatThrownBy(() -> TesseractReader.open("../etc")).hasMessageContaining("does not name");
    }

    @Test
    void skewedAndTurnedPagesAreReadAndTheirWordsLieOnTheReceivedPage() {
        for (double skew : new double[] {0, 3}) {
            PageFacts straight = read(Pictures.page(200, skew, Pictures::letter), 0);
            assertThat(straight.image().skewDegrees()).isCloseTo(skew, within(0.15));
            assertThat(straight.words()).extracting(w -> w.text()).contains("harbour", "registration");
            // "The" begins the first line at 25, 40 mm before the page was turned about its middle.
            var first = straight.words().get(0);
            double dx = 25 + first.box().width() / 2 - 105;
            double dy = 40 - first.box().height() / 2 - 148.5;
            double sin = Math.sin(Math.toRadians(skew));
            double cos = Math.cos(Math.toRadians(skew));
            assertThat(first.box().centreX()).isCloseTo(105 + dx * cos - dy * sin, within(1.0));
            assertThat(first.box().centreY()).isCloseTo(148.5 + dx * sin + dy * cos, within(1.0));
        }
        for (int turn : new int[] {90, 180, 270}) {
            PageFacts turned = read(Pictures.page(200, 0, Pictures::letter), turn);
            assertThat(turned.image().rotation()).isEqualTo(360 - turn);
            assertThat(turned.image().widthMm()).isCloseTo(210, within(1.0));
            assertThat(turned.words()).extracting(w -> w.text()).contains("harbour", "registration");
        }
    }

    private static PageFacts read(java.awt.image.BufferedImage page, int turn) {
        var scan = new Scan(jalon.core.page.Pixels.turned(page, turn), 200, true, java.util.List.of());
        return ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader);
    }
}
