package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageNumbering;
import java.util.Optional;

/**
 * The numbers that pages give themselves. A first page begins a document. So does, in doubt, a page whose number does not
 * go on from the one before, and one without a number behind a last page. A number that goes on speaks against a stake.
 */
final class NumberingSign implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        Optional<PageNumbering> here = PageNumbering.on(place.page());
        Optional<PageNumbering> before = Optional.ofNullable(place.inFlow()).flatMap(PageNumbering::on);
        if (here.isEmpty()) {
            return before.filter(PageNumbering::isLast)
                    .map(last ->
                            sign(place, null, Reason.Code.AFTER_LAST_PAGE.with(last.of()), Certainty.AFTER_LAST_PAGE));
        }
        PageNumbering n = here.get();
        if (n.page() == 1) {
            double certainty = n.of() > 0 ? Certainty.NUMBERED_FIRST_OF : Certainty.NUMBERED_FIRST;
            Reason why = n.of() > 0 ? Reason.Code.NUMBERED_FIRST_OF.with(n.of()) : Reason.Code.NUMBERED_FIRST.with();
            return Optional.of(sign(place, n, why, Math.min(certainty, n.certainty())));
        }
        return before.filter(b -> !n.follows(b))
                .map(b -> sign(place, n, Reason.Code.NUMBER_JUMPS.with(b.page(), n.page()), Certainty.NUMBER_JUMPS));
    }

    @Override
    public Optional<Evidence> against(Place place) {
        Optional<PageNumbering> here = PageNumbering.on(place.page());
        return Optional.ofNullable(place.inFlow())
                .flatMap(PageNumbering::on)
                .flatMap(b -> here.filter(n -> n.page() > 1 && n.follows(b)))
                .map(n -> sign(place, n, Reason.Code.NUMBER_GOES_ON.with(n.page()), Certainty.CONTRADICTED))
                .map(Sign::evidence);
    }

    private static Sign sign(Place place, PageNumbering at, Reason why, double score) {
        var evidence =
                new Evidence(Evidence.Rule.NUMBERING, place.page().no(), at == null ? null : at.box(), why, score);
        return Sign.begins(evidence);
    }
}
