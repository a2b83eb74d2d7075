package jalon.core.output;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** What is drawn on a page and is no print: where ink is that no word and no ruled line accounts for. */
final class PagePictures {
    /** Smaller ones are strokes of a pen, or words that could not be read. */
    private static final double SMALLEST_MM = 8;

    /** Nothing as large as the page is a picture on it. */
    private static final double MOST_OF_A_PAGE = 0.9;

    /** Of a picture's cells at least so many have ink; scattered dirt has less. */
    private static final double INKED = 0.35;

    /** Words as large a share of a picture's place make it print that is badly separated. */
    private static final double MOSTLY_WORDS = 0.3;

    private PagePictures() {}

    /** @param page upright and straight, @param tables that are on it */
    static List<PageBlock.Picture> of(PageFacts page, List<PageBlock.Table> tables) {
        PageLayout layout = page.image().layout();
        List<PageBlock.Picture> pictures = new ArrayList<>();
        if (layout == null) {
            return pictures;
        }
        double cell = PageLayout.CELL_MM;
        int columns = layout.columns();
        int rows = (int) Math.ceil(page.image().heightMm() / cell);
        boolean[] ink = new boolean[columns * rows];
        for (int i = 0; i < ink.length; i++) {
            ink[i] = layout.inkAt((i % columns + 0.5) * cell, (i / columns + 0.5) * cell) > 0;
        }
        page.words().forEach(w -> clear(ink, columns, w.box().grown(1)));
        layout.rules().forEach(r -> clear(ink, columns, r.grown(0.5)));
        tables.forEach(t -> clear(ink, columns, t.box()));
        double area = page.image().widthMm() * page.image().heightMm();
        for (int i = 0; i < ink.length; i++) {
            if (ink[i]) {
                picture(ink, columns, i)
                        .filter(box -> box.width() * box.height() < MOST_OF_A_PAGE * area
                                && page.words().stream()
                                                .filter(w -> box.holdsCentreOf(w.box()))
                                                .mapToDouble(w -> w.box().width()
                                                        * w.box().height())
                                                .sum()
                                        < MOSTLY_WORDS * box.width() * box.height())
                        .ifPresent(box -> pictures.add(new PageBlock.Picture(
                                box.within(page.image().widthMm(), page.image().heightMm()))));
            }
        }
        return pictures;
    }

    private static void clear(boolean[] ink, int columns, Box box) {
        double cell = PageLayout.CELL_MM;
        int rows = ink.length / columns;
        for (int y = Math.max(0, (int) (box.y() / cell)); y <= Math.min(rows - 1, (int) (box.bottom() / cell)); y++) {
            for (int x = Math.max(0, (int) (box.x() / cell));
                    x <= Math.min(columns - 1, (int) (box.right() / cell));
                    x++) {
                ink[y * columns + x] = false;
            }
        }
    }

    /** The place of the ink that hangs together from a cell on, cleared; cells hang together over one that is empty. */
    private static Optional<Box> picture(boolean[] ink, int columns, int from) {
        int rows = ink.length / columns;
        int left = columns;
        int right = 0;
        int top = rows;
        int bottom = 0;
        int inked = 0;
        Deque<Integer> open = new ArrayDeque<>(List.of(from));
        ink[from] = false;
        while (!open.isEmpty()) {
            int at = open.pop();
            int x = at % columns;
            int y = at / columns;
            inked++;
            left = Math.min(left, x);
            right = Math.max(right, x);
            top = Math.min(top, y);
            bottom = Math.max(bottom, y);
            for (int ny = Math.max(0, y - 2); ny <= Math.min(rows - 1, y + 2); ny++) {
                for (int nx = Math.max(0, x - 2); nx <= Math.min(columns - 1, x + 2); nx++) {
                    if (ink[ny * columns + nx]) {
                        ink[ny * columns + nx] = false;
                        open.push(ny * columns + nx);
                    }
                }
            }
        }
        double cell = PageLayout.CELL_MM;
        Box box = new Box(left * cell, top * cell, (right - left + 1) * cell, (bottom - top + 1) * cell);
        boolean large = Math.min(box.width(), box.height()) >= SMALLEST_MM;
        double share = inked / (double) ((right - left + 1) * (bottom - top + 1));
        return large && share >= INKED ? Optional.of(box) : Optional.empty();
    }
}
