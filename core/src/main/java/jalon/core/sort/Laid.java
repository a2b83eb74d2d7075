package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import jalon.core.sort.SeenPage.Standing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A template laid on a page: which of its print is there. */
final class Laid {
    private static final double REACH_MM = 3;

    /** Print that is so sure to be there gainsays the form where another word stands in its place. */
    private static final double SURE_TO_STAY = 0.8;

    private static final int LONG_ENOUGH = 4;
    private static final double NEARLY = 0.8;

    final Template template;
    final WordFit fit;
    private final SeenPage page;
    private final Similarity map;

    Laid(Template template, SeenPage page) {
        this.template = template;
        this.page = page;
        this.fit = WordFit.of(template.anchors, page.byWord);
        this.map = fit.map();
    }

    Standing standing(Template.Print print) {
        return page.standing(print.plain(), map.of(print.box()));
    }

    private Optional<SeenPage.Seen> seenAt(Box box) {
        return page.wordAt(map.of(box));
    }

    Optional<String> readAt(Box box) {
        return seenAt(box).map(SeenPage.Seen::plain);
    }

    /** Whether the page's rules are known, and most of the form's are there. */
    boolean isDrawnKnown() {
        return page.layout != null && template.isDrawnOn(page, map);
    }

    boolean hasRule(Box rule) {
        return page.hasRule(map.of(rule));
    }

    boolean isClearOfRule(Box rule) {
        return page.isClearOfRule(map.of(rule));
    }

    boolean isClearOfBox(Box box) {
        return page.isClearOfBox(map.of(box));
    }

    boolean hasBox(Box box) {
        return page.hasBox(map.of(box));
    }

    /**
     * Shares of the form's print, by how telling each word is.
     *
     * @param gainsaid words that should stand there and in whose place there is another one
     * @param telling words of the page that stand where the form has them
     */
    record Shares(
            double there, double other, double nothing, List<Template.Print> gainsaid, List<SeenPage.Seen> telling) {}

    Shares shares(TextVectors texts) {
        double all = 0;
        double there = 0;
        double other = 0;
        double nothing = 0;
        List<Template.Print> gainsaid = new ArrayList<>();
        List<SeenPage.Seen> telling = new ArrayList<>();
        for (Template.Print p : template.words) {
            if (!p.isPrinted()) {
                continue;
            }
            double weight = (0.3 + texts.rarity(p.plain())) * p.stays();
            all += weight;
            switch (standing(p)) {
                case THERE -> {
                    there += weight;
                    seenAt(p.box()).ifPresent(telling::add);
                }
                case NEARLY -> {
                    there += NEARLY * weight;
                    seenAt(p.box()).ifPresent(telling::add);
                }
                case OTHER -> {
                    other += weight;
                    if (p.stays() >= SURE_TO_STAY && p.plain().length() >= LONG_ENOUGH) {
                        gainsaid.add(p);
                    }
                }
                case NOTHING -> nothing += weight;
                case NEARLY_NUMBER -> there += 0.5 * weight;
                case UNREAD -> {}
            }
        }
        double total = Math.max(all, 1e-9);
        return new Shares(there / total, other / total, nothing / total, gainsaid, telling);
    }

    /** The share of the page's own words that the form explains, by how telling each is. */
    double explained(TextVectors texts) {
        double all = 0;
        double explained = 0;
        Similarity back = map.inverse();
        for (SeenPage.Seen s : page.words) {
            if (s.certainty() < SeenPage.WELL_READ || s.plain().length() < 3) {
                continue;
            }
            double weight = 0.3 + texts.rarity(s.plain());
            all += weight;
            if (fit.agreeing() > 0
                    && template
                            .reference()
                            .around(
                                    back.x(s.box().centreX(), s.box().centreY()),
                                    back.y(s.box().centreX(), s.box().centreY()),
                                    REACH_MM)
                            .stream()
                            .anyMatch(t -> t.plain().equals(s.plain()))) {
                explained += weight;
            }
        }
        return explained / Math.max(all, 1e-9);
    }

    /** The share of the form's rules and boxes that are there; -1 where it has none, or the page's are not known. */
    double drawn() {
        if (page.layout == null || template.rules.isEmpty() && template.boxes.isEmpty()) {
            return -1;
        }
        double all = 0;
        double there = 0;
        for (Template.Drawn r : template.rules) {
            double weight = r.stays() * SeenPage.length(r.box());
            all += weight;
            there += hasRule(r.box()) ? weight : 0;
        }
        for (Template.Drawn b : template.boxes) {
            double weight = b.stays() * 10;
            all += weight;
            there += hasBox(b.box()) ? weight : 0;
        }
        return there / Math.max(all, 1e-9);
    }

    /** The share of the page's rules that the form has; -1 where either has none or is not known. */
    double drawnOnlyHere() {
        SeenPage form = template.reference();
        if (page.layout == null || form.layout == null || page.rules.isEmpty()) {
            return -1;
        }
        Similarity back = map.inverse();
        double all = 0;
        double known = 0;
        for (Box r : page.rules) {
            double length = SeenPage.length(r);
            all += length;
            known += form.hasRule(back.of(r)) ? length : 0;
        }
        return known / Math.max(all, 1e-9);
    }
}
