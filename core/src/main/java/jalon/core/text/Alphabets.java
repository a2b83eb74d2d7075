package jalon.core.text;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which letters beyond a to z languages written with Latin letters use, small ones, their accents on loan words too. A word
 * with letters that no language has together was misread: a model that knows all of them mixes them where print is worn.
 */
public final class Alphabets {
    private static final List<Set<Integer>> LETTERS = Stream.of(
                    "àâæçéèêëîïôœùûüÿ", // French
                    "äöüßéàèáôç", // German
                    "áéíñóúüçàèò", // Spanish, Galician, Basque
                    "àçèéíïòóúüŀ", // Catalan
                    "ãáàâçéêíóôõúü", // Portuguese
                    "àèéìíîòóùú", // Italian
                    "áàâäéèêëíìîïóòôöúùûüç", // Dutch, Irish, Scottish, English loans
                    "âêîôûŵŷäëïöüáéíóúẃýàèìòùẁỳ", // Welsh
                    "åäöéàü", // Swedish, Finnish
                    "æøåéèêóòôäöüá", // Danish, Norwegian
                    "áðéíóúýþæö", // Icelandic
                    "áðíóúýæøå", // Faroese
                    "äöüõšž", // Estonian
                    "āčēģīķļņōŗšūž", // Latvian
                    "ąčęėįšųūž", // Lithuanian
                    "ąćęłńóśźżéöü", // Polish
                    "áčďéěíňóřšťúůýžäöü", // Czech
                    "áäčďéíĺľňóôŕšťúýžöüěřů", // Slovak
                    "áéíóöőúüűä", // Hungarian
                    "ăâîșşțţáéöőüű", // Romanian
                    "čćđšžäöü", // Croatian, Slovene, Bosnian
                    "çë", // Albanian
                    "çğıöşüâîûə\u0307", // Turkish, Azerbaijani
                    "ċġħżàèìòù", // Maltese
                    "ĉĝĥĵŝŭ") // Esperanto
            .map(letters -> letters.codePoints().boxed().collect(Collectors.toSet()))
            .toList();

    private Alphabets() {}

    /** Whether each word of a text could be of one language. */
    public static boolean hold(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{M}]+"))
                .allMatch(Alphabets::holdWord);
    }

    private static boolean holdWord(String word) {
        List<Integer> beyond = word.codePoints().filter(c -> c > 'z').boxed().toList();
        return beyond.isEmpty() || LETTERS.stream().anyMatch(letters -> letters.containsAll(beyond));
    }
}
