package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** One rule at work: does this page carry its sign? One class for each kind of rule. */
interface StakeSign {

    Optional<Sign> on(Place place);

    /** What speaks against a document that begins here, whichever rule saw it begin. */
    default Optional<Evidence> against(Place place) {
        return Optional.empty();
    }

    /** What speaks for a document that may begin here though the rule sets no stake. */
    default Optional<Evidence> maybe(Place place) {
        return Optional.empty();
    }

    /**
     * @param previous the page before, blank ones included, or null
     * @param inFlow the last page that was not blank, a placeholder or a header, or null
     * @param sinceStake pages since the last stake, blank ones included
     */
    record Place(PageFacts page, PageFacts previous, PageFacts inFlow, int sinceStake) {}

    /**
     * @param opens what begins here, or null where the page is only flagged or known
     * @param flags whether somebody is to be told
     * @param begun pages of that document that were passed already, blank as they were
     * @param more further evidence of the same rule
     */
    record Sign(
            StakeRule.Opens opens,
            boolean flags,
            StakeRule.Sheet sheet,
            int begun,
            Evidence evidence,
            List<Evidence> more) {
        Sign(StakeRule.Opens opens, StakeRule.Sheet sheet, int begun, Evidence evidence) {
            this(opens, false, sheet, begun, evidence, List.of());
        }

        boolean begins() {
            return opens != null;
        }

        /** A document begins with this page, which stays. */
        static Sign begins(Evidence evidence) {
            return new Sign(StakeRule.Opens.DOCUMENT, StakeRule.Sheet.KEPT, 0, evidence);
        }

        /** A document begins here whatever is on the page, which stays. */
        static Sign begins(Evidence.Rule rule, PageFacts page, Reason why) {
            return begins(new Evidence(rule, page.no(), null, why, 1));
        }
    }

    /** What signs are made with: the batch as a whole. @param oneRule whether the stream has no other rule */
    record Batch(BatchPages sheets, List<PageFacts> inFlow, PageKnowledge knowledge, boolean oneRule) {}

    static StakeSign of(StakeRule rule, Batch batch) {
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
                return new NumberingSign(batch.inFlow(), batch.oneRule());
            }

            @Override
            public StakeSign blank(StakeRule.ByBlank blank) {
                return new BlankSign(batch.sheets());
            }

            @Override
            public StakeSign specimen(StakeRule.BySpecimen specimen) {
                return new SpecimenSign(batch.knowledge());
            }

            @Override
            public StakeSign change(StakeRule.ByChange change) {
                return new ChangeSign(change, batch.knowledge(), batch.inFlow());
            }

            @Override
            public StakeSign pagesAlone(StakeRule.PagesAlone pagesAlone) {
                return new PagesAloneSign(batch.inFlow(), batch.knowledge());
            }
        });
    }
}
