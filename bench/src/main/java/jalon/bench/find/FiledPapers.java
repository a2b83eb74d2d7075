package jalon.bench.find;

import jalon.find.Searchable;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * Made-up filed documents of three pages, any number of them: words as frequent as in a language, numbers that nobody else
 * has, words that were misread. Each is the same whenever it is made.
 */
final class FiledPapers {
    private static final int WORDS = 60_000;
    private static final int PAGES = 3;
    private static final int WORDS_OF_PAGE = 140;
    private static final double NUMBERS = 0.06;
    private static final double MISREAD = 0.02;
    private static final int CONFIDENTIAL_EVERY = 20;
    private static final String[] TYPES = {
        "Delivery note", "Survey", "Complaint", "Tender", "Tenancy agreement", "Wage slip", "Inspection", "Minutes"
    };
    private static final String[] STREAMS = {"Front counter", "Night post", "Branch scans", "Old cellar"};
    private static final String[] PEOPLE = {"Jalon", "A. Morven", "B. Castellane", "C. Oduya", "D. Wrenfield"};
    private static final String CONSONANTS = "bcdfghjklmnprstvwz";
    private static final String VOWELS = "aeiouyäöéå";

    private final long seed;
    private final String[] words = new String[WORDS];

    FiledPapers(long seed) {
        this.seed = seed;
        Random random = new Random(seed);
        for (int i = 0; i < WORDS; i++) {
            StringBuilder word = new StringBuilder();
            int syllables = 1 + random.nextInt(i < 200 ? 2 : 4);
            for (int s = 0; s < syllables; s++) {
                word.append(CONSONANTS.charAt(random.nextInt(CONSONANTS.length())));
                word.append(VOWELS.charAt(random.nextInt(VOWELS.length())));
                if (random.nextInt(3) == 0) {
                    word.append(CONSONANTS.charAt(random.nextInt(CONSONANTS.length())));
                }
            }
            words[i] = word.toString();
        }
    }

    /** The word of a rank, 0 the most frequent. */
    String word(int rank) {
        return words[rank];
    }

    /** As frequent as its rank says. */
    private String word(Random random) {
        return words[(int) Math.min(WORDS - 1, Math.pow(WORDS, random.nextDouble()) - 1)];
    }

    Searchable document(long id) {
        Random random = new Random(seed * 1_000_003 + id);
        int type = (int) (TYPES.length * random.nextDouble() * random.nextDouble());
        int stream = random.nextInt(STREAMS.length);
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("reference", String.format(Locale.ROOT, "%c%c-%06d/%02d", letter(random), letter(random), id, type));
        fields.put("party", capital(word(random)) + " " + capital(word(random)));
        fields.put(
                "signed",
                Instant.ofEpochSecond(1_600_000_000L + random.nextInt(190_000_000))
                        .toString()
                        .substring(0, 10));
        fields.put("sum", String.format(Locale.ROOT, "%.2f", random.nextDouble() * 5000));
        List<String> pages = new ArrayList<>();
        for (int p = 0; p < PAGES; p++) {
            StringBuilder page = new StringBuilder();
            for (int w = 0; w < WORDS_OF_PAGE; w++) {
                double sort = random.nextDouble();
                if (sort < NUMBERS) {
                    page.append(random.nextInt(1_000_000));
                } else {
                    String word = word(random);
                    page.append(sort < NUMBERS + MISREAD ? word + letter(random) : word);
                }
                page.append(w % 9 == 8 ? '\n' : ' ');
            }
            pages.add(page.toString());
        }
        return new Searchable(
                id,
                new Searchable.Kind("s" + stream, STREAMS[stream], "t" + type, TYPES[type]),
                String.format(Locale.ROOT, "B-%04d", id / 10),
                PEOPLE[random.nextInt(PEOPLE.length)],
                Instant.ofEpochSecond(1_600_000_000L + id * 190),
                fields,
                pages,
                id % CONFIDENTIAL_EVERY == 0 ? fields.keySet() : Set.of());
    }

    private static char letter(Random random) {
        return (char) ('A' + random.nextInt(26));
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    /** What people ask, by sort: each line is asked once. */
    Map<String, List<String>> asked(int documents, int each) {
        Map<String, List<String>> asked = new LinkedHashMap<>();
        Random random = new Random(seed + 1);
        for (int i = 0; i < each; i++) {
            Searchable d = document(1 + random.nextInt(documents));
            String reference = d.fields().get("reference");
            String party = d.fields().get("party");
            String[] line = d.pages()
                    .get(random.nextInt(PAGES))
                    .split("\n")[random.nextInt(10)]
                    .split(" ");
            put(asked, "everything", "");
            put(asked, "a frequent word", word(random.nextInt(60)));
            put(asked, "two words", word(random.nextInt(400)) + " " + word(random.nextInt(400)));
            put(asked, "a beginning of two letters", word(random.nextInt(2000)).substring(0, 2));
            put(asked, "words beside each other", "\"" + line[2] + " " + line[3] + "\"");
            put(asked, "a word inside", line[4]);
            put(asked, "half a number", reference.substring(5, 9));
            put(
                    asked,
                    "part of a field",
                    "party:" + party.substring(0, Math.min(4, party.length())).strip());
            put(
                    asked,
                    "a range and not",
                    "signed:2021-0" + (1 + random.nextInt(9)) + ".. -" + word(random.nextInt(400)));
            put(asked, "one letter off", "reference:" + reference.substring(0, 7) + "x" + reference.substring(8));
        }
        return asked;
    }

    private static void put(Map<String, List<String>> asked, String sort, String line) {
        asked.computeIfAbsent(sort, s -> new ArrayList<>()).add(line);
    }
}
