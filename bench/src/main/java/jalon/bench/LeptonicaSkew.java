package jalon.bench;

import static org.bytedeco.leptonica.global.leptonica.L_SEVERITY_NONE;
import static org.bytedeco.leptonica.global.leptonica.pixCreate;
import static org.bytedeco.leptonica.global.leptonica.pixDestroy;
import static org.bytedeco.leptonica.global.leptonica.pixFindSkew;
import static org.bytedeco.leptonica.global.leptonica.pixGetData;
import static org.bytedeco.leptonica.global.leptonica.pixGetWpl;
import static org.bytedeco.leptonica.global.leptonica.setMsgSeverity;

import jalon.core.image.GrayPlane;
import jalon.core.image.Threshold;
import java.nio.FloatBuffer;
import org.bytedeco.leptonica.PIX;

/** The angle by a well-known library on the same page, made bitonal with the same threshold. */
final class LeptonicaSkew {
    private LeptonicaSkew() {}

    /** @return degrees clockwise; 0 where it finds none */
    static double of(GrayPlane page) {
        // Its range ends at 7 degrees; it says so for every page beyond.
        setMsgSeverity(L_SEVERITY_NONE);
        int threshold = Threshold.of(page);
        PIX pix = pixCreate(page.width(), page.height(), 1);
        try {
            int wpl = pixGetWpl(pix);
            var data = pixGetData(pix);
            int[] words = new int[wpl];
            for (int y = 0; y < page.height(); y++) {
                java.util.Arrays.fill(words, 0);
                for (int x = 0; x < page.width(); x++) {
                    if (page.at(x, y) < threshold) {
                        words[x >> 5] |= 0x80000000 >>> (x & 31);
                    }
                }
                data.position((long) y * wpl).put(words);
            }
            float[] angle = new float[1];
            float[] confidence = new float[1];
            pixFindSkew(pix, FloatBuffer.wrap(angle), FloatBuffer.wrap(confidence));
            // It gives the turn that straightens, clockwise positive.
            return -angle[0];
        } finally {
            pixDestroy(pix);
        }
    }
}
