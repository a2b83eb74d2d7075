package jalon.core.propose;

import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Printed words at the beginning of a cell, the same on most papers of a kind: what may be a label. */
final class Labelled {
    private static final double ON_MOST = 0.6;
    private static final int MOST_WORDS = 5;
    private static final int LEAST_LETTERS = 2;

    /** Of {@code Date} and {@code Date of birth} the longer one is meant where it stands nearly as often. */
    private static final double NEARLY = 0.75;

    private static final int LETTERS_PER_MISTAKE = 5;

    private Labelled() {}

    /**
     * @param text as printed, without colon or number before it
     * @param plain its letters
     * @param on indexes of the documents that it stands on
     * @param colon whether a colon stands behind it
     * @param whole whether nothing else stands in its cell, on most papers
     */
    record Label(String text, String plain, Set<Integer> on, boolean colon, boolean whole) {}

    private static final class Seen {
        private final Map<String, Integer> spelled = new HashMap<>();
        private final Set<Integer> on = new HashSet<>();
        private int places;
        private int colons;
        private final Set<Integer> whole = new HashSet<>();

        /** What stands in the cell before it, by how often. */
        private final Map<String, Integer> behind = new HashMap<>();

        /** What stands in the cell behind it. */
        private final Set<String> before = new HashSet<>();

        void add(Seen other) {
            other.spelled.forEach((text, times) -> spelled.merge(text, times, Integer::sum));
            on.addAll(other.on);
            places += other.places;
            colons += other.colons;
            whole.addAll(other.whole);
            other.behind.forEach((plain, times) -> behind.merge(plain, times, Integer::sum));
            before.addAll(other.before);
        }

        String text() {
            return spelled.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .orElseThrow()
                    .getKey();
        }
    }

    /** From the top of the page down, as they stand on the first paper that has each. */
    static List<Label> of(List<List<PageFacts>> documents) {
        Map<String, Seen> all = new LinkedHashMap<>();
        for (int i = 0; i < documents.size(); i++) {
            for (PageFacts page : documents.get(i)) {
                for (PageRows.Row row : PageRows.of(page).rows()) {
                    beginnings(row, i, all);
                }
            }
        }
        merge(all);
        int enough = Math.max(Math.min(2, documents.size()), (int) Math.ceil(ON_MOST * documents.size()));
        List<Label> labels = new ArrayList<>();
        all.forEach((plain, seen) -> {
            boolean colon = 2 * seen.colons > seen.places;
            boolean whole = 2 * seen.whole.size() > seen.on.size();
            boolean longer = all.entrySet().stream()
                    .anyMatch(e -> e.getKey().length() > plain.length()
                            && e.getKey().startsWith(plain)
                            && e.getValue().on.size() >= NEARLY * seen.on.size());
            boolean label = colon
                    || (whole || !longer) && Character.isUpperCase(seen.text().codePointAt(0));
            if (seen.on.size() >= enough && label && !isWritten(plain, seen, all)) {
                labels.add(new Label(seen.text(), plain, Set.copyOf(seen.on), colon, whole));
            }
        });
        return labels;
    }

    /**
     * Whether it is what somebody wrote: it stands behind something that more papers have, behind which other papers have something
     * else.
     */
    private static boolean isWritten(String plain, Seen seen, Map<String, Seen> all) {
        return seen.behind.entrySet().stream()
                .filter(e -> 2 * e.getValue() > seen.places)
                .anyMatch(e -> {
                    Seen label = all.get(e.getKey());
                    return label != null
                            && label.on.size() > seen.on.size()
                            && label.before.stream()
                                    .anyMatch(other -> !other.startsWith(plain) && !misread(plain, other));
                });
    }

    /** A label that was misread on some papers is the one that the others have. */
    private static void merge(Map<String, Seen> all) {
        List<String> byPapers = all.keySet().stream()
                .filter(plain -> plain.length() >= LETTERS_PER_MISTAKE)
                .sorted(Comparator.comparingInt(plain -> -all.get(plain).on.size()))
                .toList();
        for (int i = 0; i < byPapers.size(); i++) {
            Seen seen = all.get(byPapers.get(i));
            for (int j = i + 1; seen != null && j < byPapers.size(); j++) {
                Seen other = all.get(byPapers.get(j));
                if (other != null
                        && Collections.disjoint(seen.on, other.on)
                        && misread(byPapers.get(i), byPapers.get(j))) {
                    seen.add(other);
                    all.remove(byPapers.get(j));
                }
            }
        }
    }

    private static boolean misread(String a, String b) {
        int most = a.length() / LETTERS_PER_MISTAKE;
        return Math.abs(a.length() - b.length()) <= most && new LevenshteinDistance(most).apply(a, b) >= 0;
    }

    private static void beginnings(PageRows.Row row, int document, Map<String, Seen> all) {
        String before = null;
        for (Line cell : row.cells()) {
            String plain = Phrase.plain(cell.text());
            if (before != null && all.containsKey(before)) {
                all.get(before).before.add(plain);
            }
            beginnings(cell, document, before, all);
            before = plain;
        }
    }

    /**
     * Each run of words that a cell begins with, up to a colon.
     *
     * @param before what stands in the cell before it, or null
     */
    private static void beginnings(Line cell, int document, String before, Map<String, Seen> all) {
        List<Word> words = withoutNumber(cell.words());
        for (int n = 1; n <= Math.min(MOST_WORDS, words.size()); n++) {
            Word last = words.get(n - 1);
            if (last.text().chars().anyMatch(Character::isDigit)) {
                return;
            }
            boolean colon = last.text().endsWith(":")
                    || n < words.size() && words.get(n).text().equals(":");
            String text = Line.textOf(words.subList(0, n)).replaceAll("[\\s:.,;_]+$", "");
            String plain = Phrase.plain(text);
            if (plain.length() >= LEAST_LETTERS && Character.isLetter(text.codePointAt(0))) {
                Seen seen = all.computeIfAbsent(plain, p -> new Seen());
                seen.spelled.merge(text, 1, Integer::sum);
                seen.on.add(document);
                seen.places++;
                seen.colons += colon ? 1 : 0;
                if (n == words.size()) {
                    seen.whole.add(document);
                }
                if (before != null) {
                    seen.behind.merge(before, 1, Integer::sum);
                }
            }
            if (colon) {
                return;
            }
        }
    }

    /** {@code 3.}, {@code (3)} or {@code a)} before a label counts the lines of a form. */
    private static List<Word> withoutNumber(List<Word> words) {
        return words.size() > 1 && words.get(0).text().matches("\\(?(\\d{1,2}|\\p{L})[.)]+")
                ? words.subList(1, words.size())
                : words;
    }
}
