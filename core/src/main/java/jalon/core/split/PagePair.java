package jalon.core.split;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.split.PageKnowledge.Likeness;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** A page beside the one before it, as numbers: what speaks for a document that begins here, and what against. */
final class PagePair {
    /** What the numbers are; one weight each in {@link PagesAloneWeights}. */
    enum Trait {
        ALWAYS,
        FIRST_OF,
        FIRST,
        GOES_ON,
        JUMPS,
        LATER_NUMBER,
        AFTER_LAST,
        AFTER_MORE_TO_COME,
        NUMBER_LOST,
        GREETS,
        CLOSED_BEFORE,
        CLOSES_HERE,
        LISTS_ON,
        DATED,
        LARGE_PRINT,
        LARGE_PRINT_BEFORE,
        DARK_HEAD,
        DARK_HEAD_BEFORE,
        HEAD_GROWS,
        TOP,
        NOT_FULL_BEFORE,
        FULL_BEFORE,
        SENTENCE_BROKEN,
        BEGINS_SMALL,
        SAME_HEAD,
        SAME_FOOT,
        SAME_BODY,
        OTHER_SIZE_OF_PRINT,
        OTHER_MARGIN,
        OTHER_PAPER,
        OTHER_SCAN,
        OTHER_SKEW,
        LIKE_TEXT,
        SAME_NUMBERS,
        OTHER_NUMBERS,
        SAME_RULES,
        FEW_WORDS,
        FEW_WORDS_BEFORE,
        NEW_FILE,
        LIKE_FIRST,
        LIKE_INNER,
        FOLLOWS_ITS_TYPE,
        SAME_FORM,
        UNLIKE_ALL,
        SAME_HEAD_AND_LARGE,
        SAME_BODY_AND_LARGE
    }

    final PageTraits before;
    final PageTraits here;
    final Known known;
    final double[] x = new double[Trait.values().length];

    /**
     * What the batch as a whole says.
     *
     * @param pagesWith how many pages have a number, by the number
     * @param filesTell whether files hold several pages; where each page is a file of its own, a new file says nothing
     */
    record Batch(Map<String, Integer> pagesWith, int pages, boolean filesTell) {}

    /** What samples say of a page, of the one before it and of the one before that. */
    record Known(Likeness beforeThat, Likeness before, Likeness here) {}

    /** A page that got between two of one document takes little from it that they belong together. */
    private static final double STRAY_BETWEEN = 0.8;

    PagePair(PageTraits before, PageTraits here, Known known, Batch batch) {
        this.before = before;
        this.here = here;
        this.known = known;
        set(Trait.ALWAYS, 1);
        numbering();
        letters();
        heads();
        likeness(known.beforeThat, known.before, known.here);
        paper(batch.filesTell);
        double common = share(before.vocabulary, here.vocabulary);
        set(Trait.LIKE_TEXT, common);
        numbers(batch);
        set(Trait.SAME_RULES, rules());
        set(Trait.FEW_WORDS, here.words < 30 ? 1 : 0);
        set(Trait.FEW_WORDS_BEFORE, before.words < 30 ? 1 : 0);
    }

    double get(Trait t) {
        return x[t.ordinal()];
    }

    private void set(Trait t, double value) {
        x[t.ordinal()] = value;
    }

    private void set(Trait t, boolean yes) {
        set(t, yes ? 1 : 0);
    }

    private void numbering() {
        var a = before.number;
        var b = here.number;
        if (b.isPresent()) {
            int page = b.get().page();
            set(Trait.FIRST_OF, page == 1 && b.get().of() > 0);
            set(Trait.FIRST, page == 1 && b.get().of() == 0);
            boolean follows = a.isPresent() && b.get().follows(a.get());
            set(Trait.GOES_ON, page > 1 && follows);
            set(Trait.JUMPS, page > 1 && a.isPresent() && !follows);
            set(Trait.LATER_NUMBER, page > 1 && a.isEmpty());
        } else if (a.isPresent()) {
            set(Trait.AFTER_LAST, a.get().isLast());
            set(Trait.AFTER_MORE_TO_COME, a.get().of() > a.get().page());
            set(Trait.NUMBER_LOST, a.get().of() == 0);
        }
    }

    private void letters() {
        set(Trait.GREETS, here.greeting != null);
        set(Trait.CLOSED_BEFORE, before.closing != null);
        set(Trait.CLOSES_HERE, here.closing != null && here.greeting == null);
        set(Trait.LISTS_ON, before.goesOnAtEnd || here.goesOnAtHead);
        set(Trait.DATED, here.dateAbove);
        boolean wide = before.lineWidth > 0.5;
        set(Trait.NOT_FULL_BEFORE, Math.max(0, 0.85 - before.bottom) / 0.85);
        set(Trait.FULL_BEFORE, before.bottom > 0.82);
        set(Trait.SENTENCE_BROKEN, !before.endsSentence && before.bottom > 0.75 && wide);
        set(Trait.BEGINS_SMALL, here.beginsSmall);
    }

