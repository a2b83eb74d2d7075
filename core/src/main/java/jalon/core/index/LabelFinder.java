package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * What stands beside a printed label: the rest of its cell up to the next label, else the next cell to the right; the
 * nearest cell below or above it, in its column; the cell to its left; or whatever of the field's kind is nearest.
 */
record LabelFinder(Finder.ByLabel wanted, Field field) implements FieldFinder {
    /** A value below its label is as near as this. */
    private static final double BELOW_MM = 12;

    private static final int MOST_LINES = 7;

    private static final Pattern MARKS = Pattern.compile("[:;.,|_·•]+");

    /** Lines of one block stand under each other as closely as this. */
    private static final double CLOSELY_IN_HEIGHTS = 1.6;

    /** So far a value may go on to the right. */
    private static final double ROOM_MM = 30;

    private static final double BEFORE_NEXT_MM = 1.5;

    /** Edges of a table's column stand over each other as exactly as this. */
    private static final double ALIGNED_MM = 2;

    /** {@code Date of birth:} is another label than {@code Date}. */
    private static final int MORE_OF_A_LABEL = 2;

    /** What is read as surely says what it says. */
    private static final double CLEAR = 0.9;

    /**
     * A label names its value; the same words in the middle of a sentence may.
     *
     * @param label as it is wanted
     */
    private record Hit(String label, Phrase.Hit words, Line cell, PageRows.Row row, boolean names) {
        boolean exact() {
            return Phrase.plain(label).equals(Phrase.plain(Line.textOf(words.words())));
        }

        /** Whether it is clear to read and a letter is another: {@code Crate} beside {@code Crates}. */
        boolean clearlyOther() {
            return !exact() && words.words().stream().allMatch(w -> w.certainty() >= CLEAR);
        }
    }

    /** Something that was read, and by which label. */
    private record Named(Hit hit, Reading reading) {}

    @Override
    public Found find(Search search) {
        Labels forbidden = Labels.of(wanted.notOnLinesWith());
        Labels others = Labels.of(search.type());
        List<Hit> hits = new ArrayList<>();
        List<Named> named = new ArrayList<>();
        List<Named> mentioned = new ArrayList<>();
        List<Reason> notes = new ArrayList<>();
        for (PageFacts page : search.document().pages(wanted.page())) {
            PageRows rows = search.document().rows(page);
            for (PageRows.Row row : rows.rows()) {
                for (Line cell : row.cells()) {
                    hit(cell, row).ifPresent(hit -> {
                        if (forbidden.partOf(hit.words(), cell)) {
                            return;
                        }
                        hits.add(hit);
                        List<Word> value = value(hit, others, rows, search.known());
                        if (!value.isEmpty()) {
                            (hit.names() ? named : mentioned).add(new Named(hit, reading(value, hit, page, rows)));
                        } else if (hit.names()) {
                            notes.add(Reason.Code.LOST_BEFORE.with(
                                    Line.textOf(hit.words().words())));
                        }
                    });
                }
            }
        }
        return new Found(meant(named.isEmpty() ? mentioned : named, hits), notes, List.of());
    }

    /** Where the label stands letter for letter, what clearly says something else is no misread one. */
    private static List<Reading> meant(List<Named> all, List<Hit> hits) {
        boolean exact = hits.stream().anyMatch(hit -> hit.names() && hit.exact());
        return all.stream()
                .filter(n -> !exact || !n.hit().clearlyOther())
                .map(Named::reading)
                .toList();
    }

    private Optional<Hit> hit(Line cell, PageRows.Row row) {
        Hit best = null;
        for (String label : wanted.labels()) {
            Optional<Phrase.Hit> found = Phrase.of(label).findClear(cell.words());
            if (found.isPresent() && (best == null || longer(found.get(), best.words()))) {
                best = new Hit(label, found.get(), cell, row, names(found.get(), cell));
            }
        }
        return Optional.ofNullable(best);
    }

    private static boolean longer(Phrase.Hit a, Phrase.Hit b) {
        return Line.textOf(a.words()).length() > Line.textOf(b.words()).length();
    }

