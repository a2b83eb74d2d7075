package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** A patch code with a meaning in this stream. */
final class PatchSign implements StakeSign {
    private final StakeRule.ByPatch rule;

    PatchSign(StakeRule.ByPatch rule) {
        this.rule = rule;
    }

    @Override
    public Optional<Sign> on(Place place) {
        for (Mark m : place.page().marks()) {
            var meaning = m.kind() == Mark.Kind.PATCH ? rule.codes().get(m.value()) : null;
            if (meaning != null) {
                double score = m.direction().by() == Mark.KnownBy.AS_RECEIVED
                        ? Certainty.PATCH_FROM_EITHER_END
                        : Certainty.PATCH;
                var evidence = new Evidence(Evidence.Rule.PATCH, place.page().no(), m.box(), why(m), score);
                boolean flags = meaning == StakeRule.ByPatch.Meaning.FLAG;
                return Optional.of(new Sign(meaning.opens(), flags, rule.sheet(), 0, evidence, List.of()));
            }
        }
        return Optional.empty();
    }

    private static Reason why(Mark patch) {
        return switch (patch.direction().by()) {
            case EITHER_WAY -> Reason.Code.PATCH_EITHER_WAY.with(patch.value());
            case PRINT -> Reason.Code.PATCH_BY_PRINT.with(patch.value());
            case EDGE ->
                Reason.Code.PATCH_BY_EDGE.with(patch.value(), patch.direction().edgeMm());
            case AS_RECEIVED -> Reason.Code.PATCH_AS_RECEIVED.with(patch.value());
        };
    }
}
