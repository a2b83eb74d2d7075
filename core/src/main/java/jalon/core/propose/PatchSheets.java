package jalon.core.propose;

import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Patch codes: nobody prints them for anything else. */
final class PatchSheets implements CutIdea {
    private static final double TRUST = 4;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<PageFacts> sheets = samples.printed().stream()
                .filter(p -> p.marks().stream().anyMatch(m -> m.kind() == Mark.Kind.PATCH))
                .toList();
        Map<String, Long> codes = sheets.stream()
                .flatMap(p -> p.marks().stream())
                .filter(m -> m.kind() == Mark.Kind.PATCH)
                .collect(Collectors.groupingBy(Mark::value, Collectors.counting()));
        if (sheets.size() < 2) {
            return Optional.empty();
        }
        boolean bare = sheets.stream().filter(Sheets::isBare).count() * 2 > sheets.size();
        var rule = new StakeRule.ByPatch(
                codes.keySet().stream().collect(Collectors.toMap(c -> c, c -> StakeRule.ByPatch.Meaning.DOCUMENT)),
                bare ? StakeRule.Sheet.DROPPED : StakeRule.Sheet.KEPT);
        return Optional.of(new Idea(
                List.of(rule),
                Proposal.Why.Code.PATCH_SHEETS.with(
                        sheets.size(),
                        String.join(", ", codes.keySet().stream().sorted().toList())),
                TRUST,
                sheets.stream()
                        .map(p -> new Proposal.Spotted(p.no(), p.marks().get(0).box(), null))
                        .toList()));
    }
}
