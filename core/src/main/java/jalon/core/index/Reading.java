package jalon.core.index;

import jalon.core.page.Box;
import java.util.List;

/**
 * What a finder found, before tidying.
 *
 * @param doubts what already speaks against it, in the operator's words
 * @param others other readings of the same place
 */
record Reading(
        String text, double certainty, int page, Box box, String finder, List<String> doubts, List<String> others) {

    static Reading of(String text, double certainty, int page, Box box, String finder) {
        return new Reading(text, certainty, page, box, finder, List.of(), List.of());
    }
}
