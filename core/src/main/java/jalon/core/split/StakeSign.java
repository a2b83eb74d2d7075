package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** One rule at work: does this page carry its sign? One class for each kind of rule. */
interface StakeSign {

    Optional<Sign> on(Place place);

    /** What speaks against a document that begins here, whichever rule saw it begin. */
    default Optional<Evidence> against(Place place) {
        return Optional.empty();
    }

    /**
     * @param previous the page before, blank ones included, or null
     * @param inFlow the last page that was not blank, a placeholder or a header, or null
     * @param sinceStake pages since the last stake, blank ones included
     */
    record Place(PageFacts page, PageFacts previous, PageFacts inFlow, int sinceStake) {}

    /**
     * @param begins whether a document begins here, or the page is only flagged
     * @param begun pages of that document that were passed already, blank as they were
     */
    record Sign(boolean begins, StakeRule.Sheet sheet, int begun, Evidence evidence) {
        /** A document begins here whatever is on the page, which stays. */
        static Sign begins(Evidence.Rule rule, PageFacts page, Reason why) {
            return new Sign(true, StakeRule.Sheet.KEPT, 0, new Evidence(rule, page.no(), null, why, 1));
        }
    }

    static StakeSign of(StakeRule rule) {
        return rule.match(new StakeRule.Cases<>() {
            @Override
            public StakeSign barcode(StakeRule.ByBarcode barcode) {
                return new BarcodeSign(barcode);
            }

            @Override
            public StakeSign patch(StakeRule.ByPatch patch) {
                return new PatchSign(patch);
            }

            @Override
            public StakeSign words(StakeRule.ByWords words) {
                return new WordsSign(words);
            }

            @Override
            public StakeSign everyPages(StakeRule.EveryPages everyPages) {
                return new EveryPagesSign(everyPages);
            }

            @Override
            public StakeSign file(StakeRule.ByFile file) {
                return new FileSign();
            }

            @Override
            public StakeSign numbering(StakeRule.ByNumbering numbering) {
                return new NumberingSign();
            }
        });
    }
}
