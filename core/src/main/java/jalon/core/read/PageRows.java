package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.TwoWays;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A page's words by where they stand, whatever blocks the reading engine made of them: rows of what stands at one height,
 * each parted into cells where a gap is wide. The engine reads an unruled table column by column; here its lines come
 * together again.
 */
public final class PageRows {
    /** Words of one row share at least this part of the lower one's height. */
    private static final double SAME_HEIGHT = 0.5;

    /** Blanks inside a line of print are narrower, in justified text too. */
    private static final double LEAST_GAP_MM = 4.5;

    private static final double GAP_IN_HEIGHTS = 1.7;

    private final List<Row> rows;

    /**
     * Words at one height, from left to right.
     *
     * @param cells its parts between wide gaps, at least one
     */
    public record Row(List<Line> cells) {
        /** All its words as one line. */
        public Line whole() {
            return new Line(cells.stream().flatMap(c -> c.words().stream()).toList());
        }

        /** Its cells that any of these words belongs to. */
        public List<Line> cellsOf(List<Word> words) {
            return cells.stream()
                    .filter(c -> c.words().stream().anyMatch(words::contains))
                    .toList();
        }

        /** The cell that stands over or under a box: the one that most of its width lies in. */
        Optional<Line> over(Box box) {
            return cells.stream()
                    .filter(c -> shared(c.box(), box) > 0)
                    .max(Comparator.comparingDouble(c -> shared(c.box(), box)));
        }

        private static double shared(Box a, Box b) {
            return Math.min(a.right(), b.right()) - Math.max(a.x(), b.x());
        }
    }

    private PageRows(List<Row> rows) {
        this.rows = rows;
    }

    /** @param page whose words may lean: rows are told on the straight page, the words are given as they are */
    public static PageRows of(PageFacts page) {
        return of(page.words().stream().flatMap(PageRows::labelApart).toList(), PageTilt.of(page));
    }

    /** The rows that some words of a page stand in. */
    public static PageRows of(List<Word> words, PageTilt tilt) {
        List<Placed> placed = words.stream()
                .map(w -> new Placed(w, tilt.toStraight(w.box())))
                .sorted(Comparator.comparingDouble(p -> p.box().centreY()))
                .toList();
        List<List<Placed>> heights = new ArrayList<>();
        for (Placed p : placed) {
            // The last rows only: those above are out of reach.
            List<Placed> row = null;
            for (int i = heights.size() - 1; i >= Math.max(0, heights.size() - 4) && row == null; i--) {
                row = nearest(heights.get(i), p)
                                .filter(n -> level(n.box(), p.box()))
                                .isPresent()
                        ? heights.get(i)
                        : null;
            }
            if (row == null) {
                row = new ArrayList<>();
                heights.add(row);
            }
            row.add(p);
        }
        return new PageRows(heights.stream().map(PageRows::parted).toList());
    }

    /** {@code Ref:77/1} is a label and its value, run together in print. */
    private static Stream<Word> labelApart(Word w) {
        int colon = w.text().indexOf(':');
        if (colon < 2
                || colon == w.text().length() - 1
                || !w.text().substring(0, colon).chars().allMatch(Character::isLetter)) {
            return Stream.of(w);
        }
        int end = colon + 1;
        Box box = w.box();
        double part = box.width() * end / w.text().length();
        return Stream.of(
                new Word(
                        w.text().substring(0, end),
                        new Box(box.x(), box.y(), part, box.height()),
                        w.certainty(),
                        w.line()),
                new Word(
                        w.text().substring(end),
                        new Box(box.x() + part, box.y(), box.width() - part, box.height()),
                        w.certainty(),
                        w.line()));
    }

    private record Placed(Word word, Box box) {}

    private static Optional<Placed> nearest(List<Placed> row, Placed to) {
        return row.stream()
                .min(Comparator.comparingDouble(
                        (Placed p) -> Math.abs(p.box().centreX() - to.box().centreX())));
    }

    private static boolean level(Box a, Box b) {
        double shared = Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y());
        return shared > SAME_HEIGHT * Math.min(a.height(), b.height());
    }

    private static Row parted(List<Placed> row) {
        List<Placed> ordered = row.stream()
                .sorted(Comparator.comparingDouble(p -> p.box().x()))
                .toList();
        double height = ordered.stream()
                .mapToDouble(p -> p.box().height())
                .sorted()
                .skip(ordered.size() / 2)
                .findFirst()
                .orElse(0);
        double gap = Math.max(LEAST_GAP_MM, GAP_IN_HEIGHTS * height);
        List<Line> cells = new ArrayList<>();
        List<Word> cell = new ArrayList<>();
        double end = 0;
        for (Placed p : ordered) {
            if (!cell.isEmpty() && p.box().x() - end > gap) {
                cells.add(inReadingOrder(cell));
                cell.clear();
            }
            cell.add(p.word());
            end = Math.max(end, p.box().right());
        }
        cells.add(inReadingOrder(cell));
        return new Row(List.copyOf(cells));
    }

    private static Line inReadingOrder(List<Word> cell) {
        return new Line(TwoWays.inReadingOrder(List.copyOf(cell), Word::text));
    }

    /** From top to bottom. */
    public List<Row> rows() {
        return rows;
    }

    /** The row that a word of these rows stands in. */
    public Optional<Row> rowOf(Word word) {
        return rows.stream()
                .filter(row ->
                        row.cells().stream().anyMatch(cell -> cell.words().contains(word)))
                .findFirst();
    }

    /**
     * The nearest cell above or below a box, in its column.
     *
     * @param row that the box stands in
     * @param step -1 above, 1 below
     * @param reach mm from edge to edge at most
     */
    public Optional<Line> next(Row row, Box box, int step, double reach) {
        int at = rows.indexOf(row);
        return Stream.iterate(at + step, i -> i >= 0 && i < rows.size(), i -> i + step)
                .limit(4)
                .map(i -> rows.get(i).over(box))
                .flatMap(Optional::stream)
                .findFirst()
                .filter(c -> (step > 0
                                ? c.box().y() - box.bottom()
                                : box.y() - c.box().bottom())
                        < reach);
    }
}
