package jalon.core.index;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageRows;
import jalon.core.read.Phrase;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Which printed words stand before a value and name it. */
final class Labels {
    /** A label above its value stands as near as this. */
    static final double ABOVE_MM = 9;

    /** A cell is a label when it has hardly another word than the label. */
    private static final int OTHER_WORDS = 1;

    private final List<Phrase> known;

    private Labels(List<Phrase> known) {
        this.known = known;
    }

    static Labels of(List<String> labels) {
        return new Labels(labels.stream().map(Phrase::of).toList());
    }

    /** All that the finders of a document type name as labels, wanted or not. */
    static Labels of(DocumentType type) {
        return of(type.fields().stream()
                .flatMap(f -> f.finders().stream())
                .flatMap(Labels::named)
                .distinct()
                .toList());
    }

    private static Stream<String> named(Finder finder) {
        if (finder instanceof Finder.ByLabel label) {
            return Stream.concat(label.labels().stream(), label.notOnLinesWith().stream());
        }
        return finder instanceof Finder.ByShape shape ? shape.notOnLinesWith().stream() : Stream.empty();
    }

    boolean none() {
        return known.isEmpty();
    }

    /** Whether one of them is among some words. */
    boolean among(List<Word> words) {
        return known.stream().anyMatch(p -> p.findClear(words).isPresent());
    }

    /** Whether one of them is part of the label at some words of a cell, rather than a worse reading of that label. */
    boolean partOf(Phrase.Hit label, Line cell) {
        int from = label.from();
        int to = from + label.words().size();
        List<Word> words = cell.words();
        // "Date of birth": a word between may belong to the label, a number or what follows a colon does not.
        boolean ends = words.get(to - 1).text().endsWith(":");
        boolean oneMore = to < words.size() && words.get(to).text().chars().allMatch(Character::isLetter);
        return known.stream().flatMap(p -> p.findClear(words).stream()).anyMatch(hit -> {
            int end = hit.from() + hit.words().size();
            if (hit.from() < to && end > from) {
                return hit.words().size() > label.words().size() || hit.score() >= label.score();
            }
            return end == from || !ends && (hit.from() == to || oneMore && hit.from() == to + 1);
        });
    }

    /** Whether a cell is one of them and little else, or ends in a colon as labels do. */
    boolean is(Line cell) {
        return cell.text().endsWith(":") || isBare(cell);
    }

    /** Whether a text that was taken for a value is one of them. */
    boolean says(String text) {
        Box nowhere = new Box(0, 0, 1, 1);
        return is(new Line(Stream.of(text.split("\\s+"))
                .map(word -> new Word(word, nowhere, 1, 0))
                .toList()));
    }

    private boolean isBare(Line cell) {
        return known.stream()
                .flatMap(p -> p.findClear(cell.words()).stream())
                .anyMatch(hit -> cell.words().size() - hit.words().size() <= OTHER_WORDS && hit.from() == 0);
    }

    /** Whether words of a row stand under one of these labels: in their own cell, in the one to the left, or above. */
    boolean govern(List<Word> words, PageRows.Row row, PageRows rows) {
        if (none()) {
            return false;
        }
        List<Line> own = row.cellsOf(words);
        if (own.stream().anyMatch(c -> among(c.words()))) {
            return true;
        }
        int first = row.cells().indexOf(own.get(0));
        boolean left = first > 0
                && is(row.cells().get(first - 1))
                && among(row.cells().get(first - 1).words())
                && row.cells().get(first - 1).text().chars().noneMatch(Character::isDigit);
        Optional<Line> above = rows.next(row, own.get(0).box(), -1, ABOVE_MM);
        return left || above.isPresent() && isBare(above.get());
    }

    /** The words up to where another label begins. */
    List<Word> upToNext(List<Word> words) {
        int end = words.size();
        for (Phrase p : known) {
            Optional<Phrase.Hit> hit = p.findClear(words);
            if (hit.isPresent()) {
                end = Math.min(end, hit.get().from());
            }
        }
        for (int i = 1; i < end; i++) {
            if (words.get(i).text().endsWith(":")) {
                end = i;
            }
        }
        return words.subList(0, end);
    }
}
