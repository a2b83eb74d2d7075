package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import java.util.Optional;

/** The first page of a received file that is not blank. */
record FileSign() implements StakeSign {
    @Override
    public Optional<Sign> on(Place place) {
        PageFacts page = place.page();
        PageFacts before = place.inFlow();
        boolean same = before != null
                && before.sha256().equals(page.sha256())
                && before.file().equals(page.file())
                && before.filePage() < page.filePage();
        return same
                ? Optional.empty()
                : Optional.of(Sign.begins(Evidence.Rule.FILE, page, Reason.Code.FILE.with(page.file())));
    }
}
