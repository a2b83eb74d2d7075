package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** One rule at work: does this page carry its sign? */
interface StakeSign {

    Optional<Sign> on(Place place);

    /**
     * @param previous the page before, blank ones included, or null
     * @param sinceStake pages in the flow since the last stake
     */
    record Place(PageFacts page, PageFacts previous, int sinceStake) {}

    /** @param begins whether a document begins here, or the page is only flagged */
    record Sign(boolean begins, StakeRule.Sheet sheet, Evidence evidence) {}

    static StakeSign of(StakeRule rule) {
        if (rule instanceof StakeRule.ByBarcode barcode) {
            return new BarcodeSign(barcode);
        } else if (rule instanceof StakeRule.ByPatch patch) {
            return new PatchSign(patch);
        } else if (rule instanceof StakeRule.ByWords words) {
            return new WordsSign(words);
        } else if (rule instanceof StakeRule.EveryPages every) {
            return place -> place.sinceStake() == 0 || place.sinceStake() >= every.every()
                    ? Optional.of(begins("pages", place.page(), "every " + every.every() + " pages"))
                    : Optional.empty();
        } else if (rule instanceof StakeRule.ByFile) {
            return place -> place.page().filePage() == 1
                    ? Optional.of(
                            begins("file", place.page(), "file " + place.page().file()))
                    : Optional.empty();
        }
        throw new IllegalStateException("no sign for " + rule);
    }

    private static Sign begins(String rule, PageFacts page, String why) {
        return new Sign(true, StakeRule.Sheet.KEPT, new Evidence(rule, page.no(), null, why, 1));
    }
}
