package jalon.core.text;

import jalon.core.image.GrayPlane;
import jalon.core.page.Word;
import java.util.List;

/**
 * Reads print. An engine of its own for each thread that reads: implementations need not be safe for use by two at once.
 */
public interface TextReader extends AutoCloseable {

    /** Reads nothing. */
    TextReader NONE = new TextReader() {
        @Override
        public List<Word> read(GrayPlane picture, Layout layout) {
            return List.of();
        }

        @Override
        public int uprightTurn(GrayPlane picture) {
            return 0;
        }

        @Override
        public void close() {
            // There is nothing to give back.
        }
    };

    /** What is expected in the picture. */
    enum Layout {
        PAGE,
        BLOCK,
        LINE,
        WORD
    }

    /**
     * Reads an upright, straight picture.
     *
     * @return words in reading order, boxes in mm on that picture; empty where there is nothing to read
     */
    List<Word> read(GrayPlane picture, Layout layout);

    /**
     * The clockwise turn, a multiple of 90 degrees, that would make the picture upright, and 0 where the print is too
     * little to tell.
     */
    int uprightTurn(GrayPlane picture);

    @Override
    void close();
}
