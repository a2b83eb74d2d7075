package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.Pictures;
import jalon.core.page.Scan;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class ShowThroughTest {
    private static final Color FAINT = new Color(195, 195, 195);
    private static TextReader reader;

    @BeforeAll
    static void open() {
        reader = TesseractReader.open("eng");
    }

    @AfterAll
    static void close() {
        reader.close();
    }

    @Test
    void whatShowsThroughFromTheOtherSideIsNotOnThePage() {
        for (int turn : new int[] {0, 180}) {
            PageFacts page = read(g -> {
                g.rotate(Math.toRadians(turn), 105, 148.5);
                g.translate(210, 0);
                g.scale(-1, 1);
                g.setColor(FAINT);
                Pictures.letter(g);
            });
            assertThat(page.image().inkShare()).isZero();
            assertThat(page.words()).isEmpty();
        }
    }

    @Test
    void faintPrintAndSignaturesAreOnIt() {
        assertThat(read(g -> {
                            g.setColor(FAINT);
                            Pictures.letter(g);
                        })
                        .words())
                .hasSizeGreaterThan(100);
        assertThat(read(g -> g.drawOval(60, 200, 50, 12)).image().inkShare()).isPositive();
        assertThat(read(g -> Pictures.text(g, 100, 280, 10, "- 7 -")).image().inkShare())
                .isPositive();
    }

    private static PageFacts read(Consumer<Graphics2D> draw) {
        BufferedImage page = Pictures.page(200, 0, draw);
        return ReadPage.read(
                new Scan(page, 200, true, List.of()), new ReadPage.Origin(1, "x", 1, "0".repeat(64)), reader);
    }
}
