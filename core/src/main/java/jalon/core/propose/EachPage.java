package jalon.core.propose;

import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** Papers of one page each. */
final class EachPage implements CutIdea {
    private static final double TRUST = 0.1;

    /** What each page looks like beside the one before says nothing where all look the same. */
    private static final double TRUST_OF_ONE_FORM = 3;

    @Override
    public Optional<Idea> of(Samples samples) {
        int pages = samples.printed().size();
        return pages < 2
                ? Optional.empty()
                : Optional.of(new Idea(
                        List.of(new StakeRule.EveryPages(1)),
                        Proposal.Why.Code.EACH_PAGE.with(pages),
                        LikePapers.areOneForm(samples.printed()) ? TRUST_OF_ONE_FORM : TRUST,
                        List.of()));
    }
}
