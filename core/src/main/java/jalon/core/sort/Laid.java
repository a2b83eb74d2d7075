package jalon.core.sort;

import jalon.core.fit.Similarity;
import jalon.core.fit.WordFit;
import jalon.core.page.Box;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.List;

/** A template laid on a page: which of its print is there. */
final class Laid {
    private static final double REACH_MM = 3;

    /** A word that the engine was not sure of does not gainsay the one that should stand there. */
    private static final double WELL_READ = 0.6;

    /** From where a word belongs to the form and not to what was filled in. */
    static final double PRINTED = 0.5;

    final Template template;
    final WordFit fit;
    private final SeenPage page;
    private final Similarity map;

    /** How a word of the form stands on the page. */
    enum Standing {
        /** It is there, letter for letter. */
        THERE,
        /** With a letter or two misread. */
        NEARLY,
        /** Something is there that could not be read. */
        UNREAD,
        /** Another word is there. */
        OTHER,
        /** Nothing is there. */
        NOTHING
    }

    Laid(Template template, SeenPage page) {
        this.template = template;
        this.page = page;
        this.fit = WordFit.of(template.anchors, page.byWord);
        this.map = fit.map();
    }

    Standing standing(Template.Print print) {
        return standing(print.plain(), map.of(print.box()));
    }

    private Standing standing(String plain, Box there) {
        double x = there.centreX();
        double y = there.centreY();
        boolean other = false;
        boolean unread = false;
        boolean nearly = false;
        for (SeenPage.Seen s : page.around(x, y, REACH_MM)) {
            if (s.plain().equals(plain)) {
                return Standing.THERE;
            }
            nearly |= isNearly(plain, s.plain());
            // What only touches its place may be what was written beside it.
            boolean onIt = s.box().x() < x && s.box().right() > x;
            other |= onIt && s.certainty() >= WELL_READ;
            unread |= s.certainty() < WELL_READ;
        }
        if (nearly) {
            return Standing.NEARLY;
        }
        if (other) {
            return Standing.OTHER;
        }
        boolean inked = page.layout == null || page.layout.darkestIn(there) >= 2;
        return unread || inked ? Standing.UNREAD : Standing.NOTHING;
    }

    private static boolean isNearly(String wanted, String seen) {
        return Phrase.likeness(wanted, seen) > 0
                || seen.length() > wanted.length() && wanted.length() >= 4 && seen.contains(wanted)
                || seen.length() >= 4 && seen.length() >= wanted.length() - 2 && wanted.contains(seen);
    }

    boolean isDrawnKnown() {
        return page.layout != null;
    }

    boolean hasRule(Box rule) {
        return Template.covered(map.of(rule), page.layout.rules()) >= 0.6;
    }

    boolean hasBox(Box box) {
        return Template.isAmong(map.of(box), page.layout.boxes());
    }

    /** Shares of the form's print, by how telling each word is. */
    record Shares(double there, double other, double nothing, int found, List<Template.Print> telling) {}

    Shares shares(TextVectors texts) {
        double all = 0;
        double there = 0;
        double other = 0;
        double nothing = 0;
        int found = 0;
        List<Template.Print> telling = new ArrayList<>();
        for (Template.Print p : template.words) {
            if (p.stays() < PRINTED) {
                continue;
            }
            double weight = (0.3 + texts.rarity(p.plain())) * p.stays();
            all += weight;
            Standing s = standing(p);
            there += s == Standing.THERE ? weight : s == Standing.NEARLY ? 0.8 * weight : 0;
            other += s == Standing.OTHER ? weight : 0;
            nothing += s == Standing.NOTHING ? weight : 0;
            if (s == Standing.THERE || s == Standing.NEARLY) {
                found++;
                telling.add(p);
            }
        }
        double total = Math.max(all, 1e-9);
        return new Shares(there / total, other / total, nothing / total, found, telling);
    }

    /** The share of the page's own words that the form explains, by how telling each is. */
    double explained(TextVectors texts) {
        double all = 0;
        double explained = 0;
        Similarity back = map.inverse();
        for (SeenPage.Seen s : page.words) {
            if (s.certainty() < WELL_READ || s.plain().length() < 3) {
                continue;
            }
            double weight = 0.3 + texts.rarity(s.plain());
            all += weight;
            if (fit.agreeing() > 0 && template.reference.around(
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
            double weight = r.stays() * Math.max(r.box().width(), r.box().height());
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
        if (page.layout == null || template.reference.layout == null || page.layout.rules().isEmpty()) {
            return -1;
        }
        Similarity back = map.inverse();
        double all = 0;
        double known = 0;
        for (Box r : page.layout.rules()) {
            double length = Math.max(r.width(), r.height());
            all += length;
            known += Template.covered(back.of(r), template.reference.layout.rules()) >= 0.6 ? length : 0;
        }
        return known / Math.max(all, 1e-9);
    }
}
