package jalon.core.propose;

import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** As many papers as files. */
final class EachFile implements CutIdea {
    private static final double TRUST = 0.5;

    @Override
    public Optional<Idea> of(Samples samples) {
        long files = samples.printed().stream()
                .map(p -> p.sha256() + p.file())
                .distinct()
                .count();
        return files < 2
                ? Optional.empty()
                : Optional.of(new Idea(
                        List.of(new StakeRule.ByFile()),
                        Proposal.Why.Code.EACH_FILE.with(files),
                        TRUST,
                        samples.printed().stream()
                                .filter(p -> p.filePage() == 1)
                                .map(PageFacts::no)
                                .map(no -> new Proposal.Spotted(no, null, null))
                                .toList()));
    }
}
