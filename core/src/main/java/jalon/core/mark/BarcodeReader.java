package jalon.core.mark;

import com.google.zxing.BarcodeFormat;
import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads barcodes in any of four directions: places first ({@link BarcodePlaces}), then what stands in each: bars by
 * {@link RowReader}, matrices and stacked bars by {@link MatrixReader}.
 */
final class BarcodeReader {
    private static final double RIM_MM = 1.5;

    /** At a coarser one no code of a usual size could be read. */
    private static final double LEAST_DPI = 130;

    private static final double USUAL_DPI = 200;

    /** A smaller picture has nothing to lose. */
    private static final int LEAST_PIXELS = 400_000;

    private final BarcodesWanted wanted;
    private final MatrixReader matrices;

    private BarcodeReader(BarcodesWanted wanted) {
        this.wanted = wanted;
        this.matrices = new MatrixReader(wanted);
    }

    /**
     * Codes are looked for at the page's own fineness and at half of it, which helps against grain and finds large cells;
     * where nothing is found, at a quarter, for pictures taken close up. Boxes are in mm on the image as given.
     */
    static List<Mark> read(GrayPlane page, int threshold, BarcodesWanted wanted) {
        if (page.dpi() >= LEAST_DPI) {
            return new BarcodeReader(wanted).atAllFinenesses(page, threshold);
        }
        // No scanner's: a picture of whatever size, whose millimetres say nothing of how fine its codes are.
        var anywhere = new BarcodeReader(new BarcodesWanted(wanted.kinds(), null));
        List<Mark> marks = new ArrayList<>();
        for (int factor = 1; factor <= 4 && (factor < 4 || marks.isEmpty()); factor *= 2) {
            GrayPlane reduced = page.reduced(factor);
            var usual =
                    new GrayPlane(reduced.width(), reduced.height(), reduced.pixels(), USUAL_DPI / Math.min(2, factor));
            double larger = usual.dpi() / reduced.dpi();
            List<Mark> found = new ArrayList<>();
            anywhere.read(usual, threshold, found);
            found.forEach(m -> add(
                    marks,
                    BarcodeFormat.valueOf(m.symbology()),
                    m.value(),
                    m.box().scaled(larger),
                    m.agreement()));
        }
        return marks;
    }

    private List<Mark> atAllFinenesses(GrayPlane page, int threshold) {
        List<Mark> marks = new ArrayList<>();
        read(page, threshold, marks);
        if (page.pixels().length > LEAST_PIXELS) {
            GrayPlane half = page.reduced(2);
            read(half, threshold, marks);
            if (marks.isEmpty()) {
                read(half.reduced(2), threshold, marks);
            }
        }
        return marks;
    }

    private void read(GrayPlane page, int threshold, List<Mark> marks) {
        List<Mark> before = List.copyOf(marks);
        for (BarcodePlaces.Place place : BarcodePlaces.find(page, threshold)) {
            Box whole = box(place, page.mm(1));
            if (!wanted.lies(whole, page.widthMm(), page.heightMm())
                    || (place.matrix() ? wanted.matrices().isEmpty() : !wanted.rows())
                    || before.stream().anyMatch(m -> whole.holdsCentreOf(m.box()))) {
                continue;
            }
            GrayPlane cut = page.cut(place.x(), place.y(), place.width(), place.height());
            if (place.matrix()) {
                List<MatrixReader.Part> found = matrices.read(unread(cut, place, marks));
                for (MatrixReader.Part f : found) {
                    add(
                            marks,
                            f.read().getBarcodeFormat(),
                            f.read().getText(),
                            found.size() == 1 ? bare(place, cut) : f.box(place),
                            1);
                }
            } else {
                RowReader.Found found = RowReader.read(cut.turned(place.turn()), wanted);
                if (found.stacked() != null && wanted.kind(BarcodeFormat.PDF_417)) {
                    MatrixReader.stacked(found.stacked())
                            .ifPresent(v -> add(marks, BarcodeFormat.PDF_417, v, bare(place, cut), 1));
                }
                for (RowReader.Code code : found.codes()) {
                    boolean alone = found.codes().size() == 1;
                    add(
                            marks,
                            code.format(),
                            code.value(),
                            box(code, place, cut, found.turned(), alone),
                            code.agreement());
                }
            }
        }
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

    /** The place without its padding: the decoder's points of PDF417 lie on a turned picture when the code is turned. */
    private static Box bare(BarcodePlaces.Place place, GrayPlane cut) {
        return box(place, cut.mm(1)).grown(-place.pad() * cut.mm(1));
    }

    private static void add(List<Mark> marks, BarcodeFormat read, String text, Box box, double agreement) {
        if (text == null || text.isEmpty()) {
            return;
        }
        boolean shorter = read == BarcodeFormat.EAN_13 && text.startsWith("0");
        BarcodeFormat format = shorter ? BarcodeFormat.UPC_A : read;
        String value = shorter ? text.substring(1) : text;
        for (Mark known : marks) {
            if (known.symbology().equals(format.name())
                    && known.value().equals(value)
                    && known.box().grown(8).holdsCentreOf(box)) {
                return;
            }
        }
        marks.add(new Mark(Mark.Kind.BARCODE, format.name(), value, box, null, agreement));
    }

    /**
     * The part of its place that a code of bars takes up: between its first and its last bar, and all the way along them
     * unless something else shares the place.
     */
    private static Box box(
            RowReader.Code code, BarcodePlaces.Place place, GrayPlane cut, double turned, boolean alone) {
        double mm = cut.mm(1);
        Box whole = box(place, mm);
        boolean standing = place.turn() == 270;
        if (alone && turned != 0) {
            double pad = place.pad() * mm;
            return standing
                    ? new Box(whole.x(), whole.y() + pad, whole.width(), whole.height() - 2 * pad)
                    : new Box(whole.x() + pad, whole.y(), whole.width() - 2 * pad, whole.height());
        }
        double from = code.left() * mm;
        double length = (code.right() - code.left()) * mm;
        double top = alone ? 0 : code.top();
        double tall = alone ? 1 : code.bottom() - code.top();
        return standing
                ? new Box(whole.x() + whole.width() * (1 - top - tall), whole.y() + from, whole.width() * tall, length)
                : new Box(whole.x() + from, whole.y() + whole.height() * top, length, whole.height() * tall);
    }

    /** @param mm size of a pixel */
    private static Box box(BarcodePlaces.Place place, double mm) {
        return new Box(place.x() * mm, place.y() * mm, place.width() * mm, place.height() * mm);
    }
}
