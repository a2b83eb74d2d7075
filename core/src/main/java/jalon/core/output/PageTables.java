package jalon.core.output;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The tables of a page: those that ruled lines make, and those that words make which stand below one another. */
final class PageTables {
    /** Ends of ruled lines meet within so much. */
    private static final double MEETING_MM = 3;

    /** Rules as close together are one. */
    private static final double SAME_MM = 1.5;

    private static final int FEWEST_RULES = 3;

    /** A gap of so many heights of print parts cells; words of a sentence stand closer even when it is set wide. */
    private static final double PARTS_CELLS = 2.2;

    /** Rows of a table follow each other within so many heights of print. */
    private static final double NEXT_ROW = 5;

    private static final int FEWEST_ROWS = 3;

    /** Middles of lines of a row differ by less than this share of their height. */
    private static final double SAME_ROW = 0.7;

    /** Two columns whose cells have more words than this are running text. */
    private static final double WORDS_OF_A_CELL = 4;

    private PageTables() {}

    /** @param page upright and straight */
    static List<PageBlock.Table> of(PageFacts page) {
        List<PageBlock.Table> tables = new ArrayList<>();
        PageLayout layout = page.image().layout();
        List<Word> words = new ArrayList<>(page.words());
        if (layout != null) {
            ruled(layout.rules(), words).forEach(table -> {
                tables.add(table);
                words.removeAll(table.words());
            });
        }
        tables.addAll(aligned(words));
        return tables;
    }

    /** Grids of rules: each that is met by three others each way, with all that hangs together with it. */
    private static List<PageBlock.Table> ruled(List<Box> rules, List<Word> words) {
        List<PageBlock.Table> tables = new ArrayList<>();
        List<Box> left = new ArrayList<>(rules);
        while (!left.isEmpty()) {
            List<Box> grid = new ArrayList<>(List.of(left.remove(0)));
            for (int i = 0; i < grid.size(); i++) {
                Box rule = grid.get(i).grown(MEETING_MM / 2);
                for (Box other : List.copyOf(left)) {
                    if (isAcross(other) != isAcross(grid.get(i)) && rule.overlaps(other.grown(MEETING_MM / 2))) {
                        grid.add(other);
                        left.remove(other);
                    }
                }
            }
            List<Double> across = places(
                    grid.stream().filter(PageTables::isAcross).map(Box::centreY).toList());
            List<Double> down = places(
                    grid.stream().filter(r -> !isAcross(r)).map(Box::centreX).toList());
            if (across.size() >= FEWEST_RULES && down.size() >= FEWEST_RULES) {
                table(across, down, words).ifPresent(tables::add);
            }
        }
        return tables;
    }

    private static boolean isAcross(Box rule) {
        return rule.width() > rule.height();
    }

    private static List<Double> places(List<Double> all) {
        List<Double> places = new ArrayList<>();
        all.stream().sorted().forEach(at -> {
            if (places.isEmpty() || at - places.get(places.size() - 1) > SAME_MM) {
                places.add(at);
            }
        });
        return places;
    }

    private static Optional<PageBlock.Table> table(List<Double> across, List<Double> down, List<Word> words) {
        List<List<String>> rows = new ArrayList<>();
        List<Word> inside = new ArrayList<>();
        int filled = 0;
        for (int r = 0; r + 1 < across.size(); r++) {
            List<String> row = new ArrayList<>();
            for (int c = 0; c + 1 < down.size(); c++) {
                Box cell = new Box(
                        down.get(c), across.get(r), down.get(c + 1) - down.get(c), across.get(r + 1) - across.get(r));
                List<Word> its =
                        words.stream().filter(w -> cell.holdsCentreOf(w.box())).toList();
                filled += its.isEmpty() ? 0 : 1;
                inside.addAll(its);
                row.add(textOf(its));
            }
            rows.add(row);
        }
        Box box = new Box(
                down.get(0),
                across.get(0),
                down.get(down.size() - 1) - down.get(0),
                across.get(across.size() - 1) - across.get(0));
        return filled < 2 ? Optional.empty() : Optional.of(new PageBlock.Table(box, rows, widths(down), inside));
    }

    private static List<Double> widths(List<Double> edges) {
        List<Double> widths = new ArrayList<>();
        for (int i = 0; i + 1 < edges.size(); i++) {
            widths.add(edges.get(i + 1) - edges.get(i));
        }
        return widths;
    }

    /** Words of a cell line by line. */
    private static String textOf(List<Word> words) {
        return String.join(
                "\n", rows(words).stream().map(row -> Line.textOf(row.words())).toList());
    }

    /** Words at the same height, from the left. */
    private record Row(List<Word> words) {
        static Row of(List<Word> words) {
            return new Row(words.stream()
                    .sorted(Comparator.comparingDouble(w -> w.box().x()))
                    .toList());
        }

        /** Of most words, which have no letter below the line or all of them do. */
        double middle() {
            List<Double> middles =
                    words.stream().map(w -> w.box().centreY()).sorted().toList();
            return middles.get(middles.size() / 2);
        }

