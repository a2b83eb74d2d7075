package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** So many pages since the last stake. */
record EveryPagesSign(StakeRule.EveryPages rule) implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        return place.sinceStake() == 0 || place.sinceStake() >= rule.every()
                ? Optional.of(
                        Sign.begins(Evidence.Rule.PAGES, place.page(), Reason.Code.EVERY_PAGES.with(rule.every())))
                : Optional.empty();
    }
}
