package jalon.core.propose;

import jalon.core.mark.Mark;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Sheets with hardly anything on them that lie between other pages and are all alike: by their barcode, else by their words. */
final class SeparatorSheets implements CutIdea {
    private static final double TRUST = 3;

    @Override
    public Optional<Idea> of(Samples samples) {
        List<PageFacts> bare = samples.printed().stream().filter(Sheets::isBare).toList();
        if (bare.size() < 2 || bare.size() * 2 > samples.printed().size() + 1) {
            return Optional.empty();
        }
        return byBarcode(samples, bare).or(() -> byWords(samples, bare));
    }

    private static Optional<Idea> byBarcode(Samples samples, List<PageFacts> bare) {
        List<PageFacts> coded = bare.stream()
                .filter(p -> p.marks().stream().anyMatch(m -> m.kind() == Mark.Kind.BARCODE))
                .toList();
        return lieBetween(samples, coded)
                ? Barcodes.rule(samples, coded, StakeRule.Sheet.DROPPED, TRUST)
                : Optional.empty();
    }

    private static Optional<Idea> byWords(Samples samples, List<PageFacts> bare) {
        Map<String, List<PageFacts>> with = new HashMap<>();
        Map<String, Line> printed = new HashMap<>();
        for (PageFacts page : bare) {
            for (Line line : page.lines()) {
                String plain = Phrase.plain(line.text());
                boolean words = line.words().stream()
                        .anyMatch(w ->
                                w.text().chars().filter(Character::isLetter).count() > 2);
                if (words && plain.chars().noneMatch(Character::isDigit)) {
                    printed.putIfAbsent(plain, line);
                    with.computeIfAbsent(plain, k -> new ArrayList<>()).add(page);
                }
            }
        }
        return with.entrySet().stream()
                .filter(e -> e.getValue().size() > 1 && lieBetween(samples, e.getValue()))
                .filter(e -> nowhereElse(samples, e.getValue(), printed.get(e.getKey())))
                .max((a, b) -> Double.compare(telling(a, printed), telling(b, printed)))
                .map(e -> idea(e.getValue(), printed.get(e.getKey())));
    }

    /** On how many sheets, and in how large a print. */
    private static double telling(Map.Entry<String, List<PageFacts>> with, Map<String, Line> printed) {
        return with.getValue().size() * printed.get(with.getKey()).box().height();
    }

    private static boolean nowhereElse(Samples samples, List<PageFacts> sheets, Line line) {
        Phrase phrase = Phrase.of(line.text());
        return samples.printed().stream()
                .filter(p -> !sheets.contains(p) && !Sheets.isBare(p))
                .noneMatch(p -> phrase.find(p.words()).isPresent());
    }

    private static Idea idea(List<PageFacts> sheets, Line line) {
        String text = Line.value(line.text());
        var rule = new StakeRule.ByWords(List.of(text), null, null, null, null, StakeRule.Sheet.DROPPED, null);
        Phrase phrase = Phrase.of(text);
        return new Idea(
                List.of(rule),
                Proposal.Why.Code.SEPARATOR_SHEETS.with(sheets.size(), text),
                TRUST,
                sheets.stream()
                        .flatMap(p -> phrase.find(p.words()).stream()
                                .map(hit -> new Proposal.Spotted(p.no(), hit.box(), null)))
                        .toList());
    }

    /** Something that is none of them lies behind each. */
    private static boolean lieBetween(Samples samples, List<PageFacts> sheets) {
        List<PageFacts> printed = samples.printed();
        return sheets.size() > 1
                && Stream.iterate(0, i -> i < printed.size(), i -> i + 1)
                        .filter(i -> sheets.contains(printed.get(i)))
                        .allMatch(i -> i + 1 < printed.size() && !sheets.contains(printed.get(i + 1)));
    }
}
