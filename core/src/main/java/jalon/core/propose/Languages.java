package jalon.core.propose;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which language papers are in, by the small words that every text of it is full of. They are chosen so that they are read rightly by a
 * model of another language: without accents, and none is common in two of the languages.
 */
final class Languages {
    private static final Map<String, Set<String>> SMALL_WORDS = new LinkedHashMap<>();

    static {
        put("eng", "the and of to is for with this your from have are please will which been");
        put("deu", "und der die das ist nicht mit ein eine auf von den dem zum zur wir bitte wird");
        put("fra", "le les et est pour dans une sur vous nous avec votre qui du au aux cette");
        put("nld", "het een van voor niet zijn wij deze bij ook naar wordt uw aan dit met");
        put("spa", "el los las y del por para una con su que este esta nos se como");
        put("ita", "il gli della di che per non una sono con questo dei nel alla vostra si");
        put("por", "o os da do dos das em uma para com seu nao pelo pela ao esta");
        put("swe", "och att det som av med den till inte ett har kan ska eller vid om");
        put("dan", "og af til der ikke det med fra har kan skal vil blev efter hvis ved");
        put("nor", "og av til som ikke det med fra har kan skal vil ble etter hvis ved");
        put("fin", "ja on ei se oli joka niin kun mutta tai sekä ovat tämä jos myös että");
        put("pol", "i w na z do nie jest od przez dla oraz lub po za jako ale");
        put("ces", "a v na se je pro s do od po ve jako nebo ale za podle");
        put("hun", "a az egy hogy nem volt vagy csak meg ezt kell de mint ha is lesz");
        put("ron", "si de la in cu pe nu din pentru este sau care prin mai ca sunt");
        put("tur", "ve bir bu ile olarak de da olan veya ne kadar daha gibi en her ise");
    }

    /** So many words of a text of a language are among its small ones, at least. */
    private static final double LEAST_SHARE = 0.08;

    private static final int LEAST_WORDS = 12;

    /** Of another language there are fewer than this share as many. */
    private static final double CLEARLY = 0.7;

    private Languages() {}

    private static void put(String language, String words) {
        SMALL_WORDS.put(language, Set.copyOf(Arrays.asList(words.split(" "))));
    }

    /** @param share of the words that are small words of it; 0..1 */
    record Spoken(String language, double share) {}

    /** The language of most of the words, by the name of its reading model; empty where none is clear. */
    static Optional<Spoken> of(List<String> words) {
        List<String> plain = words.stream()
                .map(w -> w.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]", ""))
                .filter(w -> !w.isEmpty())
                .toList();
        Map<String, Long> counts = SMALL_WORDS.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> plain.stream().filter(e.getValue()::contains).count()));
        List<Map.Entry<String, Long>> most = counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder()))
                .toList();
        long first = most.get(0).getValue();
        boolean clear = first >= LEAST_WORDS
                && first >= LEAST_SHARE * plain.size()
                && most.get(1).getValue() <= CLEARLY * first;
        return clear ? Optional.of(new Spoken(most.get(0).getKey(), first / (double) plain.size())) : Optional.empty();
    }
}