    private void heads() {
        set(Trait.LARGE_PRINT, Math.max(0, here.largest - 1));
        set(Trait.LARGE_PRINT_BEFORE, Math.max(0, before.largest - 1));
        set(Trait.DARK_HEAD, here.darkHead);
        set(Trait.DARK_HEAD_BEFORE, before.darkHead);
        set(Trait.HEAD_GROWS, here.darkHead - before.darkHead);
        set(Trait.TOP, Math.min(0.3, here.top));
        double head = here.shared(before, 0, PageTraits.HEAD).share();
        double body = here.shared(before, PageTraits.HEAD, PageTraits.FOOT).share();
        set(Trait.SAME_HEAD, head);
        set(Trait.SAME_FOOT, here.shared(before, PageTraits.FOOT, 1.01).share());
        set(Trait.SAME_BODY, body);
        double large = Math.max(0, here.largest - 1);
        set(Trait.SAME_HEAD_AND_LARGE, head * large);
        set(Trait.SAME_BODY_AND_LARGE, body * large);
    }

    private void likeness(Likeness beforeThat, Likeness before, Likeness l) {
        set(Trait.LIKE_FIRST, l.known() ? l.first() : 0);
        set(Trait.LIKE_INNER, l.known() ? l.inner() : 0);
        set(Trait.FOLLOWS_ITS_TYPE, Math.max(l.follows(before), STRAY_BETWEEN * l.follows(beforeThat)));
        set(Trait.SAME_FORM, l.isLike(before));
        set(Trait.UNLIKE_ALL, l.known() ? Math.max(0, 1 - l.first() - l.inner()) : 0);
    }

    private void paper(boolean filesTell) {
        var a = before.page.image();
        var b = here.page.image();
        set(Trait.OTHER_PAPER, Math.abs(a.widthMm() - b.widthMm()) > 4 || Math.abs(a.heightMm() - b.heightMm()) > 4);
        set(Trait.OTHER_SCAN, Math.abs(a.dpi() - b.dpi()) > 5);
        set(Trait.OTHER_SKEW, Math.min(2, Math.abs(a.skewDegrees() - b.skewDegrees())));
        boolean both = before.printMm > 0 && here.printMm > 0;
        set(Trait.OTHER_SIZE_OF_PRINT, both ? Math.min(1, Math.abs(Math.log(here.printMm / before.printMm)) * 3) : 0.3);
        set(Trait.OTHER_MARGIN, Math.min(1, Math.abs(before.leftMm - here.leftMm) / 15));
        boolean sameFile =
                before.page.sha256().equals(here.page.sha256()) && before.page.filePage() < here.page.filePage();
        set(Trait.NEW_FILE, filesTell && !sameFile);
    }

    private static double share(Set<String> a, Set<String> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return 0;
        }
        Set<String> both = new HashSet<>(a);
        both.retainAll(b);
        return both.size() / Math.sqrt((double) a.size() * b.size());
    }

    /** A number that few pages of the batch have, and both of these; or a number of one form, at one place, that differs. */
    private void numbers(Batch batch) {
        double same = 0;
        for (String n : here.numbers) {
            if (before.numbers.contains(n)) {
                same = Math.max(
                        same, Math.min(1, Math.log((double) batch.pages / batch.pagesWith.getOrDefault(n, 1)) / 2));
            }
        }
        set(Trait.SAME_NUMBERS, same);
        int other = 0;
        for (PageTraits.Coded w : here.coded) {
            for (PageTraits.Coded v : before.coded) {
                if (Math.abs(v.box().centreX() - w.box().centreX()) < 6
                        && Math.abs(v.box().centreY() - w.box().centreY()) < 6
                        && v.form().equals(w.form())
                        && !v.number().equals(w.number())) {
                    other++;
                }
            }
        }
        set(Trait.OTHER_NUMBERS, Math.min(1, other / 2.0));
    }

    /** The share of this page's rules that the page before has too. */
    private double rules() {
        PageLayout a = before.page.image().layout();
        PageLayout b = here.page.image().layout();
        if (a == null || b == null || a.rules().size() < 3 || b.rules().size() < 3) {
            return 0;
        }
        int same = 0;
        for (Box r : b.rules()) {
            for (Box o : a.rules()) {
                if (Math.abs(r.x() - o.x()) < 4
                        && Math.abs(r.y() - o.y()) < 4
                        && Math.abs(r.width() - o.width()) < 6
                        && Math.abs(r.height() - o.height()) < 6) {
                    same++;
                    break;
                }
            }
        }
        return (double) same / b.rules().size();
    }
}
