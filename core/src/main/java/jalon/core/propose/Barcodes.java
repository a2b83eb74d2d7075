package jalon.core.propose;

import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Rules by the barcodes that some pages have. */
final class Barcodes {
    private Barcodes() {}

    /** Of the kind that most pages have. */
    static List<Mark> commonest(List<PageFacts> pages) {
        Map<String, List<Mark>> kinds = pages.stream()
                .flatMap(p -> p.marks().stream())
                .filter(m -> m.kind() == Mark.Kind.BARCODE)
                .collect(Collectors.groupingBy(Mark::symbology));
        return kinds.values().stream()
                .max((a, b) -> Integer.compare(a.size(), b.size()))
                .orElse(List.of());
    }

    static Optional<CutIdea.Idea> rule(Samples samples, List<PageFacts> pages, StakeRule.Sheet sheet, double trust) {
        List<Mark> marks = commonest(pages);
        if (marks.size() < 2) {
            return Optional.empty();
        }
        List<String> values = marks.stream().map(Mark::value).toList();
        String like = ValueShape.of(values).orElse(null);
        var rule = new StakeRule.ByBarcode(marks.get(0).symbology(), like, null, null, null, null, sheet, null);
        Proposal.Why why = sheet == StakeRule.Sheet.DROPPED
                ? Proposal.Why.Code.BARCODE_SHEETS.with(pages.size(), values.get(0))
                : Proposal.Why.Code.BARCODES.with(
                        pages.size(), samples.printed().size(), values.get(0));
        return Optional.of(new CutIdea.Idea(
                List.of(rule),
                why,
                trust,
                pages.stream()
                        .flatMap(p -> p.marks().stream()
                                .filter(marks::contains)
                                .map(m -> new Proposal.Spotted(p.no(), m.box(), m.value())))
                        .toList()));
    }
}