    /**
     * At the start of a cell, or at its end where values stand before their labels, or with a colon behind; a word or two and
     * a colon after it make it another label.
     */
    private boolean names(Phrase.Hit hit, Line cell) {
        int end = hit.from() + hit.words().size();
        boolean ends =
                end == cell.words().size() || cell.words().get(end).text().equals(":");
        boolean before = wanted.side() == Finder.ByLabel.Side.LEFT || wanted.side() == Finder.ByLabel.Side.NEAREST;
        if (hit.words().get(hit.words().size() - 1).text().endsWith(":")
                || ends && (before || end < cell.words().size())) {
            return true;
        }
        List<Word> behind = cell.words().subList(end, Math.min(cell.words().size(), end + MORE_OF_A_LABEL));
        return hit.from() == 0 && behind.stream().noneMatch(w -> w.text().endsWith(":"));
    }

    private Reading reading(List<Word> value, Hit hit, PageFacts page, PageRows rows) {
        var held = new HeldText(holds(), PageTilt.of(page));
        boolean block = holds() == Finder.Holds.BLOCK;
        Block lines = block ? withLinesBelow(value, rows) : new Block(value, false);
        List<Word> all = lines.words();
        Box print = Line.boxOf(all);
        Reading reading = Reading.of(held.of(all), Line.certaintyOfValue(all), page.no(), print, FoundBy.LABEL)
                .placed(Certainty.label(hit.names()))
                .again(new Reading.Again(block ? null : room(hit, print), List.of(), held::of));
        return lines.mayGoOn() ? reading.doubted(Reason.Code.RUNS_OVER.with()) : reading;
    }

    private Finder.Holds holds() {
        return HeldText.meant(wanted.holds(), field);
    }

    /** @param mayGoOn whether something stands close below that begins elsewhere */
    private record Block(List<Word> words, boolean mayGoOn) {}

    /** The lines under a value that begin where it does and follow it closely, up to the next label. */
    private static Block withLinesBelow(List<Word> value, PageRows rows) {
        List<Word> all = new ArrayList<>(value);
        Box line = Line.boxOf(value);
        for (int lines = 1; lines < MOST_LINES; lines++) {
            Box above = line;
            Optional<Line> next = rows.rowOf(all.get(all.size() - 1))
                    .flatMap(row -> rows.next(row, above, 1, CLOSELY_IN_HEIGHTS * above.height()))
                    .filter(cell ->
                            cell.words().stream().noneMatch(w -> w.text().endsWith(":")));
            if (next.isEmpty()) {
                break;
            }
            if (Math.abs(next.get().box().x() - above.x()) > ALIGNED_MM) {
                return new Block(all, true);
            }
            all.addAll(next.get().words());
            line = next.get().box();
        }
        return new Block(all, false);
    }

    /** From the label to what stands next in the row: a part of the value that the page did not give may stand there. */
    private static Box room(Hit hit, Box value) {
        Box label = Line.boxOf(hit.words().words());
        if (label.right() > value.x() || value.x() - label.right() > ROOM_MM) {
            return null;
        }
        double end = hit.row().whole().words().stream()
                .map(Word::box)
                .filter(box -> box.x() > value.right())
                .mapToDouble(Box::x)
                .min()
                .orElse(Double.MAX_VALUE);
        double right = Math.max(value.right(), Math.min(value.right() + ROOM_MM, end - BEFORE_NEXT_MM));
        double left = Math.min(value.x(), label.right() + BEFORE_NEXT_MM);
        return new Box(left, value.y(), right - left, value.height());
    }

    private List<Word> value(Hit hit, Labels others, PageRows rows, Known known) {
        return switch (wanted.side()) {
            case BELOW -> inColumn(hit, others, rows, 1);
            case ABOVE -> inColumn(hit, others, rows, -1);
            case LEFT -> left(hit, others);
            case NEAREST -> nearest(hit, others, rows, known);
            case BESIDE -> {
                List<Word> beside = beside(hit, others, rows);
                yield beside.isEmpty() && hit.names() ? inColumn(hit, others, rows, 1) : beside;
            }
        };
    }

