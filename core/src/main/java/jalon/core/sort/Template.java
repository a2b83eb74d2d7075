package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import jalon.core.sort.SeenPage.Standing;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;

/**
 * What the first pages of one layout of a type have in common: words, rules and boxes with how often they were there,
 * on the straight page of its first sample.
 */
final class Template {
    /** From where a word belongs to the form and not to what was filled in. */
    static final double PRINTED = 0.5;

    /** As if so many samples more had been seen that have it as often as such words have. */
    private static final double PRIOR = 0.6;

    private static final double WORD_STAYS = 0.55;
    private static final double NUMBER_STAYS = 0.1;
    private static final double RULE_STAYS = 0.8;

    /** Thicker ones are found on some scans and not on others. */
    private static final double THIN_MM = 0.9;

    final String type;
    final List<SeenPage> pages = new ArrayList<>();
    /** From the first page to each of them. */
    final List<Similarity> onto = new ArrayList<>();

    final List<Print> words = new ArrayList<>();
    final List<Drawn> rules = new ArrayList<>();
    final List<Drawn> boxes = new ArrayList<>();
    final List<WordFit.At> anchors;

    /** @param stays 0..1: how likely it is on the next page of this layout */
    record Print(String plain, Box box, double stays) {
        boolean isPrinted() {
            return stays >= PRINTED;
        }
    }

    record Drawn(Box box, double stays) {}

    Template(String type, List<SeenPage> samples) {
        this.type = type;
        SeenPage reference = samples.get(0);
        for (SeenPage p : samples) {
            pages.add(p);
            onto.add(
                    p == reference
                            ? Similarity.NONE
                            : WordFit.of(reference.anchors, p.byWord).map());
        }
        for (SeenPage.Seen s : reference.words) {
            words.add(print(s.plain(), s.box()));
        }
        if (pages.size() > 1) {
            // What the first sample has lost, the second having it.
            Similarity back = onto.get(1).inverse();
            for (SeenPage.Seen s : pages.get(1).words) {
                Box at = back.of(s.box());
                Standing there = reference.standing(s.plain(), at);
                if (there != Standing.THERE && there != Standing.NEARLY) {
                    words.add(print(s.plain(), at));
                }
            }
        }
        if (reference.layout != null) {
            for (Box r : reference.rules) {
                if (Math.min(r.width(), r.height()) <= THIN_MM) {
                    rules.add(drawn(r, SeenPage::hasRule));
                }
            }
            reference.layout.boxes().forEach(b -> boxes.add(drawn(b, SeenPage::hasBox)));
        }
        anchors = words.stream()
                .filter(Print::isPrinted)
                .map(w -> new WordFit.At(w.plain, w.box.centreX(), w.box.centreY()))
                .toList();
    }

    SeenPage reference() {
        return pages.get(0);
    }

    private Print print(String plain, Box box) {
        int hits = 0;
        for (int i = 0; i < pages.size(); i++) {
            Standing s = pages.get(i).standing(plain, onto.get(i).of(box));
            hits += s == Standing.THERE || s == Standing.NEARLY ? 1 : 0;
        }
        return new Print(plain, box, share(hits, SeenPage.isNumber(plain) ? NUMBER_STAYS : WORD_STAYS));
    }

    private Drawn drawn(Box box, BiPredicate<SeenPage, Box> has) {
        int hits = 0;
        for (int i = 0; i < pages.size(); i++) {
            hits += pages.get(i).layout != null
                            && has.test(pages.get(i), onto.get(i).of(box))
                    ? 1
                    : 0;
        }
        return new Drawn(box, share(hits, RULE_STAYS));
    }

    /** Of the samples beside the one in which it was found. */
    private double share(int hits, double usual) {
        return (Math.max(1, hits) - 1 + PRIOR * usual) / (pages.size() - 1 + PRIOR);
    }

    /**
     * How surely none of the samples has a word: 1 where all show another word or nothing at its place, 0 where one has it.
     *
     * @param map from the word's page to this template's
     */
    double lacks(Print print, Similarity map) {
        double lacks = 1;
        for (int i = 0; i < pages.size(); i++) {
            Box there = onto.get(i).of(map.of(print.box));
            lacks *= switch (pages.get(i).standing(print.plain, there)) {
                case THERE, NEARLY -> 0;
                case NEARLY_NUMBER -> 0.8;
                case UNREAD -> 0.3;
                case OTHER, NOTHING -> 1;
            };
        }
        return lacks;
    }

    /**
     * Whether the samples have something else each at a word's place, or some nothing: it is filled in there, and that all
     * samples of another form have the same word in it is chance.
     */
    boolean isFilledIn(Print print, Similarity map) {
        Set<String> read = new HashSet<>();
        for (int i = 0; i < pages.size(); i++) {
            Box there = onto.get(i).of(map.of(print.box));
            Standing s = pages.get(i).standing(print.plain, there);
            read.add(
                    s == Standing.NOTHING
                            ? ""
                            : pages.get(i)
                                    .wordAt(there)
                                    .map(SeenPage.Seen::plain)
                                    .orElse(""));
        }
        List<String> all = List.copyOf(read);
        return all.size() > 1 && all.stream().skip(1).anyMatch(w -> Misread.likeness(all.get(0), w) < FILLED_OTHERWISE);
    }

    private static final double FILLED_OTHERWISE = 0.5;

    /** Whether on every sample the place of a rule or a box is clear: one that is there is easily overlooked. */
    boolean lacksDrawn(Drawn drawn, Similarity map, Template has, BiPredicate<SeenPage, Box> isClear) {
        for (int i = 0; i < pages.size(); i++) {
            Similarity there = onto.get(i).after(map);
            SeenPage page = pages.get(i);
            if (page.layout == null || !isClear.test(page, there.of(drawn.box)) || !has.isDrawnOn(page, there)) {
                return false;
            }
        }
        return true;
    }

    /** Whether most of this form's rules were seen on a page; on a faint one thin rules are lost. */
    boolean isDrawnOn(SeenPage page, Similarity map) {
        double all = 0;
        double there = 0;
        for (Drawn r : rules) {
            double length = SeenPage.length(r.box) * r.stays;
            all += length;
            there += page.hasRule(map.of(r.box)) ? length : 0;
        }
        return there >= MOSTLY_DRAWN * all;
    }

    private static final double MOSTLY_DRAWN = 0.4;

    /** What each sample has at a place of its own first page; a sample without a word there has none in the list. */
    List<String> readAt(Box box) {
        List<String> read = new ArrayList<>();
        for (int i = 0; i < pages.size(); i++) {
            pages.get(i).wordAt(onto.get(i).of(box)).map(SeenPage.Seen::plain).ifPresent(read::add);
        }
        return read;
    }
}
