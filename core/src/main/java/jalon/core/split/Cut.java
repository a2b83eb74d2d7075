package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Map;

/**
 * What the rules say of a batch.
 *
 * @param stakes in page order
 * @param maybe places without a stake where one may be missing, with the certainty that a document begins there, in page order
 * @param outOfFlow pages that are not part of a document, by page number
 * @param placeholders sheets that stand for something still to come
 * @param openings pages, or sheets, with which more than a document begins, by page number
 * @param flags what somebody marked on its way in, by page number; where a sheet says so, the page behind it
 */
public record Cut(
        List<Stake> stakes,
        List<Stake> maybe,
        Map<Integer, Role> outOfFlow,
        List<Integer> placeholders,
        Map<Integer, Opening> openings,
        Map<Integer, Evidence> flags) {
    /** A group or a batch that begins, never just a document. */
    public record Opening(StakeRule.Opens what, Evidence evidence) {}

    /** Why a page is out of the flow. */
    public enum Role {
        SEPARATOR,
        BLANK
    }
}