    private static List<Word> left(Hit hit, Labels others) {
        List<Word> before = hit.cell().words().subList(0, hit.words().from());
        if (!withoutMarks(before).isEmpty()) {
            return before;
        }
        List<Line> cells = hit.row().cells();
        int at = cells.indexOf(hit.cell()) - 1;
        return at < 0 || others.is(cells.get(at))
                ? List.of()
                : withoutMarks(cells.get(at).words());
    }

    private List<Word> nearest(Hit hit, Labels others, PageRows rows, Known known) {
        Box label = Line.boxOf(hit.words().words());
        return Stream.of(
                        beside(hit, others, rows),
                        inColumn(hit, others, rows, 1),
                        inColumn(hit, others, rows, -1),
                        left(hit, others))
                .filter(words -> !words.isEmpty())
                .filter(words -> new Judge(field, known).passes(Line.value(Line.textOf(words))))
                .min(Comparator.comparingDouble(words -> label.distanceTo(Line.boxOf(words))))
                .orElse(List.of());
    }

    private static List<Word> beside(Hit hit, Labels others, PageRows rows) {
        List<Word> words = hit.cell().words();
        List<Word> rest = words.subList(hit.words().from() + hit.words().words().size(), words.size());
        List<Word> value = withoutMarks(others.upToNext(rest));
        if (!value.isEmpty() || !rest.isEmpty() && !withoutMarks(rest).isEmpty()) {
            return value;
        }
        List<Line> cells = hit.row().cells();
        int next = cells.indexOf(hit.cell()) + 1;
        while (next < cells.size() && withoutMarks(cells.get(next).words()).isEmpty()) {
            next++;
        }
        if (next >= cells.size() || others.is(cells.get(next)) || heads(hit, cells.get(next), others, rows)) {
            return List.of();
        }
        return others.upToNext(cells.get(next).words());
    }

    /**
     * A label without a colon whose right neighbour stands over a value of its own, as it does itself, heads a column; over
     * another label, or beside a number, it stands in a column of labels.
     */
    private static boolean heads(Hit hit, Line neighbour, Labels others, PageRows rows) {
        if (hit.cell().text().endsWith(":") || neighbour.text().chars().anyMatch(Character::isDigit)) {
            return false;
        }
        Optional<Line> under = rows.next(hit.row(), hit.cell().box(), 1, BELOW_MM);
        Optional<Line> underNext = rows.next(hit.row(), neighbour.box(), 1, BELOW_MM);
        return under.isPresent()
                && underNext.isPresent()
                && !under.get().equals(underNext.get())
                && !others.is(under.get())
                && aligned(under.get(), hit.cell())
                && aligned(underNext.get(), neighbour);
    }

    private static boolean aligned(Line a, Line b) {
        return Math.abs(a.box().x() - b.box().x()) < ALIGNED_MM;
    }

    /** @param step -1 above, 1 below */
    private static List<Word> inColumn(Hit hit, Labels others, PageRows rows, int step) {
        Box label = Line.boxOf(hit.words().words());
        return rows.next(hit.row(), label, step, BELOW_MM)
                .filter(cell -> !namesAValue(cell, others) && !isNamed(cell, others, rows))
                .map(cell -> others.upToNext(cell.words()))
                .orElse(List.of());
    }

    private static boolean namesAValue(Line cell, Labels others) {
        return others.is(cell) || cell.words().stream().anyMatch(w -> w.text().endsWith(":"));
    }

    /** What stands to the right of another label is that one's value. */
    private static boolean isNamed(Line cell, Labels others, PageRows rows) {
        List<Line> row =
                rows.rowOf(cell.words().get(0)).map(PageRows.Row::cells).orElse(List.of());
        int before = row.indexOf(cell) - 1;
        return before >= 0 && namesAValue(row.get(before), others);
    }

    /** Specks, rules and leaders (.....) are no value, nor is a colon that stands by itself. */
    private static List<Word> withoutMarks(List<Word> words) {
        boolean any = words.stream().anyMatch(w -> w.text().codePoints().anyMatch(Character::isLetterOrDigit));
        return any
                ? words.stream()
                        .dropWhile(w -> MARKS.matcher(w.text()).matches())
                        .toList()
                : List.of();
    }
}
