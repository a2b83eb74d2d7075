package jalon.core.sort;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How alike the texts of pages are: the cosine of their words and letter trigrams, each weighed by how few of the samples
 * have it (K. Sparck Jones, "A statistical interpretation of term specificity", 1972). Trigrams forgive misread letters.
 */
final class TextVectors {
    private static final double TRIGRAM = 0.35;

    /** Values differ from page to page, and most of what holds digits is a value. */
    private static final double WITH_DIGITS = 0.5;

    /** As if so many pages more had been seen that have none of it: a stream of two types is then weighed as one of many. */
    private static final double ELSEWHERE = 200;

    private final Map<Integer, Integer> samplesWith = new HashMap<>();
    private final Map<Integer, List<Entry>> index = new HashMap<>();
    private final int samples;

    private record Entry(int sample, double weight) {}

    TextVectors(List<SeenPage> pages) {
        samples = pages.size();
        List<Map<Integer, Double>> all = pages.stream().map(TextVectors::counts).toList();
        all.forEach(counts -> counts.keySet().forEach(f -> samplesWith.merge(f, 1, Integer::sum)));
        for (int i = 0; i < samples; i++) {
            int sample = i;
            weighed(all.get(i))
                    .forEach((feature, weight) -> index.computeIfAbsent(feature, f -> new ArrayList<>(2))
                            .add(new Entry(sample, weight)));
        }
    }

    /** 0..1 for each sample, in their order. */
    double[] likeness(SeenPage page) {
        double[] sums = new double[samples];
        weighed(counts(page)).forEach((feature, weight) -> {
            for (Entry e : index.getOrDefault(feature, List.of())) {
                sums[e.sample] += weight * e.weight;
            }
        });
        return sums;
    }

    /** How telling a word is: little when every sample has it. */
    double rarity(String word) {
        return rarity(word.hashCode());
    }

    private double rarity(int feature) {
        return Math.log((samples + ELSEWHERE) / (samplesWith.getOrDefault(feature, 0) + 1.0));
    }

    private static Map<Integer, Double> counts(SeenPage page) {
        Map<Integer, Double> counts = new HashMap<>();
        for (SeenPage.Seen s : page.words) {
            String word = s.plain();
            double weight = word.chars().anyMatch(Character::isDigit) ? WITH_DIGITS : 1;
            counts.merge(word.hashCode(), weight, Double::sum);
            for (int i = 0; i + 3 <= word.length(); i++) {
                counts.merge(word.substring(i, i + 3).hashCode() * 31 + 3, TRIGRAM * weight, Double::sum);
            }
        }
        return counts;
    }

    private Map<Integer, Double> weighed(Map<Integer, Double> counts) {
        Map<Integer, Double> out = new HashMap<>(counts.size() * 2);
        double square = 0;
        for (var e : counts.entrySet()) {
            double weight = Math.log1p(e.getValue()) * rarity(e.getKey());
            if (weight > 0) {
                out.put(e.getKey(), weight);
                square += weight * weight;
            }
        }
        double length = Math.max(1e-9, Math.sqrt(square));
        out.replaceAll((f, w) -> w / length);
        return out;
    }
}
