package jalon.core.propose;

import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** Papers of one page each. */
final class EachPage implements CutIdea {
    private static final double TRUST = 0.1;
    private static final double TRUST_OF_LIKE_PAGES = 0.6;

    /** Share of the pages that are of one kind. */
    private static final double ALIKE = 0.8;

    @Override
    public Optional<Idea> of(Samples samples) {
        int pages = samples.printed().size();
        int alike = LikePapers.of(samples.printed().stream().map(List::of).toList()).stream()
                .filter(kind -> kind.title() != null)
                .mapToInt(kind -> kind.documents().size())
                .max()
                .orElse(0);
        return pages < 2
                ? Optional.empty()
                : Optional.of(new Idea(
                        List.of(new StakeRule.EveryPages(1)),
                        Proposal.Why.Code.EACH_PAGE.with(pages),
                        alike >= ALIKE * pages ? TRUST_OF_LIKE_PAGES : TRUST,
                        List.of()));
    }
}
