package jalon.core.page;

import static org.bytedeco.leptonica.global.leptonica.L_SEVERITY_NONE;
import static org.bytedeco.leptonica.global.leptonica.pixDestroy;
import static org.bytedeco.leptonica.global.leptonica.pixGetColormap;
import static org.bytedeco.leptonica.global.leptonica.pixGetData;
import static org.bytedeco.leptonica.global.leptonica.pixGetDepth;
import static org.bytedeco.leptonica.global.leptonica.pixGetWpl;
import static org.bytedeco.leptonica.global.leptonica.pixReadMem;
import static org.bytedeco.leptonica.global.leptonica.setMsgSeverity;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Optional;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.leptonica.PIX;

/**
 * Black and white PNG files, decoded by the picture library of the reading engine in a tenth of the time that Java's reader
 * takes: that one copies each of their pixels by itself.
 */
final class BitonalPng {
    /** Signature, then the header's chunk (PNG, third edition, 11.2.1). */
    private static final int DEPTH_AT = 24;

    static {
        setMsgSeverity(L_SEVERITY_NONE);
    }

    private BitonalPng() {}

    /** @return nothing for a file of another kind, a see-through one, and one that is damaged */
    static Optional<BufferedImage> decoded(byte[] file) {
        boolean greyOfOneBit = FileKind.of(file) == FileKind.PNG
                && file.length > DEPTH_AT + 1
                && file[DEPTH_AT] == 1
                && file[DEPTH_AT + 1] == 0;
        return greyOfOneBit ? read(file) : Optional.empty();
    }

    private static Optional<BufferedImage> read(byte[] file) {
        try (BytePointer bytes = new BytePointer(file)) {
            PIX picture = pixReadMem(bytes, file.length);
            if (picture == null || picture.isNull()) {
                return Optional.empty();
            }
            try {
                // What is see-through comes with colours of its own.
                boolean plain = pixGetDepth(picture) == 1 && pixGetColormap(picture) == null;
                return plain ? Optional.of(copy(picture)) : Optional.empty();
            } finally {
                pixDestroy(picture);
            }
        }
    }

    /** There rows are whole words, the leftmost pixel in the highest bit, and ink is 1. */
    private static BufferedImage copy(PIX picture) {
        var image = new BufferedImage(picture.w(), picture.h(), BufferedImage.TYPE_BYTE_BINARY);
        byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        int stride = (picture.w() + 7) / 8;
        int[] words = new int[pixGetWpl(picture)];
        IntPointer data = pixGetData(picture);
        for (int y = 0; y < picture.h(); y++) {
            data.position((long) y * words.length).get(words);
            for (int i = 0; i < stride; i++) {
                to[y * stride + i] = (byte) ~(words[i >> 2] >>> (24 - 8 * (i & 3)));
            }
        }
        return image;
    }
}
