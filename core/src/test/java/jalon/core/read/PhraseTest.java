package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.page.Box;
import jalon.core.page.Word;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PhraseTest {
    @ParameterizedTest(name = "\"{0}\" in \"{1}\"")
    @CsvSource(
            delimiter = '|',
            value = {
                "Dear Harbour Master|To: DEAR harbour-master, dear Harbour Master.|3",
                "Dear Harbour Master|a Dear Harb0ur Mastar|1",
                "Bestatigung|Unsere Bestätigung vom|1",
                "Größe über alles|GRÖSSE|-1",
                "Größe|ihre GRÖßE:|1",
                "Our ref|Your ref|-1",
                "PM-4821|(PM4821)|0",
                "Ref|Reg|-1",
                "Ihr Zeichen|Thr Zeichen: 48|0",
                "Ihr Zeichen|lhr Zeichen: 48|0",
                "Ihr Zeichen|Uhr Zeichen: 48|-1",
            })
    void isFoundWithItsLettersMisreadNowAndThen(String phrase, String text, int at) {
        String[] parts = text.split(" ");
        List<Word> words = IntStream.range(0, parts.length)
                .mapToObj(i -> new Word(parts[i], new Box(10 * i, 0, 9, 4), 0.9, 1))
                .toList();
        var hit = Phrase.of(phrase).find(words);
        assertThat(hit.map(Phrase.Hit::from).orElse(-1)).isEqualTo(at);
        hit.ifPresent(h -> assertThat(h.score()).isBetween(0.5, 0.9));
        assertThat(Phrase.of(phrase).findClear(words)).isEqualTo(hit);
    }
}
