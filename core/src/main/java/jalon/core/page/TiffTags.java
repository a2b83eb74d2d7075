package jalon.core.page;

import com.twelvemonkeys.imageio.metadata.Directory;
import com.twelvemonkeys.imageio.metadata.Entry;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEG;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEGSegment;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEGSegmentUtil;
import com.twelvemonkeys.imageio.metadata.tiff.TIFFReader;
import java.io.IOException;
import java.lang.reflect.Array;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/**
 * The tags of a TIFF page, or of the Exif part of a JPEG (TIFF 6.0, section 2; Exif 2.3).
 *
 * @param directory null for none
 */
record TiffTags(Directory directory) {
    static final TiffTags NONE = new TiffTags(null);
    static final int WIDTH = 256;
    static final int HEIGHT = 257;
    static final int BITS_PER_SAMPLE = 258;
    static final int COMPRESSION = 259;
    static final int PHOTOMETRIC = 262;
    static final int FILL_ORDER = 266;
    static final int STRIP_OFFSETS = 273;
    private static final int ORIENTATION = 274;
    static final int SAMPLES_PER_PIXEL = 277;
    static final int STRIP_BYTE_COUNTS = 279;
    static final int X_RESOLUTION = 282;
    static final int Y_RESOLUTION = 283;
    static final int T6_OPTIONS = 293;
    private static final int RESOLUTION_UNIT = 296;
    static final int TILE_OFFSETS = 324;
    static final int TILE_BYTE_COUNTS = 325;

    /**
     * {@link #NONE} where they make no sense: what else there is may be good.
     *
     * @param in a TIFF of one directory
     */
    static TiffTags of(ImageInputStream in) {
        try {
            return new TiffTags(new TIFFReader().read(in));
        } catch (IOException | RuntimeException e) {
            return NONE;
        }
    }

    /** {@link #NONE} where there is no Exif part or it makes no sense: the picture is good without. */
    static TiffTags ofJpeg(Path file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            for (JPEGSegment segment : JPEGSegmentUtil.readSegments(in, JPEG.APP1, "Exif")) {
                var exif = segment.data();
                // The name is followed by a second zero byte.
                exif.skipNBytes(1);
                return of(new MemoryCacheImageInputStream(exif));
            }
        } catch (IOException | RuntimeException e) {
            return NONE;
        }
        return NONE;
    }

    boolean has(int tag) {
        return entry(tag) != null;
    }

    /** The first of the tag's whole numbers. */
    long value(int tag, long otherwise) {
        long[] values = values(tag);
        return values.length == 0 ? otherwise : values[0];
    }

    /** The tag's whole numbers; empty where it has none. */
    long[] values(int tag) {
        Object value = has(tag) ? entry(tag).getValue() : null;
        if (value instanceof Number one) {
            return new long[] {one.longValue()};
        }
        if (value == null || !value.getClass().isArray()) {
            return new long[0];
        }
        long[] all = new long[Array.getLength(value)];
        for (int i = 0; i < all.length; i++) {
            all[i] = Array.get(value, i) instanceof Number number ? number.longValue() : 0;
        }
        return all;
    }

    /** The resolution that one of its two tags states, in pixels per inch; 0 for none. */
    double perInch(int tag) {
        double perUnit = has(tag) && entry(tag).getValue() instanceof Number number ? number.doubleValue() : 0;
        return switch ((int) value(RESOLUTION_UNIT, 2)) {
            case 2 -> perUnit;
            case 3 -> perUnit * 2.54;
            default -> 0;
        };
    }

    ExifOrientation orientation() {
        long tag = value(ORIENTATION, 1);
        return new ExifOrientation(tag >= 1 && tag <= 8 ? (int) tag : 1);
    }

    private Entry entry(int tag) {
        return directory == null ? null : directory.getEntryById(tag);
    }
}
