package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PageNumberingTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Page 2 of 3|2|3",
                "Sidai/1|1|1",
                "Page l of 4|1|4",
                "Northgate Chandlers Limited, account 4711, page 2 of 3|2|3",
                "page 2/3|2|3",
                "p. 2|2|0",
                "Seite 2 von 3|2|3",
                "Seite: 2|2|0",
                "Page: 2 of 3|2|3",
                "S. 2/3|2|3",
                "Blatt 2|2|0",
                "page 2 sur 3|2|3",
                "Página 2 de 3|2|3",
                "pág. 2|2|0",
                "Pagina 2 di 3|2|3",
                "pagina 2 van 3|2|3",
                "blz. 2|2|0",
                "strona 2 z 3|2|3",
                "str. 2|2|0",
                "Sida 2 av 3|2|3",
                "Side 2 af 3|2|3",
                "Strana 2 z 3|2|3",
                "2. oldal|2|0",
                "Pagina 2 din 3|2|3",
                "sivu 2 / 3|2|3",
                "2 of 3|2|3",
                "(2/3)|2|3",
                "- 2 -|2|0",
                "– 12 –|12|0"
            })
    void theUsualSpellingsAreRead(String text, int page, int of) {
        var found = PageNumbering.on(PageBuilder.page(1).lines(text).seen());
        if (page == 0) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found)
                    .get()
                    .extracting(PageNumbering::page, PageNumbering::of)
                    .containsExactly(page, of);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "as was said on page 3 of the agreement",
                "Lange Str. 12",
                "Lange Str. 12, 24105 Westhaven",
                "page 5 of 3",
                "page 0 of 3",
                "3/7/2026",
                "17 of us",
                "p. 2.1",
                "Pages 118",
                "12",
                "pageant 4",
                "page l"
            })
    void whatOnlyLooksLikeOneIsNot(String text) {
        assertThat(PageNumbering.on(PageBuilder.page(1).lines(text).seen())).isEmpty();
    }

    @Test
    void aNumberInTheMiddleOfThePageNumbersSomethingElse() {
        var page = PageBuilder.page(1);
        for (int i = 0; i < 12; i++) {
            page.lines("and so on");
        }
        assertThat(PageNumbering.on(page.lines("Page 2 of 3").seen())).isEmpty();
    }

    @Test
    void twoPlacesThatDisagreeAreNoNumber() {
        assertThat(PageNumbering.on(
                        PageBuilder.page(1).lines("Page 2 of 3", "Page 5 of 9").seen()))
                .isEmpty();
        assertThat(PageNumbering.on(
                        PageBuilder.page(1).lines("- 2 -", "Page 2 of 3").seen()))
                .get()
                .extracting(PageNumbering::of)
                .isEqualTo(3);
    }

    @Test
    void inAHeadLineItStandsInACellOfItsOwn() {
        List<Word> head = new ArrayList<>();
        head.add(word("Account", 20));
        head.add(word("4711", 40));
        head.add(word("Page", 160));
        head.add(word("2", 172));
        assertThat(PageNumbering.on(PageBuilder.page(1).words(head).seen()))
                .get()
                .extracting(PageNumbering::page)
                .isEqualTo(2);
    }

    @Test
    void theNextNumberFollowsAndTheLastEnds() {
        var two = numbered("Page 2 of 3");
        assertThat(numbered("Page 3 of 3").follows(two)).isTrue();
        assertThat(numbered("- 3 -").follows(two)).isTrue();
        assertThat(numbered("Page 3 of 4").follows(two)).isFalse();
        assertThat(numbered("Page 1 of 3").follows(two)).isFalse();
        assertThat(numbered("Page 3 of 3").isLast()).isTrue();
        assertThat(two.isLast()).isFalse();
    }

    private static PageNumbering numbered(String line) {
        return PageNumbering.on(PageBuilder.page(1).lines(line).seen()).orElseThrow();
    }

    private static Word word(String text, double x) {
        return new Word(text, new Box(x, 15, 2.2 * text.length(), 3), 0.95, 0);
    }
}
