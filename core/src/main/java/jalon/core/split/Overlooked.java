package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Pages that look like first pages and on which no rule saw its sign: a separator sheet was forgotten, or the sign is too
 * faint to be read. What is on the first pages of the batch, at the same place, and hardly on the others, or the heading of a
 * type, speaks for it; the cut there is a doubt for a person.
 */
final class Overlooked {
    /** Pages are compared with so many of each kind at most. */
    private static final int SAMPLED = 16;

    private static final double ON_FIRST_PAGES = 0.6;
    private static final double ON_OTHERS = 0.2;
    private static final int FEWEST_WORDS = 3;
    private static final double SHARED = 0.6;

    private static final int LETTERS = 4;
    private static final double UPPER_PART = 0.45;
    private static final double ASIDE_MM = 25;
    private static final double LOWER_MM = 20;

    /** Below this mean certainty a page's words are compared letter by letter. */
    private static final double READ_WELL = 0.75;

    private static final double HEADING = 1.15;

    private final List<PageFacts> firsts;
    private final List<PageFacts> others;

    private Overlooked(List<PageFacts> firsts, List<PageFacts> others) {
        this.firsts = firsts;
        this.others = others;
    }

    /**
     * @param firsts first pages of documents whose stake is sure
     * @param others pages inside of documents
     * @return what speaks for a stake, by page number
     */
    static Map<Integer, Evidence> find(StreamDefinition stream, List<PageFacts> firsts, List<PageFacts> others) {
        var batch = new Overlooked(firsts, others);
        Map<Integer, Evidence> found = new HashMap<>();
        if (!others.isEmpty()) {
            batch.headings(stream, found);
            batch.likeFirstPages(found);
        }
        return found;
    }

    private void headings(StreamDefinition stream, Map<Integer, Evidence> found) {
        for (DocumentType type : stream.types()) {
            List<Phrase> must = type.words().must().stream().map(Phrase::of).toList();
            if (must.isEmpty()) {
                continue;
            }
            Map<Integer, Evidence> ofType = new HashMap<>();
            for (PageFacts page : others) {
                List<Phrase.Hit> hits = must.stream()
                        .flatMap(p -> p.find(page.words(), upperPart(page)).stream())
                        .filter(h -> isHeading(h, page))
                        .toList();
                if (hits.size() == must.size()) {
                    ofType.put(page.no(), evidence(page, hits.get(0).words()));
                }
            }
            if (isRare(ofType.size())) {
                found.putAll(ofType);
            }
        }
    }

    private static Box upperPart(PageFacts page) {
        return new Box(0, 0, page.image().widthMm(), UPPER_PART * page.image().heightMm());
    }

    private static boolean isHeading(Phrase.Hit hit, PageFacts page) {
        double[] heights = page.words().stream()
                .mapToDouble(w -> w.box().height())
                .sorted()
                .toArray();
        return hit.box().height() >= HEADING * heights[heights.length / 2];
    }

    /** What most inner pages have belongs to them. */
    private boolean isRare(int pages) {
        return pages <= Math.max(1, ON_OTHERS * others.size());
    }

    private static Evidence evidence(PageFacts page, List<Word> words) {
        return new Evidence(
                Evidence.Rule.FIRST,
                page.no(),
                Line.boxOf(words),
                Reason.Code.LOOKS_LIKE_FIRST.with(Line.textOf(words)),
                Certainty.OVERLOOKED);
    }

    /** A word of the upper part of first pages. */
    private record Token(String plain, Box box) {
        boolean isAt(Box other) {
            return Math.abs(box.centreX() - other.centreX()) < ASIDE_MM
                    && Math.abs(box.centreY() - other.centreY()) < LOWER_MM;
        }
    }

    private void likeFirstPages(Map<Integer, Evidence> found) {
        List<PageFacts> sample = firsts.subList(0, Math.min(SAMPLED, firsts.size()));
        if (sample.size() < 2) {
            return;
        }
        List<Map<String, List<Word>>> ofFirsts =
                sample.stream().map(Overlooked::upperWords).toList();
        Map<Integer, Map<String, List<Word>>> ofOthers = new HashMap<>();
        others.forEach(p -> ofOthers.put(p.no(), upperWords(p)));
        List<Token> common = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < 2; i++) {
            ofFirsts.get(i).forEach((plain, words) -> {
                var token = new Token(plain, words.get(0).box());
                long firstPages = ofFirsts.stream().filter(f -> has(f, token)).count();
                if (firstPages >= ON_FIRST_PAGES * ofFirsts.size()
                        && seen.add(plain)
                        && isRare((int) ofOthers.values().stream()
                                .filter(o -> has(o, token))
                                .count())) {
                    common.add(token);
                }
            });
        }
        if (common.size() < FEWEST_WORDS) {
            return;
        }
        for (PageFacts page : others) {
            List<Word> shared = shared(common, page, ofOthers.get(page.no()));
            if (shared.size() >= Math.max(FEWEST_WORDS, SHARED * common.size())) {
                found.putIfAbsent(page.no(), evidence(page, shared.subList(0, FEWEST_WORDS)));
            }
        }
    }

    private static Map<String, List<Word>> upperWords(PageFacts page) {
        Map<String, List<Word>> words = new HashMap<>();
        Box upper = upperPart(page);
        for (Word w : page.words()) {
            String plain = upper.holdsCentreOf(w.box()) ? Phrase.plain(w.text()) : "";
            if (plain.length() >= LETTERS) {
                words.computeIfAbsent(plain, p -> new ArrayList<>()).add(w);
            }
        }
        return words;
    }

    private static boolean has(Map<String, List<Word>> page, Token token) {
        return page.getOrDefault(token.plain(), List.of()).stream().anyMatch(w -> token.isAt(w.box()));
    }

    private static List<Word> shared(List<Token> common, PageFacts page, Map<String, List<Word>> words) {
        double certainty =
                page.words().stream().mapToDouble(Word::certainty).average().orElse(1);
        List<Word> shared = new ArrayList<>();
        for (Token token : common) {
            words.entrySet().stream()
                    .filter(e -> e.getKey().equals(token.plain())
                            || certainty < READ_WELL && Phrase.likeness(token.plain(), e.getKey()) > 0)
                    .flatMap(e -> e.getValue().stream())
                    .filter(w -> token.isAt(w.box()))
                    .findFirst()
                    .ifPresent(shared::add);
        }
        return shared;
    }
}
