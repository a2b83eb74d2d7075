package jalon.core.page;

import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;

/**
 * The Orientation tag (274) of TIFF 6.0 and Exif: 1 as stored, 3 upside down, 6 and 8 sideways, 2, 4, 5 and 7 mirrored.
 * No image reader used here applies it.
 */
record ExifOrientation(int tag) {

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
}
