package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import java.util.List;

/**
 * What a finder found, before tidying.
 *
 * @param doubts what already speaks against it
 * @param alternatives other readings of the same place
 */
record Reading(
        String text,
        double certainty,
        int page,
        Box box,
        FoundBy finder,
        List<Reason> doubts,
        List<String> alternatives) {

    static Reading of(String text, double certainty, int page, Box box, FoundBy finder) {
        return new Reading(text, certainty, page, box, finder, List.of(), List.of());
    }
}
