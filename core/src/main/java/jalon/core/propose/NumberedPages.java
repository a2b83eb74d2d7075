package jalon.core.propose;

import jalon.core.read.PageFacts;
import jalon.core.read.PageNumbering;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Pages that say their number. */
final class NumberedPages implements CutIdea {
    private static final double TRUST = 0.2;
    private static final double TRUST_OF_ALL = 0.8;

    /** Fewer leave too much to guess. */
    private static final double ENOUGH = 0.5;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<Proposal.Spotted> seen = new ArrayList<>();
        boolean later = false;
        for (PageFacts page : samples.printed()) {
            Optional<PageNumbering> number = PageNumbering.on(page);
            number.ifPresent(n -> seen.add(new Proposal.Spotted(page.no(), n.box(), Integer.toString(n.page()))));
            later |= number.isPresent() && number.get().page() > 1;
        }
        double share = seen.size() / (double) Math.max(1, samples.printed().size());
        return !later || share < ENOUGH
                ? Optional.empty()
                : Optional.of(new Idea(
                        List.of(new StakeRule.ByNumbering()),
                        Proposal.Why.Code.NUMBERED.with(
                                seen.size(), samples.printed().size()),
                        TRUST + TRUST_OF_ALL * share,
                        seen));
    }
}
