package jalon.core.mark;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.PlanarYUVLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.Result;
import com.google.zxing.ResultPoint;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.GenericMultipleBarcodeReader;
import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads barcodes in any of four directions: places first ({@link BarcodePlaces}), each decoded as it is, by another
 * threshold, and slightly blurred, which joins the dots of a poor print.
 */
final class BarcodeReader {
    private static final List<BarcodeFormat> ROWS = List.of(
            BarcodeFormat.CODE_128,
            BarcodeFormat.CODE_39,
            BarcodeFormat.ITF,
            BarcodeFormat.CODABAR,
            BarcodeFormat.EAN_13);
    private static final List<BarcodeFormat> MATRICES =
            List.of(BarcodeFormat.QR_CODE, BarcodeFormat.DATA_MATRIX, BarcodeFormat.PDF_417);

    /** ITF and Codabar have no check digit: a few bars of anything can pass for a short one. */
    private static final Set<BarcodeFormat> UNCHECKED = Set.of(BarcodeFormat.ITF, BarcodeFormat.CODABAR);

    private static final int SHORTEST_UNCHECKED = 6;

    private BarcodeReader() {}

    /** Boxes are in mm on the image as given. */
    static List<Mark> read(GrayPlane page, int threshold) {
        List<Mark> marks = new ArrayList<>();
        for (BarcodePlaces.Place place : BarcodePlaces.find(page, threshold)) {
            if (place.matrix()
                    && marks.stream().anyMatch(m -> box(place, page.mm(1)).holdsCentreOf(m.box()))) {
                continue;
            }
            GrayPlane cut = page.cut(place.x(), place.y(), place.width(), place.height());
            List<Result> found = place.matrix() ? matrices(cut) : rows(cut.turned(place.turn()));
            for (Result f : found) {
                add(marks, f, place, cut, found.size() == 1);
            }
        }
        return marks;
    }

    private static List<Result> rows(GrayPlane cut) {
        for (LuminanceSource source : List.of(source(cut), source(blurred(cut)))) {
            for (BinaryBitmap bitmap : bitmaps(source)) {
                Optional<Result> one = decode(bitmap, ROWS);
                if (one.isPresent()) {
                    return several(bitmap, one.get(), ROWS);
                }
            }
        }
        return List.of();
    }

    private static List<Result> matrices(GrayPlane cut) {
        for (BinaryBitmap bitmap : bitmaps(source(cut))) {
            Optional<Result> one = decode(bitmap, MATRICES);
            if (one.isPresent()) {
                return List.of(one.get());
            }
        }
        return List.of();
    }

    private static List<BinaryBitmap> bitmaps(LuminanceSource source) {
        return List.of(
                new BinaryBitmap(new HybridBinarizer(source)), new BinaryBitmap(new GlobalHistogramBinarizer(source)));
    }

    /** Two codes printed close together make one place. */
    private static List<Result> several(BinaryBitmap bitmap, Result first, List<BarcodeFormat> formats) {
        List<Result> found = new ArrayList<>();
        try {
            var reader = new MultiFormatReader();
            reader.setHints(hints(formats));
            for (Result r : new GenericMultipleBarcodeReader(reader).decodeMultiple(bitmap, hints(formats))) {
                found.add(r);
            }
        } catch (ReaderException e) {
            found.add(first);
        }
        return found;
    }

    private static Optional<Result> decode(BinaryBitmap bitmap, List<BarcodeFormat> formats) {
        try {
            var reader = new MultiFormatReader();
            return Optional.of(reader.decode(bitmap, hints(formats)));
        } catch (ReaderException | ArrayIndexOutOfBoundsException | IllegalArgumentException e) {
            // The decoders meet arbitrary pixels here and not all of them check their bounds; nothing was read.
            return Optional.empty();
        }
    }

    private static Map<DecodeHintType, Object> hints(List<BarcodeFormat> formats) {
        Map<DecodeHintType, Object> hints = new EnumMap<>(DecodeHintType.class);
        hints.put(DecodeHintType.POSSIBLE_FORMATS, formats);
        hints.put(DecodeHintType.TRY_HARDER, Boolean.TRUE);
        return hints;
    }

