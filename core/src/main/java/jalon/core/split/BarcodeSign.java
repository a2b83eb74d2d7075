package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.BarcodeSearch;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** A barcode of the given kind, form and place. */
final class BarcodeSign implements StakeSign {
    private final StakeRule.ByBarcode rule;
    private final BarcodeSearch search;

    BarcodeSign(StakeRule.ByBarcode rule) {
        this.rule = rule;
        this.search = new BarcodeSearch(rule.form());
    }

    @Override
    public Optional<Sign> on(Place place) {
        return search.on(place.page()).stream()
                .findFirst()
                .map(m -> new Sign(
                        rule.opens(),
                        rule.sheet(),
                        0,
                        new Evidence(
                                Evidence.Rule.BARCODE,
                                place.page().no(),
                                m.box(),
                                Reason.Code.BARCODE.with(m.value()),
                                Certainty.BARCODE)));
    }
}
