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
import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reads codes of cells, and bars stacked in rows, on a place: by the library, and by {@link DataMatrixGrid} where the library
 * does not follow a code's sides.
 */
final class MatrixReader {
    /** The points of a QR code are the middles of its corners. */
    private static final double RIM_OF_MATRIX = 0.22;

    /** White through and through; no code has such a gap. */
    private static final double GAP_MM = 1.3;

    private static final double SMALLEST_MM = 4.5;
    private static final double LARGEST_MATRIX_MM = 70;
    private static final double MOST_OBLONG = 1.6;
    private static final int INK = 150;

    private static final int MOST_PIXELS_ENLARGED = 40_000;

    /** Columns, rows, columns: enough for codes in two rows. */
    private static final int CUTS = 2;

    private final BarcodesWanted wanted;

    MatrixReader(BarcodesWanted wanted) {
        this.wanted = wanted;
    }

    /**
     * A part of a place.
     *
     * @param x pixels from the place's left, @param y from its top
     * @param read what was read in it, or null
     */
    record Part(GrayPlane plane, int x, int y, Result read) {
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
    List<Part> read(GrayPlane whole) {
        var place = new Part(whole, 0, 0);
        List<Part> found = new ArrayList<>();
        Optional<Result> one = matrix(whole);
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
    private Optional<Result> matrix(GrayPlane cut) {
        Optional<Result> asItIs = first(cut);
        double longer = Math.max(cut.widthMm(), cut.heightMm());
        double shorter = Math.min(cut.widthMm(), cut.heightMm());
        if (asItIs.isPresent() || longer > LARGEST_MATRIX_MM) {
            return asItIs;
        }
        double tilt = Tilt.of(cut);
        GrayPlane straight = tilt == 0 ? cut : cut.rotated(-tilt);
        Optional<String> grid =
                wanted.kind(BarcodeFormat.DATA_MATRIX) ? DataMatrixGrid.read(straight) : Optional.empty();
        if (grid.isPresent()) {
            return Optional.of(new Result(grid.get(), null, new ResultPoint[0], BarcodeFormat.DATA_MATRIX));
        }
        Optional<Result> made = tilt == 0 ? Optional.empty() : first(straight);
        if (made.isPresent()) {
            return made.map(MatrixReader::withoutPlace);
        }
        if (longer > MOST_OBLONG * shorter) {
            return Optional.empty();
        }
        Optional<Result> turned = first(cut.turned(90)).map(r -> turnedBack(r, cut.height()));
        if (turned.isPresent() || cut.pixels().length > MOST_PIXELS_ENLARGED) {
            return turned;
        }
        return first(doubled(straight)).map(MatrixReader::withoutPlace);
    }

    /** Its points lie on a picture that was turned or enlarged; a code that needed that has its place for itself. */
    private static Result withoutPlace(Result r) {
        return new Result(r.getText(), null, new ResultPoint[0], r.getBarcodeFormat());
    }

    /** Twice as large, between pixels by their mean: the library wants three pixels a cell. */
    private static GrayPlane doubled(GrayPlane p) {
        int w = 2 * p.width();
        byte[] out = new byte[w * 2 * p.height()];
        for (int y = 0; y < 2 * p.height(); y++) {
            int below = Math.min(p.height() - 1, (y + 1) / 2);
            for (int x = 0; x < w; x++) {
                int right = Math.min(p.width() - 1, (x + 1) / 2);
                int sum = p.at(x / 2, y / 2) + p.at(right, y / 2) + p.at(x / 2, below) + p.at(right, below);
                out[y * w + x] = (byte) (sum / 4);
            }
        }
        return new GrayPlane(w, 2 * p.height(), out, 2 * p.dpi());
    }

    private Optional<Result> first(GrayPlane cut) {
        return bitmaps(source(cut)).stream()
                .map(bitmap -> decode(bitmap, wanted.matrices()))
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

    /** Rows of bars one above the other. */
    static Optional<String> stacked(GrayPlane straight) {
        return bitmaps(source(straight)).stream()
                .map(bitmap -> decode(bitmap, List.of(BarcodeFormat.PDF_417)))
                .flatMap(Optional::stream)
                .map(Result::getText)
                .findFirst();
    }

    private static List<BinaryBitmap> bitmaps(LuminanceSource source) {
        return List.of(
                new BinaryBitmap(new HybridBinarizer(source)), new BinaryBitmap(new GlobalHistogramBinarizer(source)));
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

    private static LuminanceSource source(GrayPlane p) {
        return new PlanarYUVLuminanceSource(p.pixels(), p.width(), p.height(), 0, 0, p.width(), p.height(), false);
    }
}