    private static void add(List<Mark> marks, Result result, BarcodePlaces.Place place, GrayPlane cut, boolean alone) {
        BarcodeFormat format = result.getBarcodeFormat();
        String value = result.getText();
        if (value == null || value.isEmpty() || UNCHECKED.contains(format) && value.length() < SHORTEST_UNCHECKED) {
            return;
        }
        Box box = box(result, place, cut, alone);
        for (Mark known : marks) {
            if (known.symbology().equals(format.name())
                    && known.value().equals(value)
                    && known.box().grown(8).holdsCentreOf(box)) {
                return;
            }
        }
        marks.add(new Mark(Mark.Kind.BARCODE, format.name(), value, box, null));
    }

    /** The place without its padding; where several codes share it, the decoder's points say which part. */
    private static Box box(Result result, BarcodePlaces.Place place, GrayPlane cut, boolean alone) {
        double mm = cut.mm(1);
        Box whole = box(place, mm);
        double pad = place.pad() * mm;
        if (alone && place.matrix()) {
            // PDF417's own points lie on a turned picture when the code is turned.
            return whole.grown(-pad);
        }
        if (alone) {
            return place.turn() == 270
                    ? new Box(whole.x(), whole.y() + pad, whole.width(), whole.height() - 2 * pad)
                    : new Box(whole.x() + pad, whole.y(), whole.width() - 2 * pad, whole.height());
        }
        ResultPoint[] points = result.getResultPoints();
        if (points == null || points.length < 2 || place.turn() != 0 && place.turn() != 270) {
            return whole;
        }
        double left = Double.MAX_VALUE;
        double right = 0;
        double top = Double.MAX_VALUE;
        double bottom = 0;
        for (ResultPoint point : points) {
            if (point == null) {
                continue;
            }
            // Points lie on the plane that was decoded; undo the turn of a standing code.
            double x = place.turn() == 270 ? cut.width() - 1 - point.getY() : point.getX();
            double y = place.turn() == 270 ? point.getX() : point.getY();
            left = Math.min(left, x);
            right = Math.max(right, x);
            top = Math.min(top, y);
            bottom = Math.max(bottom, y);
        }
        double px = place.x() * mm;
        double py = place.y() * mm;
        double rim = 1.0;
        if (place.matrix()) {
            return new Box(
                    px + left * mm - rim,
                    py + top * mm - rim,
                    (right - left) * mm + 2 * rim,
                    (bottom - top) * mm + 2 * rim);
        }
        return place.turn() == 270
                ? new Box(whole.x(), py + top * mm - rim, whole.width(), (bottom - top) * mm + 2 * rim)
                : new Box(px + left * mm - rim, whole.y(), (right - left) * mm + 2 * rim, whole.height());
    }

    /** @param mm size of a pixel */
    private static Box box(BarcodePlaces.Place place, double mm) {
        return new Box(place.x() * mm, place.y() * mm, place.width() * mm, place.height() * mm);
    }

    private static LuminanceSource source(GrayPlane p) {
        return new PlanarYUVLuminanceSource(p.pixels(), p.width(), p.height(), 0, 0, p.width(), p.height(), false);
    }

    /** Average of 3 x 3, the edge left as it is. */
    private static GrayPlane blurred(GrayPlane p) {
        byte[] out = p.pixels().clone();
        int w = p.width();
        for (int y = 1; y < p.height() - 1; y++) {
            for (int x = 1; x < w - 1; x++) {
                int sum = 0;
                for (int dy = -1; dy <= 1; dy++) {
                    int at = (y + dy) * w + x;
                    sum += p.at(x - 1, y + dy) + (p.pixels()[at] & 0xFF) + p.at(x + 1, y + dy);
                }
                out[y * w + x] = (byte) (sum / 9);
            }
        }
        return new GrayPlane(w, p.height(), out, p.dpi());
    }
}
