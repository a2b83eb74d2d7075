package jalon.core.output;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.List;

/** A part of a page, one after the other as they are read. Boxes lie on the upright straight page, in millimetres. */
sealed interface PageBlock {
    Box box();

    /**
     * Lines that belong together.
     *
     * @param right how far its lines could go, in millimetres from the page's left
     */
    record Text(Paragraph paragraph, double right) implements PageBlock {
        @Override
        public Box box() {
            return paragraph.box();
        }
    }

    /**
     * Cells side by side and below one another.
     *
     * @param rows texts of the cells, each row as long as the others; an empty cell is empty text
     * @param widths of the columns, in millimetres
     * @param words that stand in its cells, and so nowhere else
     */
    record Table(Box box, List<List<String>> rows, List<Double> widths, List<Word> words) implements PageBlock {}

    /** What is drawn, and is no print. */
    record Picture(Box box) implements PageBlock {}
}
