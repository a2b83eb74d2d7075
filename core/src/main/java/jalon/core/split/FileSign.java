package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import java.util.Optional;

/** The first page of a received file. */
record FileSign() implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        return place.page().filePage() == 1
                ? Optional.of(Sign.begins(
                        Evidence.Rule.FILE,
                        place.page(),
                        Reason.Code.FILE.with(place.page().file())))
                : Optional.empty();
    }
}
