package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.Optional;

/** What is known of a page beside what stands on it: what samples say of it, and what finders find on it. */
public interface PageKnowledge {
    PageKnowledge NONE = new PageKnowledge() {
        @Override
        public Likeness likeness(PageFacts page) {
            return Likeness.UNKNOWN;
        }

        @Override
        public Optional<Value> value(StakeRule.ByChange rule, PageFacts page) {
            return Optional.empty();
        }
    };

    Likeness likeness(PageFacts page);

    Optional<Value> value(StakeRule.ByChange rule, PageFacts page);

    /**
     * How like a page is to those of the samples.
     *
     * @param first certainty that it is the first page of a known type
     * @param inner certainty that it is a later page of one
     * @param evidence what speaks for a first page, or null
     * @param known whether there are samples at all
     */
    record Likeness(double first, double inner, Evidence evidence, boolean known) {
        /** Where there are no samples. */
        public static final Likeness UNKNOWN = new Likeness(0, 0, null, false);
    }

    /** @param certainty that it was read right */
    record Value(String value, Box box, double certainty) {}
}
