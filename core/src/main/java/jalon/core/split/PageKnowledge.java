package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.Map;
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
     * @param firstOf and of which, by type
     * @param innerOf likewise
     * @param evidence what speaks for a first page, or null
     * @param known whether there are samples at all
     */
    record Likeness(
            double first,
            double inner,
            Map<String, Double> firstOf,
            Map<String, Double> innerOf,
            Evidence evidence,
            boolean known) {
        /** Where there are no samples. */
        public static final Likeness UNKNOWN = new Likeness(0, 0, Map.of(), Map.of(), null, false);

        /** Certainty that both are first pages of one type: what they have in common is the form. */
        double isLike(Likeness before) {
            return firstOf.entrySet().stream()
                    .mapToDouble(e -> e.getValue() * before.firstOf.getOrDefault(e.getKey(), 0.0))
                    .sum();
        }

        /** Certainty that it is a later page of the very type that the page before it is of. */
        double follows(Likeness before) {
            return innerOf.entrySet().stream()
                    .mapToDouble(e -> e.getValue()
                            * Math.max(
                                    before.firstOf.getOrDefault(e.getKey(), 0.0),
                                    before.innerOf.getOrDefault(e.getKey(), 0.0)))
                    .sum();
        }
    }

    /** @param certainty that it was read right */
    record Value(String value, Box box, double certainty) {}
}
