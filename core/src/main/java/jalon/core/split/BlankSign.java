package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import java.util.Optional;

/** A blank sheet lies before this page. */
record BlankSign(BatchPages batch) implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        if (place.previous() == null || !batch.endsBlankSheet(place.previous())) {
            return Optional.empty();
        }
        var evidence = new Evidence(
                Evidence.Rule.BLANK, place.page().no(), null, Reason.Code.BLANK_SHEET.with(), Certainty.BLANK_SHEET);
        return Optional.of(Sign.begins(evidence));
    }
}
