package jalon.core.propose;

import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** No sign of any kind. */
final class PagesThemselves implements CutIdea {
    @Override
    public Optional<Idea> of(Samples samples) {
        return Optional.of(
                new Idea(List.of(new StakeRule.PagesAlone()), Proposal.Why.Code.PAGES_THEMSELVES.with(), 0, List.of()));
    }
}
