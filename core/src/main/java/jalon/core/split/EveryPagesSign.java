package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** So many pages since the last stake. A document whose first page is blank has begun with that page. */
record EveryPagesSign(StakeRule.EveryPages rule) implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        if (place.sinceStake() > 0 && place.sinceStake() < rule.every()) {
            return Optional.empty();
        }
        int no = place.page().no();
        var evidence = new Evidence(Evidence.Rule.PAGES, no, null, Reason.Code.EVERY_PAGES.with(rule.every()), 1);
        return Optional.of(
                new Sign(StakeRule.Opens.DOCUMENT, StakeRule.Sheet.KEPT, place.sinceStake() % rule.every(), evidence));
    }
}
