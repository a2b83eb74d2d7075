package jalon.core.sort;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** Which samples of a type are kept when there are more than it takes: the recent ones, and those least like the others. */
final class KeptSamples {
    /** More teach next to nothing, and each is laid on every page that looks like it. */
    static final int MOST = 20;

    /** What came in last is what comes next. */
    private static final int RECENT = MOST / 2;

    private KeptSamples() {}

    /**
     * @param samples the oldest first
     * @param pictures their types' pictures, which always stay
     * @return those that stay, in the same order
     */
    static List<Specimen> of(List<Specimen> samples, Set<String> pictures) {
        Map<String, List<Specimen>> byType = new LinkedHashMap<>();
        samples.forEach(
                s -> byType.computeIfAbsent(s.type(), t -> new ArrayList<>()).add(s));
        Set<String> kept = new HashSet<>();
        byType.values().forEach(its -> {
            if (its.size() > MOST) {
                ofType(its, pictures).forEach(i -> kept.add(its.get(i).id()));
            } else {
                its.forEach(s -> kept.add(s.id()));
            }
        });
        return samples.stream().filter(s -> kept.contains(s.id())).toList();
    }

    /** Their places in the list. */
    private static Set<Integer> ofType(List<Specimen> samples, Set<String> pictures) {
        Set<Integer> kept = new HashSet<>();
        for (int i = 0; i < samples.size(); i++) {
            if (i >= samples.size() - RECENT || pictures.contains(samples.get(i).id())) {
                kept.add(i);
            }
        }
        List<SeenPage> pages =
                samples.stream().map(s -> new SeenPage(s.pages().get(0))).toList();
        var texts = new TextVectors(pages);
        // How like each is to the one kept that it is most like.
        double[] likeness = new double[samples.size()];
        kept.forEach(k -> nearer(likeness, texts.likeness(pages.get(k))));
        while (kept.size() < MOST) {
            int odd = IntStream.range(0, likeness.length)
                    .filter(i -> !kept.contains(i))
                    .boxed()
                    .min(Comparator.comparingDouble(i -> likeness[i]))
                    .orElseThrow();
            kept.add(odd);
            nearer(likeness, texts.likeness(pages.get(odd)));
        }
        return kept;
    }

    private static void nearer(double[] likeness, double[] others) {
        for (int i = 0; i < likeness.length; i++) {
            likeness[i] = Math.max(likeness[i], others[i]);
        }
    }
}
