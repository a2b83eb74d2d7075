package jalon.core.image;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GrayPlaneTest {
    /** A zone of a grey page was read paler than the page: Java takes such images for linear when asked for their colours. */
    @ParameterizedTest
    @ValueSource(ints = {BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_3BYTE_BGR, BufferedImage.TYPE_BYTE_BINARY})
    void aPartHasTheBrightnessOfTheWhole(int type) {
        var image = new BufferedImage(64, 48, type);
        var r = new Random(1);
        for (int y = 0; y < 48; y++) {
            for (int x = 0; x < 64; x++) {
                int v = r.nextInt(256);
                image.setRGB(x, y, v << 16 | v << 8 | v);
            }
        }
        GrayPlane part = GrayPlane.of(image.getSubimage(9, 7, 30, 20), 200);
        assertThat(part.pixels())
                .isEqualTo(GrayPlane.of(image, 200).cut(9, 7, 30, 20).pixels());
    }
}
