package jalon.core.propose;

import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** Blank pages between others. */
final class BlankSheets implements CutIdea {
    private static final double TRUST = 0.5;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<PageFacts> blank = samples.pages().stream()
                .filter(p -> !samples.printed().contains(p))
                .toList();
        return blank.size() < 2
                ? Optional.empty()
                : Optional.of(new Idea(
                        List.of(new StakeRule.ByBlank()),
                        Proposal.Why.Code.BLANK_SHEETS.with(blank.size()),
                        TRUST,
                        blank.stream()
                                .map(p -> new Proposal.Spotted(p.no(), null, null))
                                .toList()));
    }
}
