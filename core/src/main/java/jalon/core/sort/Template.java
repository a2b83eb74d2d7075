package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * What the first pages of one layout of a type have in common: words, rules and boxes with how often they were there,
 * on the straight page of its first sample.
 */
final class Template {
    private static final double SAME_PLACE_MM = 3.5;
    private static final double SAME_RULE_MM = 2;

    /** As if so many samples more had been seen that have it as often as such words have. */
    private static final double PRIOR = 0.6;

    private static final double WORD_STAYS = 0.55;
    private static final double NUMBER_STAYS = 0.1;
    private static final double RULE_STAYS = 0.8;

    final String type;
    final int samples;
    final SeenPage reference;
    final List<Print> words = new ArrayList<>();
    final List<Drawn> rules = new ArrayList<>();
    final List<Drawn> boxes = new ArrayList<>();
    final List<WordFit.At> anchors;

    /** @param stays 0..1: how likely it is on the next page of this layout */
    record Print(String plain, Box box, double stays) {}

    record Drawn(Box box, double stays) {}

    /** @param others further samples of the same layout */
    Template(String type, SeenPage reference, List<SeenPage> others) {
        this.type = type;
        this.reference = reference;
        this.samples = 1 + others.size();
        List<Similarity> onto = others.stream()
                .map(o -> WordFit.of(reference.anchors, o.byWord).map())
                .toList();
        for (SeenPage.Seen s : reference.words) {
            int hits = 1;
            for (int i = 0; i < others.size(); i++) {
                hits += has(others.get(i), s.plain(), onto.get(i), s.box()) ? 1 : 0;
            }
            words.add(new Print(s.plain(), s.box(), stays(s.plain(), hits)));
        }
        // What the first sample has lost, all others having it.
        for (int i = 0; i < Math.min(1, others.size()); i++) {
            Similarity back = onto.get(i).inverse();
            for (SeenPage.Seen s : others.get(i).words) {
                Box at = back.of(s.box());
                if (!has(reference, s.plain(), Similarity.NONE, at)) {
                    int hits = 1;
                    for (int j = 1; j < others.size(); j++) {
                        hits += has(others.get(j), s.plain(), onto.get(j), at) ? 1 : 0;
                    }
                    words.add(new Print(s.plain(), at, stays(s.plain(), hits)));
                }
            }
        }
        if (reference.layout != null) {
            reference.layout.rules().forEach(r -> rules.add(drawn(r, others, onto, true)));
            reference.layout.boxes().forEach(b -> boxes.add(drawn(b, others, onto, false)));
        }
        anchors = words.stream()
                .filter(w -> w.stays >= 0.5)
                .map(w -> new WordFit.At(w.plain, w.box.centreX(), w.box.centreY()))
                .toList();
    }

    private Drawn drawn(Box box, List<SeenPage> others, List<Similarity> onto, boolean rule) {
        int hits = 1;
        for (int i = 0; i < others.size(); i++) {
            Box there = onto.get(i).of(box);
            var layout = others.get(i).layout;
            hits += layout != null && (rule ? covered(there, layout.rules()) >= 0.6 : isAmong(there, layout.boxes()))
                    ? 1
                    : 0;
        }
        return new Drawn(box, share(hits, RULE_STAYS));
    }

    private double stays(String word, int hits) {
        return share(hits, word.chars().anyMatch(Character::isDigit) ? NUMBER_STAYS : WORD_STAYS);
    }

    /** Of the samples beside the one in which it was found. */
    private double share(int hits, double usual) {
        return (hits - 1 + PRIOR * usual) / (samples - 1 + PRIOR);
    }

    static boolean has(SeenPage page, String plain, Similarity map, Box box) {
        return page.around(
                        map.x(box.centreX(), box.centreY()), map.y(box.centreX(), box.centreY()), SAME_PLACE_MM)
                .stream()
                .anyMatch(s -> s.plain().equals(plain));
    }

    /** The share of a rule that others cover. */
    static double covered(Box rule, List<Box> others) {
        boolean across = rule.width() > rule.height();
        double from = across ? rule.x() : rule.y();
        double to = across ? rule.right() : rule.bottom();
        double at = across ? rule.centreY() : rule.centreX();
        double covered = 0;
        for (Box o : others) {
            boolean alike = o.width() > o.height() == across
                    && Math.abs((across ? o.centreY() : o.centreX()) - at) <= SAME_RULE_MM;
            if (alike) {
                covered += Math.max(0, Math.min(to, across ? o.right() : o.bottom()) - Math.max(from, across ? o.x() : o.y()));
            }
        }
        return Math.min(1, covered / Math.max(1, to - from));
    }

    static boolean isAmong(Box box, List<Box> others) {
        return others.stream()
                .anyMatch(o -> Math.abs(o.centreX() - box.centreX()) <= SAME_RULE_MM
                        && Math.abs(o.centreY() - box.centreY()) <= SAME_RULE_MM
                        && Math.abs(o.width() - box.width()) <= SAME_RULE_MM
                        && Math.abs(o.height() - box.height()) <= SAME_RULE_MM);
    }
}
