package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.Pictures;
import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class SmallPrintTest {
    private final List<Double> readAt = new ArrayList<>();

    @Test
    void aPageOfUsualPrintIsReadOnceAt200DpiAndItsWordsLieWhereTheyStood() {
        var facts = read(300, words(20, 2.6, 0.95));
        assertThat(readAt).containsExactly(200.0);
        assertThat(facts.words()).hasSize(20).allMatch(w -> w.box().equals(new Box(20, 30, 18, 2.6)));
    }

    @Test
    void smallPrintAndPrintThatIsReadPoorlyAreReadAgainAsTheyCame() {
        read(300, words(20, 1.5, 0.95));
        assertThat(readAt).containsExactly(200.0, 300.0);
        readAt.clear();
        read(400, words(20, 2.6, 0.4));
        assertThat(readAt).containsExactly(200.0, 400.0);
    }

    @Test
    void aFewScrawlsDoNotMakeAPageSmallPrintAndCoarsePagesAreReadOnce() {
        List<Word> words = new ArrayList<>(words(20, 2.6, 0.95));
        words.addAll(Collections.nCopies(2, new Word("smdge", new Box(5, 5, 4, 1), 0.2, 9)));
        read(300, words);
        assertThat(readAt).containsExactly(200.0);
        readAt.clear();
        read(200, words(20, 1.5, 0.4));
        assertThat(readAt).containsExactly(200.0);
    }

    private static List<Word> words(int n, double heightMm, double certainty) {
        return Collections.nCopies(n, new Word("harbour", new Box(20, 30, 18, heightMm), certainty, 1));
    }

    private PageFacts read(int dpi, List<Word> seen) {
        var scan = new Scan(Pictures.page(dpi, 0, Pictures::letter), dpi, true, List.of());
        return ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), new TextReader() {
            @Override
            public List<Word> read(GrayPlane picture, Layout layout) {
                // A strip that is looked at for which way is up is not the page.
                if (picture.heightMm() > 100) {
                    readAt.add((double) Math.round(picture.dpi()));
                }
                return seen;
            }

            @Override
            public int uprightTurn(GrayPlane picture) {
                return 0;
            }

            @Override
            public void close() {}
        });
    }
}
