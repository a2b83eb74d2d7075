package jalon.core.propose;

import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** Documents that are of one kind: the same words stand at the same places of their first pages. */
final class LikePapers {
    /** Share of the print of two first pages that stands alike, from which on they are of one kind. */
    private static final double ALIKE = 0.5;

    private static final double APART_MM = 10;
    private static final double EXACT_MM = 2.5;
    private static final int LEAST_LETTERS = 3;
    private static final double HEAD = 0.15;
    private static final double FOOT = 0.92;

    /** The print of a form goes down so much of its page; the head of a table does not. */
    private static final double DEEP = 0.2;

    private static final double ON_MOST = 0.6;
    private static final double MOST = 0.8;
    private static final int MOST_WORDS = 7;

    private LikePapers() {}

    /**
     * @param documents at least one
     * @param alike whether they look alike; else they are those that are like no other
     * @param title what is printed largest at the head of most of them, or null
     */
    record Kind(List<List<PageFacts>> documents, boolean alike, String title) {}

    /** Whether pages are one form filled in again and again: none of them goes on with another. */
    static boolean areOneForm(List<PageFacts> pages) {
        List<Map<String, List<Word>>> words =
                printed(pages.stream().map(p -> words(p.straight())).toList());
        long like = 0;
        for (int i = 0; i < pages.size(); i++) {
            int one = i;
            List<Integer> others = IntStream.range(0, pages.size())
                    .filter(o -> o != one)
                    .boxed()
                    .toList();
            boolean alike = others.stream()
                            .filter(o -> likeness(words.get(o), words.get(one)) >= ALIKE)
                            .count()
                    >= ON_MOST * others.size();
            like += alike && depth(words.get(i)) > DEEP * pages.get(i).image().heightMm() ? 1 : 0;
        }
        return pages.size() > 1 && like >= MOST * pages.size();
    }

    private static double depth(Map<String, List<Word>> words) {
        DoubleSummaryStatistics at = words.values().stream()
                .flatMap(List::stream)
                .mapToDouble(w -> w.box().centreY())
                .summaryStatistics();
        return at.getCount() == 0 ? 0 : at.getMax() - at.getMin();
    }

    /** The commonest first. Papers that are like no other make one kind together. */
    static List<Kind> of(List<List<PageFacts>> documents) {
        List<List<Integer>> groups = new ArrayList<>();
        List<Map<String, List<Word>>> words =
                documents.stream().map(d -> words(d.get(0).straight())).toList();
        for (int i = 0; i < documents.size(); i++) {
            int one = i;
            Optional<List<Integer>> best = groups.stream()
                    .filter(g -> likeness(words, g, one) >= ALIKE)
                    .max(Comparator.comparingDouble(g -> likeness(words, g, one)));
            if (best.isPresent()) {
                best.get().add(i);
            } else {
                groups.add(new ArrayList<>(List.of(i)));
            }
        }
        List<Integer> alone =
                groups.stream().filter(g -> g.size() == 1).flatMap(List::stream).toList();
        List<Kind> kinds = new ArrayList<>();
        groups.stream()
                .filter(g -> g.size() > 1)
                .sorted(Comparator.comparingInt(g -> -g.size()))
                .map(g -> g.stream().map(documents::get).toList())
                .forEach(g -> kinds.add(new Kind(g, true, title(g))));
        if (!alone.isEmpty()) {
            List<List<PageFacts>> others = alone.stream().map(documents::get).toList();
            kinds.add(new Kind(others, false, others.size() == 1 ? null : title(others)));
        }
        return kinds;
    }