        double height() {
            List<Double> heights =
                    words.stream().map(w -> w.box().height()).sorted().toList();
            return heights.get(heights.size() / 2);
        }

        Box box() {
            return Line.boxOf(words);
        }

        List<List<Word>> cells() {
            List<List<Word>> cells = new ArrayList<>();
            for (Word word : words) {
                List<Word> last = cells.isEmpty() ? null : cells.get(cells.size() - 1);
                if (last == null
                        || word.box().x() - last.get(last.size() - 1).box().right() > PARTS_CELLS * height()) {
                    cells.add(new ArrayList<>(List.of(word)));
                } else {
                    last.add(word);
                }
            }
            return cells;
        }
    }

    /** Lines at the same height are one row, however the page was taken apart into columns. */
    private static List<Row> rows(List<Word> words) {
        Map<Integer, List<Word>> lines = new TreeMap<>();
        words.forEach(
                w -> lines.computeIfAbsent(w.line(), l -> new ArrayList<>()).add(w));
        List<Row> rows = new ArrayList<>();
        lines.values().stream()
                .map(Row::of)
                .sorted(Comparator.comparingDouble(Row::middle))
                .forEach(line -> {
                    Row last = rows.isEmpty() ? null : rows.get(rows.size() - 1);
                    if (last != null
                            && line.middle() - last.middle() < SAME_ROW * Math.min(line.height(), last.height())) {
                        List<Word> both = new ArrayList<>(last.words());
                        both.addAll(line.words());
                        rows.set(rows.size() - 1, Row.of(both));
                    } else {
                        rows.add(line);
                    }
                });
        return rows;
    }

    private static List<PageBlock.Table> aligned(List<Word> words) {
        List<PageBlock.Table> tables = new ArrayList<>();
        List<Row> run = new ArrayList<>();
        List<Box> columns = new ArrayList<>();
        for (Row row : rows(words)) {
            if (!run.isEmpty() && !(isNext(run.get(run.size() - 1), row) && joins(row, columns))) {
                finish(run, columns, tables);
            }
            if (run.isEmpty() && row.cells().size() > 1 || !run.isEmpty()) {
                run.add(row);
                extend(columns, row);
            }
        }
        finish(run, columns, tables);
        return tables;
    }

    private static boolean isNext(Row above, Row below) {
        return below.box().y() - above.box().bottom() < NEXT_ROW * Math.max(above.height(), below.height());
    }

    /** Whether each cell stands below one column, and no two below the same. */
    private static boolean joins(Row row, List<Box> columns) {
        List<List<Word>> cells = row.cells();
        if (cells.size() < 2) {
            return false;
        }
        List<Integer> taken = new ArrayList<>();
        for (List<Word> cell : cells) {
            List<Integer> over = over(Line.boxOf(cell), columns);
            if (over.size() > 1 || over.size() == 1 && taken.contains(over.get(0))) {
                return false;
            }
            taken.addAll(over);
        }
        return taken.size() >= 2;
    }

    private static List<Integer> over(Box cell, List<Box> columns) {
        List<Integer> over = new ArrayList<>();
        for (int c = 0; c < columns.size(); c++) {
            if (cell.x() < columns.get(c).right() && columns.get(c).x() < cell.right()) {
                over.add(c);
            }
        }
        return over;
    }

    private static void extend(List<Box> columns, Row row) {
        for (List<Word> cell : row.cells()) {
            Box box = Line.boxOf(cell);
            List<Integer> over = over(box, columns);
            if (over.isEmpty()) {
                columns.add(box);
            } else {
                columns.set(over.get(0), columns.get(over.get(0)).union(box));
            }
        }
        columns.sort(Comparator.comparingDouble(Box::x));
    }

    private static void finish(List<Row> run, List<Box> columns, List<PageBlock.Table> tables) {
        if (run.size() >= FEWEST_ROWS && !isRunningText(run, columns)) {
            Box box = run.stream().map(Row::box).reduce(Box::union).orElseThrow();
            List<Double> edges = new ArrayList<>(columns.stream().map(Box::x).toList());
            edges.add(box.right());
            List<List<String>> rows = new ArrayList<>();
            for (Row row : run) {
                List<String> texts =
                        new ArrayList<>(columns.stream().map(c -> "").toList());
                for (List<Word> cell : row.cells()) {
                    int at = over(Line.boxOf(cell), columns).get(0);
                    texts.set(at, (texts.get(at) + " " + Line.textOf(cell)).strip());
                }
                rows.add(texts);
            }
            List<Word> inside =
                    run.stream().flatMap(row -> row.words().stream()).toList();
            tables.add(new PageBlock.Table(box, rows, widths(edges), inside));
        }
        run.clear();
        columns.clear();
    }

    private static boolean isRunningText(List<Row> run, List<Box> columns) {
        double words = run.stream().mapToInt(r -> r.words().size()).sum();
        double cells = run.stream().mapToInt(r -> r.cells().size()).sum();
        return columns.size() == 2 && words / cells > WORDS_OF_A_CELL;
    }
}
