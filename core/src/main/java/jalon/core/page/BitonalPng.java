package jalon.core.page;

import static org.bytedeco.leptonica.global.leptonica.L_SEVERITY_NONE;
import static org.bytedeco.leptonica.global.leptonica.pixDestroy;
import static org.bytedeco.leptonica.global.leptonica.pixGetData;
import static org.bytedeco.leptonica.global.leptonica.pixGetDepth;
import static org.bytedeco.leptonica.global.leptonica.pixGetWpl;
import static org.bytedeco.leptonica.global.leptonica.pixReadMem;
import static org.bytedeco.leptonica.global.leptonica.setMsgSeverity;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
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

    private static final int FIRST_CHUNK_AFTER_HEADER = 33;

    static {
        setMsgSeverity(L_SEVERITY_NONE);
    }

    private BitonalPng() {}

    /** @return nothing for a file of another kind, a see-through one, and one that is damaged */
    static Optional<BufferedImage> decoded(byte[] file) {
        return isBitonal(file) ? read(file) : Optional.empty();
    }

    private static boolean isBitonal(byte[] file) {
        boolean greyOfOneBit = FileKind.of(file) == FileKind.PNG
                && file.length > FIRST_CHUNK_AFTER_HEADER
                && file[DEPTH_AT] == 1
                && file[DEPTH_AT + 1] == 0;
        return greyOfOneBit && !isSeeThrough(ByteBuffer.wrap(file).position(FIRST_CHUNK_AFTER_HEADER));
    }

    /** @param chunks each with its length, its name, so many bytes and four to check them by; the picture's come last */
    private static boolean isSeeThrough(ByteBuffer chunks) {
        while (chunks.remaining() > 12) {
            int length = chunks.getInt();
            byte[] name = new byte[4];
            chunks.get(name);
            switch (new String(name, StandardCharsets.ISO_8859_1)) {
                case "tRNS" -> {
                    return true;
                }
                case "IDAT" -> {
                    return false;
                }
                default -> {
                    if (length < 0 || length > chunks.remaining() - 4) {
                        return false;
                    }
                    chunks.position(chunks.position() + length + 4);
                }
            }
        }
        return false;
    }

    private static Optional<BufferedImage> read(byte[] file) {
        try (BytePointer bytes = new BytePointer(file)) {
            PIX picture = pixReadMem(bytes, file.length);
            if (picture == null || picture.isNull()) {
                return Optional.empty();
            }
            try {
                return pixGetDepth(picture) == 1 ? Optional.of(copy(picture)) : Optional.empty();
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