    /** Of the body: the head and the foot of their paper are the same on all that a house prints. */
    private static Map<String, List<Word>> words(PageFacts page) {
        Map<String, List<Word>> words = new HashMap<>();
        double height = page.image().heightMm();
        for (Word w : page.words()) {
            String plain = Phrase.plain(w.text());
            boolean body = w.box().centreY() > HEAD * height && w.box().centreY() < FOOT * height;
            if (body && plain.length() >= LEAST_LETTERS && plain.chars().allMatch(Character::isLetter)) {
                words.computeIfAbsent(plain, p -> new ArrayList<>()).add(w);
            }
        }
        return words;
    }

    /** Those that another paper has at the same place: the others are what was written into it. */
    private static List<Map<String, List<Word>>> printed(List<Map<String, List<Word>>> all) {
        return all.stream()
                .map(one -> {
                    Set<Word> shared = new HashSet<>();
                    all.stream().filter(other -> other != one).forEach(other -> shared.addAll(together(one, other)));
                    Map<String, List<Word>> kept = new HashMap<>();
                    one.forEach((plain, words) -> {
                        List<Word> its = words.stream().filter(shared::contains).toList();
                        if (!its.isEmpty()) {
                            kept.put(plain, its);
                        }
                    });
                    return kept;
                })
                .toList();
    }

    /** Words of the first that the second has at the same place, once it is known by how much it was fed otherwise. */
    private static List<Word> together(Map<String, List<Word>> a, Map<String, List<Word>> b) {
        List<Pair> pairs = a.entrySet().stream()
                .flatMap(e -> e.getValue().stream()
                        .flatMap(w ->
                                b.getOrDefault(e.getKey(), List.of()).stream().map(v -> new Pair(w, v))))
                .filter(p -> Math.abs(p.dx()) < APART_MM && Math.abs(p.dy()) < APART_MM)
                .toList();
        if (pairs.isEmpty()) {
            return List.of();
        }
        double dx = median(pairs.stream().mapToDouble(Pair::dx));
        double dy = median(pairs.stream().mapToDouble(Pair::dy));
        return pairs.stream()
                .filter(p -> Math.abs(p.dx() - dx) < EXACT_MM && Math.abs(p.dy() - dy) < EXACT_MM)
                .map(Pair::here)
                .distinct()
                .toList();
    }

    private record Pair(Word here, Word there) {
        /** From its left end: what is written behind a word makes no difference to that. */
        double dx() {
            return here.box().x() - there.box().x();
        }

        double dy() {
            return here.box().centreY() - there.box().centreY();
        }
    }

    private static double median(DoubleStream of) {
        double[] sorted = of.sorted().toArray();
        return sorted[sorted.length / 2];
    }

    private static double likeness(List<Map<String, List<Word>>> words, List<Integer> group, int one) {
        return group.stream()
                .mapToDouble(other -> likeness(words.get(other), words.get(one)))
                .average()
                .orElse(0);
    }

    private static double likeness(Map<String, List<Word>> a, Map<String, List<Word>> b) {
        int most = Math.max(size(a), size(b));
        return most == 0 ? 0 : together(a, b).size() / (double) most;
    }

    private static int size(Map<String, List<Word>> words) {
        return words.values().stream().mapToInt(List::size).sum();
    }

    private static String title(List<List<PageFacts>> documents) {
        Map<String, Set<Integer>> on = new HashMap<>();
        Map<String, Line> printed = new HashMap<>();
        for (int i = 0; i < documents.size(); i++) {
            for (Line cell : Headings.on(documents.get(i).get(0), MOST_WORDS)) {
                if (!cell.text().endsWith(":")) {
                    String plain = Phrase.plain(cell.text());
                    printed.putIfAbsent(plain, cell);
                    on.computeIfAbsent(plain, p -> new HashSet<>()).add(i);
                }
            }
        }
        return on.entrySet().stream()
                .filter(e -> e.getValue().size() > 1 && e.getValue().size() >= ON_MOST * documents.size())
                .map(e -> printed.get(e.getKey()))
                .max(Comparator.comparingDouble(line -> line.box().height()))
                .map(line -> Line.value(line.text()))
                .orElse(null);
    }
}
