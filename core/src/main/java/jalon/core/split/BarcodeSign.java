package jalon.core.split;

import com.google.re2j.Pattern;
import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.stream.Shape;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** A barcode of the given kind, form and place. */
final class BarcodeSign implements StakeSign {
    private final StakeRule.ByBarcode rule;
    private final Shape shape;
    private final Pattern pattern;

    BarcodeSign(StakeRule.ByBarcode rule) {
        this.rule = rule;
        this.shape = rule.like() == null ? null : Shape.of(rule.like());
        this.pattern = rule.pattern() == null ? null : Pattern.compile(rule.pattern());
    }

    @Override
    public Optional<Sign> on(Place place) {
        return place.page().marks().stream()
                .filter(this::fits)
                .findFirst()
                .map(m -> new Sign(
                        true,
                        rule.sheet(),
                        0,
                        new Evidence(
                                Evidence.Rule.BARCODE,
                                place.page().no(),
                                m.box(),
                                Reason.Code.BARCODE.with(m.value()),
                                Certainty.BARCODE)));
    }

    private boolean fits(Mark m) {
        return m.kind() == Mark.Kind.BARCODE
                && (rule.kind() == null || rule.kind().equals(m.symbology()))
                && (shape == null || shape.fits(m.value()))
                && (pattern == null || pattern.matches(m.value()))
                && (rule.where() == null || rule.where().holdsCentreOf(m.box()));
    }
}
