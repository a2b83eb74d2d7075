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
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

    /** The points of a QR code are the middles of its corners. */
    private static final double RIM_OF_MATRIX = 0.22;

    private static final double RIM_MM = 1.5;

    /** Half of a first or last sign, of the length between their middles. */
    private static final double SIGN_IN_LENGTHS = 0.05;

    /** A code that takes up so much of its place along its bars has it for itself. */
    private static final double MOST_OF_PLACE = 0.85;

    /** White through and through; no code has such a gap. */
    private static final double GAP_MM = 1.3;

    private static final double SMALLEST_MM = 4.5;
    private static final double LARGEST_MATRIX_MM = 70;
    private static final double MOST_OBLONG = 1.6;
    private static final int INK = 150;

    /** Columns, rows, columns: enough for codes in two rows. */
    private static final int CUTS = 2;

    private BarcodeReader() {}

    /** Boxes are in mm on the image as given. */
    static List<Mark> read(GrayPlane page, int threshold) {
        List<Mark> marks = new ArrayList<>();
        for (BarcodePlaces.Place place : BarcodePlaces.find(page, threshold)) {
            GrayPlane cut = page.cut(place.x(), place.y(), place.width(), place.height());
            if (place.matrix()) {
                List<Part> found = matrices(new Part(unread(cut, place, marks), 0, 0));
                found.forEach(f -> add(marks, f.read(), found.size() == 1 ? bare(place, cut) : f.box(place)));
            } else {
                List<Result> found = rows(cut.turned(place.turn()));
                found.forEach(f -> add(marks, f, box(f, place, cut, found.size() == 1)));
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

    /**
     * A part of a place.
     *
     * @param x pixels from the place's left, @param y from its top
     * @param read what was read in it, or null
     */
    private record Part(GrayPlane plane, int x, int y, Result read) {
        Part(GrayPlane plane, int x, int y) {
            this(plane, x, y, null);
        }

        /** Around the points that the decoder gives, which lie inside of the code, in mm on the part. */
        private Box bounds() {
            Box all = null;
            for (ResultPoint p : read.getResultPoints()) {
                if (p != null) {
                    Box point = new Box(plane.mm(p.getX()), plane.mm(p.getY()), 0, 0);
                    all = all == null ? point : all.union(point);
                }
            }
            return all == null
                    ? new Box(0, 0, plane.widthMm(), plane.heightMm())
                    : all.grown(RIM_OF_MATRIX * Math.max(all.width(), all.height()));
        }

        /** Where the code stands on the page. */
        Box box(BarcodePlaces.Place place) {
            Box at = bounds().within(plane.widthMm(), plane.heightMm());
            return new Box(plane.mm(place.x() + x) + at.x(), plane.mm(place.y() + y) + at.y(), at.width(), at.height());
        }

        /** The rest of the part, without the code. */
        Part rest() {
            return new Part(plane.whitened(List.of(bounds())), x, y);
        }
    }

    /**
     * Codes that stand side by side make one place: what was read is taken away, and what is left is looked at piece by
     * piece, since the decoder looks for a code in the middle.
     */
    private static List<Part> matrices(Part place) {
        List<Part> found = new ArrayList<>();
        Optional<Result> one = matrix(place.plane());
        Part rest = place;
        if (one.isPresent()) {
            var read = new Part(place.plane(), place.x(), place.y(), one.get());
            found.add(read);
            rest = read.rest();
        }
        List<Part> pieces = pieces(rest, 0);
        if (one.isPresent() || pieces.size() > 1) {
            for (Part piece : pieces) {
                matrix(piece.plane()).ifPresent(r -> found.add(new Part(piece.plane(), piece.x(), piece.y(), r)));
            }
        }
        return found;
    }

    /** The parts of a part between white gaps, as far as they are large enough for a code. */
    private static List<Part> pieces(Part part, int depth) {
        GrayPlane plane = part.plane();
        List<Part> pieces = new ArrayList<>();
        boolean across = depth % 2 == 0;
        boolean[] inked = inked(plane, across);
        int gap = (int) plane.inPixels(GAP_MM);
        int least = (int) plane.inPixels(SMALLEST_MM);
        int from = -1;
        int last = -1;
        for (int i = 0; i <= inked.length; i++) {
            boolean ink = i < inked.length && inked[i];
            if (from >= 0 && (i == inked.length || ink && i - last > gap)) {
                if (last - from >= least) {
                    int start = Math.max(0, from - gap);
                    int length = Math.min(inked.length, last + 1 + gap) - start;
                    pieces.add(
                            across
                                    ? new Part(plane.cut(start, 0, length, plane.height()), part.x() + start, part.y())
                                    : new Part(plane.cut(0, start, plane.width(), length), part.x(), part.y() + start));
                }
                from = -1;
            }
            if (ink) {
                from = from < 0 ? i : from;
                last = i;
            }
        }
        return depth == CUTS
                ? pieces
                : pieces.stream().flatMap(p -> pieces(p, depth + 1).stream()).toList();
    }

    /** Which columns, or rows, have ink. */
    private static boolean[] inked(GrayPlane plane, boolean columns) {
        boolean[] inked = new boolean[columns ? plane.width() : plane.height()];
        for (int y = 0; y < plane.height(); y++) {
            for (int x = 0; x < plane.width(); x++) {
                inked[columns ? x : y] |= plane.at(x, y) < INK;
            }
        }
        return inked;
    }

    /** Not every matrix is found both ways: the decoder follows its two solid sides from the middle. */
    private static Optional<Result> matrix(GrayPlane cut) {
        Optional<Result> asItIs = first(cut);
        double longer = Math.max(cut.widthMm(), cut.heightMm());
        double shorter = Math.min(cut.widthMm(), cut.heightMm());
        if (asItIs.isPresent() || longer > LARGEST_MATRIX_MM || longer > MOST_OBLONG * shorter) {
            return asItIs;
        }
        return first(cut.turned(90)).map(r -> turnedBack(r, cut.height()));
    }

    private static Optional<Result> first(GrayPlane cut) {
        return bitmaps(source(cut)).stream()
                .map(bitmap -> decode(bitmap, MATRICES))
                .flatMap(Optional::stream)
                .findFirst();
    }

    /** @param height of the plane before it was turned clockwise by 90 degrees */
    private static Result turnedBack(Result r, int height) {
        ResultPoint[] points = Arrays.stream(r.getResultPoints())
                .map(p -> p == null ? null : new ResultPoint(p.getY(), height - 1 - p.getX()))
                .toArray(ResultPoint[]::new);
        return new Result(r.getText(), r.getRawBytes(), points, r.getBarcodeFormat());
    }

    /** A place without the codes that were read in it already. */
    private static GrayPlane unread(GrayPlane cut, BarcodePlaces.Place place, List<Mark> marks) {
        Box whole = box(place, cut.mm(1));
        List<Box> read = marks.stream()
                .map(Mark::box)
                .filter(whole::overlaps)
                .map(b -> new Box(b.x() - whole.x(), b.y() - whole.y(), b.width(), b.height()).grown(RIM_MM))
                .toList();
        return cut.whitened(read);
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

    /** The place without its padding: the decoder's points of PDF417 lie on a turned picture when the code is turned. */
    private static Box bare(BarcodePlaces.Place place, GrayPlane cut) {
        return box(place, cut.mm(1)).grown(-place.pad() * cut.mm(1));
    }

    private static void add(List<Mark> marks, Result result, Box box) {
        BarcodeFormat format = result.getBarcodeFormat();
        String value = result.getText();
        if (value == null || value.isEmpty() || UNCHECKED.contains(format) && value.length() < SHORTEST_UNCHECKED) {
            return;
        }
        for (Mark known : marks) {
            if (known.symbology().equals(format.name())
                    && known.value().equals(value)
                    && known.box().grown(8).holdsCentreOf(box)) {
                return;
            }
        }
        marks.add(new Mark(Mark.Kind.BARCODE, format.name(), value, box, null));
    }

    /**
     * The part of its place that a code of bars takes up: all of it without the padding, or, where something else shares the
     * place, as far along the bars as the decoder's points say, which lie in the first and the last sign.
     */
    private static Box box(Result result, BarcodePlaces.Place place, GrayPlane cut, boolean alone) {
        double mm = cut.mm(1);
        Box whole = box(place, mm);
        double pad = place.pad() * mm;
        boolean standing = place.turn() == 270;
        Box bare = standing
                ? new Box(whole.x(), whole.y() + pad, whole.width(), whole.height() - 2 * pad)
                : new Box(whole.x() + pad, whole.y(), whole.width() - 2 * pad, whole.height());
        DoubleSummaryStatistics along = Arrays.stream(result.getResultPoints())
                .filter(Objects::nonNull)
                .mapToDouble(ResultPoint::getX)
                .summaryStatistics();
        if (along.getCount() < 2) {
            return alone ? bare : whole;
        }
        double length = (along.getMax() - along.getMin()) * mm;
        double ends = SIGN_IN_LENGTHS * length + RIM_MM / 2;
        double from = along.getMin() * mm - ends;
        double all = length + 2 * ends;
        if (alone && all > MOST_OF_PLACE * (standing ? bare.height() : bare.width())) {
            return bare;
        }
        return standing
                ? new Box(whole.x(), whole.y() + from, whole.width(), all)
                : new Box(whole.x() + from, whole.y(), all, whole.height());
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
