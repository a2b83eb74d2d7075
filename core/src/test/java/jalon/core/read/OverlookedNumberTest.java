package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.Pictures;
import jalon.core.page.Scan;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OverlookedNumberTest {
    private TextReader reader;

    @BeforeAll
    void open() {
        reader = TesseractReader.open("eng");
    }

    @AfterAll
    void close() {
        reader.close();
    }

    /** Of a whole page the engine passes over what stands between dashes. */
    @ParameterizedTest
    @CsvSource({"- 2 -,2,0", "– 3 –,3,0", "p. 1 / 5,1,5", "(2 de 4),2,4"})
    void smallPrintAloneAtTheFootIsReadOnceMore(String printed, int no, int of) {
        var numbering = PageNumbering.on(page(printed));
        assertThat(numbering)
                .get()
                .extracting(PageNumbering::page, PageNumbering::of)
                .containsExactly(no, of);
        assertThat(numbering.orElseThrow().box().centreX()).isBetween(95.0, 115.0);
        assertThat(numbering.orElseThrow().box().centreY()).isBetween(285.0, 291.0);
    }

    @ParameterizedTest
    @CsvSource({"~", "* * *", "- -", "Merrow"})
    void otherSmallPrintNumbersNothing(String printed) {
        assertThat(PageNumbering.on(page(printed))).isEmpty();
    }

    private PageFacts page(String foot) {
        BufferedImage image = Pictures.page(150, 0.4, g -> {
            Pictures.letter(g);
            Pictures.text(g, 101, 290, 8, foot);
        });
        return ReadPage.read(new Scan(image, 150, true, List.of()), new ReadPage.Origin(1, "x", 1, "00"), reader);
    }
}
