package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What stands beside or below a printed label. */
record LabelFinder(Finder.ByLabel wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
        List<Reading> readings = new ArrayList<>();
        for (PageFacts page : search.document().pages(wanted.page())) {
            for (Line line : page.linesWithout(wanted.notOnLinesWith())) {
                for (String label : wanted.labels()) {
                    Phrase.of(label).find(line.words()).ifPresent(hit -> {
                        List<Word> value = value(hit, line, page);
                        if (!value.isEmpty()) {
                            double certainty = Certainty.beside(Line.certaintyOf(value), hit.score());
                            String text = Line.textOf(value).replaceFirst("^[:.\\s]+", "");
                            readings.add(Reading.of(text, certainty, page.no(), Line.boxOf(value), FoundBy.LABEL));
                        }
                    });
                }
            }
        }
        return Found.of(readings);
    }

    private List<Word> value(Phrase.Hit label, Line line, PageFacts page) {
        return switch (wanted.side()) {
            case BESIDE ->
                line.words()
                        .subList(
                                label.from() + label.words().size(),
                                line.words().size());
            case BELOW -> below(label.box(), page.lines());
        };
    }

    /** The nearest words under a label: those that begin within its width, on the first line that has any. */
    private static List<Word> below(Box label, List<Line> lines) {
        return lines.stream()
                .map(l -> l.words().stream()
                        .filter(w -> w.box().y() > label.y() + 0.7 * label.height()
                                && w.box().y() < label.bottom() + 12
                                && w.box().right() > label.x() - 2
                                && w.box().x() < label.right() + 40)
                        .toList())
                .filter(l -> !l.isEmpty())
                .min(Comparator.comparingDouble(l -> Line.boxOf(l).y()))
                .orElse(List.of());
    }
}
