package jalon.core.page;

import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The Orientation tag (274) of TIFF 6.0 and Exif: 1 as stored, 3 upside down, 6 and 8 sideways, 2, 4, 5 and 7 mirrored.
 * No image reader used here applies it.
 */
record ExifOrientation(int tag) {

    static final ExifOrientation NONE = new ExifOrientation(1);

    /** Clockwise turn in degrees that comes after the mirroring, if any. */
    int turn() {
        return switch (tag) {
            case 3, 4 -> 180;
            case 6, 7 -> 90;
            case 8, 5 -> 270;
            default -> 0;
        };
    }

    boolean turnOnly() {
        return tag == 1 || tag == 3 || tag == 6 || tag == 8;
    }

    BufferedImage apply(BufferedImage image) {
        BufferedImage upright = image;
        if (!turnOnly()) {
            var mirror = AffineTransform.getScaleInstance(-1, 1);
            mirror.translate(-image.getWidth(), 0);
            upright = new AffineTransformOp(mirror, AffineTransformOp.TYPE_NEAREST_NEIGHBOR).filter(image, null);
        }
        return Pixels.turned(upright, turn());
    }

    /** Reads the tag from a JPEG's first Exif segment; {@link #NONE} when there is none or it makes no sense. */
    static ExifOrientation ofJpeg(Path file) throws IOException {
        try (var in = new DataInputStream(Files.newInputStream(file))) {
            if (in.readUnsignedShort() != 0xFFD8) {
                return NONE;
            }
            for (int segments = 0; segments < 64; segments++) {
                int marker = in.readUnsignedShort();
                int length = in.readUnsignedShort() - 2;
                if (marker == 0xFFDA || (marker & 0xFF00) != 0xFF00 || length < 0) {
                    return NONE;
                }
                byte[] body = in.readNBytes(length);
                if (marker == 0xFFE1 && body.length > 14 && body[0] == 'E' && body[1] == 'x') {
                    return inExif(ByteBuffer.wrap(body, 6, body.length - 6).slice());
                }
            }
            return NONE;
        } catch (java.io.EOFException e) {
            return NONE;
        }
    }

    private static ExifOrientation inExif(ByteBuffer tiff) {
        try {
            tiff.order(tiff.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
            int at = tiff.getInt(4);
            int entries = tiff.getShort(at) & 0xFFFF;
            for (int i = 0; i < entries; i++) {
                int entry = at + 2 + 12 * i;
                if ((tiff.getShort(entry) & 0xFFFF) == 274) {
                    int tag = tiff.getShort(entry + 8) & 0xFFFF;
                    return tag >= 1 && tag <= 8 ? new ExifOrientation(tag) : NONE;
                }
            }
        } catch (IndexOutOfBoundsException e) {
            return NONE;
        }
        return NONE;
    }
}
