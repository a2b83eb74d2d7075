package jalon.core.propose;

import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** A barcode on some of the pages, as clerks stick them on the first page of each paper. */
final class BarcodedPages implements CutIdea {
    private static final double TRUST = 1.5;

    /** Each at the same place of its page, and no two alike: they number papers, whatever the pages behind them look like. */
    private static final double TRUST_OF_NUMBERS = 2.5;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<PageFacts> coded = samples.printed().stream()
                .filter(p -> p.marks().stream().anyMatch(m -> m.kind() == Mark.Kind.BARCODE))
                .toList();
        boolean some = coded.size() > 1 && coded.size() < samples.printed().size();
        return some
                ? Barcodes.rule(samples, coded, StakeRule.Sheet.KEPT, numberPapers(coded) ? TRUST_OF_NUMBERS : TRUST)
                : Optional.empty();
    }

    private static boolean numberPapers(List<PageFacts> coded) {
        List<Mark> marks = Barcodes.commonest(coded);
        return marks.size() == coded.size()
                && marks.stream().map(Mark::value).distinct().count() == marks.size()
                && spread(marks, m -> m.box().centreX()) < Samples.FED_APART_MM
                && spread(marks, m -> m.box().centreY()) < Samples.FED_APART_MM;
    }

    private static double spread(List<Mark> marks, ToDoubleFunction<Mark> at) {
        DoubleSummaryStatistics all = marks.stream().mapToDouble(at).summaryStatistics();
        return all.getMax() - all.getMin();
    }
}
