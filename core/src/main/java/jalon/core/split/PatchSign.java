package jalon.core.split;

import jalon.core.evidence.Evidence;
import jalon.core.mark.Mark;
import jalon.core.stream.StakeRule;
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
                boolean begins = meaning == StakeRule.ByPatch.Meaning.DOCUMENT;
                // With neither print nor place to tell the leading edge, 2 may be T and 3 may be 4.
                double score = m.how().startsWith("read from the top as received") ? 0.6 : 0.97;
                var evidence =
                        new Evidence("patch", place.page().no(), m.box(), "patch " + m.value() + ", " + m.how(), score);
                return Optional.of(new Sign(begins, rule.sheet(), evidence));
            }
        }
        return Optional.empty();
    }
}
