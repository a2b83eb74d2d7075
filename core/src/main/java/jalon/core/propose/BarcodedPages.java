package jalon.core.propose;

import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Optional;

/** A barcode on some of the pages, as clerks stick them on the first page of each paper. */
final class BarcodedPages implements CutIdea {
    private static final double TRUST = 1.5;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<PageFacts> coded = samples.printed().stream()
                .filter(p -> p.marks().stream().anyMatch(m -> m.kind() == Mark.Kind.BARCODE))
                .toList();
        boolean some = coded.size() > 1 && coded.size() < samples.printed().size();
        return some ? Barcodes.rule(samples, coded, StakeRule.Sheet.KEPT, TRUST) : Optional.empty();
    }
}
