package jalon.core.read;

import com.google.re2j.Pattern;
import jalon.core.mark.Mark;
import jalon.core.stream.BarcodeForm;
import jalon.core.stream.Shape;
import java.util.Comparator;
import java.util.List;

/** Finds the barcodes that a rule or a finder means. */
public final class BarcodeSearch {
    private static final String EAN_13 = "EAN_13";
    private static final String UPC_A = "UPC_A";

    private final BarcodeForm form;
    private final Shape shape;
    private final Pattern pattern;

    public BarcodeSearch(BarcodeForm form) {
        this.form = form;
        this.shape = form.like() == null ? null : Shape.of(form.like());
        this.pattern = form.pattern() == null ? null : Pattern.compile(form.pattern());
    }

    /** Whether the value's own form is given. */
    public boolean formGiven() {
        return shape != null || pattern != null;
    }

    /** From the top of the page, those on one height from the left. */
    public List<Mark> on(PageFacts page) {
        List<Mark> all = page.marks().stream()
                .filter(m -> m.kind() == Mark.Kind.BARCODE)
                .map(this::asAsked)
                .filter(this::fits)
                .sorted(Comparator.comparingDouble((Mark m) -> m.box().centreY())
                        .thenComparingDouble(m -> m.box().x()))
                .toList();
        if (form.hit() == null || form.hit() == 0) {
            return all;
        }
        int at = form.hit() > 0 ? form.hit() - 1 : all.size() + form.hit();
        return at >= 0 && at < all.size() ? List.of(all.get(at)) : List.of();
    }

    private boolean fits(Mark m) {
        return (form.kind() == null || form.kind().equals(m.symbology()))
                && (shape == null || shape.fits(m.value()))
                && (pattern == null || pattern.matches(m.value()))
                && (form.where() == null || form.where().holdsCentreOf(m.box()))
                && (form.quality() == null || m.agreement() == null || m.agreement() >= form.quality());
    }

    /** UPC-A is EAN-13 with a leading 0 (ISO/IEC 15420): whoever asks for that gets all its digits. */
    private Mark asAsked(Mark m) {
        boolean shorter = EAN_13.equals(form.kind()) && m.symbology().equals(UPC_A);
        return shorter ? new Mark(m.kind(), EAN_13, "0" + m.value(), m.box(), null, m.agreement()) : m;
    }
}
