package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.read.BarcodeSearch;
import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Barcodes of the document's pages and of the separator sheet before them. */
record BarcodeFinder(Finder.ByBarcode wanted) implements FieldFinder {
    /** Kinds that say nothing of whether they are whole. */
    private static final Set<String> OPEN = Set.of("ITF", "CODABAR");

    private static final String GUARDED = "CODE_39";

    @Override
    public Found find(Search search) {
        Document document = search.document();
        var barcodes = new BarcodeSearch(wanted.form());
        List<PageFacts> looked = new ArrayList<>();
        document.separator().ifPresent(looked::add);
        looked.addAll(document.pages(wanted.page()));
        List<Reading> readings = new ArrayList<>();
        for (PageFacts page : looked) {
            for (Mark m : barcodes.on(page)) {
                readings.add(
                        Reading.of(m.value(), certainty(m, barcodes.formGiven()), page.no(), m.box(), FoundBy.BARCODE));
            }
        }
        return readings.isEmpty() ? Found.nothing(Reason.Code.NO_BARCODE.with(looked.size())) : Found.of(readings);
    }

    private static double certainty(Mark mark, boolean formGiven) {
        boolean guarded = mark.symbology().equals(GUARDED);
        boolean open = OPEN.contains(mark.symbology());
        if (!guarded && !open) {
            return Certainty.CHECKED_BARCODE;
        }
        return formGiven
                ? Certainty.OPEN_BARCODE_OF_ITS_FORM
                : guarded ? Certainty.GUARDED_BARCODE : Certainty.OPEN_BARCODE;
    }
}
