package jalon.core.read;

import jalon.core.image.BetweenDashes;
import jalon.core.image.GrayPlane;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The number of a page that the engine passed over or took for something else: "p. 2" in small print alone at the foot is
 * little enough to be lost on a whole page, and is read when it is all that there is to read. Only what then numbers the page
 * is kept.
 */
final class OverlookedNumber {
    /** Each costs a hundredth of a second or two. */
    private static final int MOST_PLACES = 6;

    private static final int LONGEST = 24;

    /** Print of a page number: ink larger than this is a letterhead, a bar or a picture. */
    private static final double WIDEST_MM = 44;

    private static final double TALLEST_MM = 8;

    /** A full stop or a speck. */
    private static final double LEAST_MM = 3;

    /** Between a dash and its number. */
    private static final double GAP_MM = 6;

    private static final double AROUND_WORD_MM = 1;

    /** More paper than this around one line, and the engine looks for print where there is none. */
    private static final double PAPER_AROUND_MM = 1.5;

    /** The engine makes each line 36 pixels high; what is lost at one size it reads at another. */
    private static final double[] FINE_DPI = {300, 400};

    /** What is read with less is as often another digit. */
    private static final double LEAST_CERTAIN = 0.7;

    private final GrayPlane upright;
    private final PageFacts page;
    private final PageTilt tilt;
    private final TextReader reader;

    private OverlookedNumber(GrayPlane upright, PageFacts page, TextReader reader) {
        this.upright = upright;
        this.page = page;
        this.tilt = new PageTilt(
                page.image().skewDegrees(), page.image().widthMm(), page.image().heightMm());
        this.reader = reader;
    }

    /**
     * @param received the page as it was received, or as it was repaired to be read
     * @return the same page where it numbers itself already, or where no number is found either way
     */
    static PageFacts read(GrayPlane received, PageFacts page, TextReader reader) {
        if (page.words().isEmpty() || PageNumbering.on(page).isPresent()) {
            return page;
        }
        var looked = new OverlookedNumber(received.turned(page.image().rotation()), page, reader);
        return Stream.concat(looked.unread().stream(), looked.unsaid().stream())
                .sorted(Comparator.comparingDouble(looked::fromEdge))
                .limit(MOST_PLACES)
                .flatMap(place -> Arrays.stream(FINE_DPI).mapToObj(dpi -> looked.with(place, dpi)))
                .filter(with -> PageNumbering.on(with).stream().anyMatch(n -> n.certainty() >= LEAST_CERTAIN))
                .findFirst()
                .orElse(page);
    }

    /** The page with what is read at a place of the straight page, made so fine. */
    private PageFacts with(Box place, double dpi) {
        Box zone = place.grown(PAPER_AROUND_MM);
        int left = (int) Math.max(0, upright.inPixels(zone.x()));
        int top = (int) Math.max(0, upright.inPixels(zone.y()));
        int right = (int) Math.min(upright.width(), upright.inPixels(zone.right()));
        int bottom = (int) Math.min(upright.height(), upright.inPixels(zone.bottom()));
        if (right - left < 2 || bottom - top < 2) {
            return page;
        }
        GrayPlane cut = upright.rotated(-tilt.degrees(), left, top, right - left, bottom - top);
        GrayPlane fine = cut.rotated(0, Math.max(1, dpi / cut.dpi()));
        List<Word> read =
                BetweenDashes.in(fine).map(this::dashed).orElseGet(() -> reader.read(fine, TextReader.Layout.LINE));
        return with(
                place,
                read.stream().map(w -> moved(w, cut.mm(left), cut.mm(top))).toList());
    }

    /** The number alone, put back between its dashes; nothing where more or less is read than stands there. */
    private List<Word> dashed(BetweenDashes between) {
        return Stream.of(TextReader.Layout.LINE, TextReader.Layout.WORD)
                .flatMap(layout -> reader.read(between.number(), layout).stream())
                .filter(w -> w.text().length() == between.signs())
                .filter(w -> w.text().chars().allMatch(Character::isDigit))
                .map(w -> new Word("- " + w.text() + " -", w.box(), w.certainty(), w.line()))
                .limit(1)
                .toList();
    }

    private static Word moved(Word w, double right, double down) {
        Box box = w.box();
        var moved = new Box(box.x() + right, box.y() + down, box.width(), box.height());
        return new Word(w.text(), moved, w.certainty(), w.line());
    }

    /** The page with these words, boxes on the straight page, where others stood or none. */
    private PageFacts with(Box place, List<Word> read) {
        List<Word> words = new ArrayList<>(page.words());
        words.removeIf(w -> place.holdsCentreOf(tilt.toStraight(w.box())));
        int line = words.stream().mapToInt(Word::line).max().orElse(0) + 1;
        words.addAll(read.stream()
                .map(w -> new Word(w.text(), tilt.fromStraight(w.box()), w.certainty(), line))
                .toList());
        return page.withWords(words);
    }

    private double fromEdge(Box place) {
        return Math.min(place.y(), tilt.heightMm() - place.bottom());
    }

    /** Short lines at an edge that were read, and number nothing as they were read. */
    private List<Box> unsaid() {
        return page.lines().stream()
                .flatMap(line -> PageNumbering.cells(line).stream())
                .filter(cell -> PageNumbering.isAtEdge(cell.box(), tilt.heightMm()))
                .filter(cell -> cell.text().length() <= LONGEST
                        && cell.text().chars().anyMatch(c -> Character.isDigit(c) || "-–—".indexOf(c) >= 0))
                .map(cell -> tilt.toStraight(cell.box()))
                .toList();
    }

    /** Ink at an edge where no word was read, small enough for a number; boxes on the straight page. */
    private List<Box> unread() {
        PageLayout layout = page.image().layout();
        if (layout == null) {
            return List.of();
        }
        Stream<Box> words = page.words().stream().map(w -> tilt.toStraight(w.box()));
        List<Box> told = Stream.concat(words, Stream.concat(layout.rules().stream(), layout.boxes().stream()))
                .map(box -> box.grown(AROUND_WORD_MM))
                .toList();
        return joined(inked(layout, told)).stream()
                .filter(box -> box.width() <= WIDEST_MM && box.height() <= TALLEST_MM && box.width() >= LEAST_MM)
                .toList();
    }

    private List<Box> inked(PageLayout layout, List<Box> told) {
        List<Box> cells = new ArrayList<>();
        for (double y = 0; y < tilt.heightMm(); y += PageLayout.CELL_MM) {
            for (int column = 0; column < layout.columns(); column++) {
                Box cell = new Box(column * PageLayout.CELL_MM, y, PageLayout.CELL_MM, PageLayout.CELL_MM);
                if (PageNumbering.isAtEdge(cell, tilt.heightMm())
                        && layout.inkAt(cell.centreX(), cell.centreY()) > 0
                        && told.stream().noneMatch(cell::overlaps)) {
                    cells.add(cell);
                }
            }
        }
        return cells;
    }

    /** What stands together in one line: cells that touch, or have a few empty ones between them. */
    private static List<Box> joined(List<Box> cells) {
        List<Box> found = new ArrayList<>();
        for (Box cell : cells) {
            Box near = new Box(
                    cell.x() - GAP_MM,
                    cell.y() - PageLayout.CELL_MM / 2,
                    cell.width() + 2 * GAP_MM,
                    2 * PageLayout.CELL_MM);
            List<Box> touched = found.stream().filter(near::overlaps).toList();
            found.removeAll(touched);
            found.add(touched.stream().reduce(cell, Box::union));
        }
        return found;
    }
}
