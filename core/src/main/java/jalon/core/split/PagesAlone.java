package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where documents begin when nothing but the pages says so: each page beside the one before it, by a logistic model of what
 * first pages, last pages and pages of one document have.
 */
final class PagesAlone {
    /** So many reasons are told for a place. */
    private static final int TOLD = 3;

    private static final int NAMED = 3;

    private PagesAlone() {}

    /**
     * @param certainty that a document begins here
     * @param evidence what spoke most, for it or against
     */
    record Place(PageFacts page, double certainty, List<Evidence> evidence) {}

    /** @param pages those in the flow */
    static List<Place> places(List<PageFacts> pages, PageKnowledge knowledge) {
        List<Place> places = new ArrayList<>();
        if (!pages.isEmpty()) {
            places.add(first(pages.get(0), knowledge.likeness(pages.get(0))));
        }
        for (PagePair p : pairs(pages, knowledge)) {
            double certainty = odds(PagesAloneWeights.logOdds(p.x));
            PageKnowledge.Likeness likeness = p.known.here();
            List<Evidence> evidence = evidence(p, certainty);
            if (likeness.inner() >= SURELY_INNER && likeness.follows(p.known.before()) < HARDLY) {
                certainty = Math.max(HARDLY, Math.min(1 - HARDLY, certainty));
                evidence = strayed(p.here.page, likeness, certainty, evidence);
            }
            places.add(new Place(p.here.page, certainty, evidence));
        }
        return places;
    }

    /** A later page of a known type behind a page of another one: it is asked about, whatever else is seen. */
    private static final double SURELY_INNER = 0.8;

    private static final double HARDLY = 0.3;

    private static List<Evidence> strayed(
            PageFacts page, PageKnowledge.Likeness likeness, double certainty, List<Evidence> seen) {
        String type = likeness.innerOf().entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("");
        List<Evidence> all = new ArrayList<>();
        all.add(new Evidence(Evidence.Rule.PAGES_ALONE, page.no(), null, Reason.Code.STRAYED.with(type), certainty));
        seen.forEach(e -> all.add(new Evidence(e.rule(), e.page(), e.box(), e.why(), certainty)));
        return all;
    }

    /** A batch begins with a document unless its first page looks like a later one: the rest may lie in another tray. */
    private static Place first(PageFacts page, PageKnowledge.Likeness likeness) {
        var here = new PageTraits(page);
        int number = here.number.map(n -> n.page()).orElse(0);
        boolean goesOn = number > 1 || number == 0 && (here.beginsSmall || here.goesOnAtHead);
        boolean asLater = likeness.inner() > Math.max(likeness.first(), HARDLY);
        boolean asFirst = number == 1 || here.greeting != null || likeness.first() > likeness.inner();
        double certainty = asLater || goesOn && !asFirst ? Certainty.NO_SIGN : Certainty.BATCH_BEGINS;
        Reason why =
                (certainty == Certainty.NO_SIGN ? Reason.Code.FIRST_WITHOUT_SIGN : Reason.Code.BATCH_BEGINS).with();
        return new Place(page, certainty, List.of(new Evidence(Evidence.Rule.FIRST, page.no(), null, why, certainty)));
    }

    private static double odds(double log) {
        return 1 / (1 + Math.exp(-log));
    }

    static List<PagePair> pairs(List<PageFacts> pages, PageKnowledge knowledge) {
        List<PageTraits> traits = pages.stream().map(PageTraits::new).toList();
        Map<String, Integer> pagesWith = new HashMap<>();
        traits.forEach(t -> t.numbers.forEach(n -> pagesWith.merge(n, 1, Integer::sum)));
        boolean filesTell = pages.stream().anyMatch(p -> p.filePage() > 1);
        var batch = new PagePair.Batch(pagesWith, pages.size(), filesTell);
        List<PagePair> pairs = new ArrayList<>();
        // What samples say of a page takes longest, and each page stands alone.
        List<PageKnowledge.Likeness> likeness =
                pages.parallelStream().map(knowledge::likeness).toList();
        for (int i = 1; i < traits.size(); i++) {
            PageKnowledge.Likeness beforeThat = i > 1 ? likeness.get(i - 2) : PageKnowledge.Likeness.UNKNOWN;
            var known = new PagePair.Known(beforeThat, likeness.get(i - 1), likeness.get(i));
            pairs.add(new PagePair(traits.get(i - 1), traits.get(i), known, batch));
        }
        return pairs;
    }

    private record Said(double weight, Reason why) {}

    private static List<Evidence> evidence(PagePair p, double certainty) {
        List<Said> said = new ArrayList<>();
        for (PagePair.Trait t : PagePair.Trait.values()) {
            Reason why = p.get(t) == 0 ? null : reason(t, p);
            if (why != null) {
                said.add(new Said(PagesAloneWeights.of(t) * p.get(t), why));
            }
        }
        boolean begins = certainty >= 0.5;
        said.sort(Comparator.comparingDouble((Said s) -> begins ? -s.weight : s.weight));
        List<Evidence> told = new ArrayList<>();
        for (Said s : said) {
            boolean speaks = begins ? s.weight > 0 : s.weight < 0;
            if (speaks && told.size() < TOLD) {
                told.add(new Evidence(Evidence.Rule.PAGES_ALONE, p.here.page.no(), null, s.why, certainty));
            }
        }
        if (told.isEmpty()) {
            Reason why = begins ? Reason.Code.OTHER_TEXT.with() : Reason.Code.TEXT_GOES_ON.with();
            told.add(new Evidence(Evidence.Rule.PAGES_ALONE, p.here.page.no(), null, why, certainty));
        }
        return told;
    }

    /** In words for people; null for what is only a piece of the sum. */
    private static Reason reason(PagePair.Trait trait, PagePair p) {
        return switch (trait) {
            case FIRST_OF ->
                Reason.Code.NUMBERED_FIRST_OF.with(p.here.number.orElseThrow().of());
            case FIRST -> Reason.Code.NUMBERED_FIRST.with();
            case GOES_ON, LATER_NUMBER ->
                Reason.Code.NUMBER_GOES_ON.with(p.here.number.map(n -> n.page()).orElse(0));
            case JUMPS ->
                Reason.Code.NUMBER_JUMPS.with(
                        p.before.number.map(n -> n.page()).orElse(0),
                        p.here.number.map(n -> n.page()).orElse(0));
            case AFTER_LAST ->
                Reason.Code.AFTER_LAST_PAGE.with(
                        p.before.number.map(n -> n.of()).orElse(0));
            case GREETS -> Reason.Code.LETTER_BEGINS.with(p.here.greeting == null ? "" : p.here.greeting);
            case CLOSED_BEFORE -> Reason.Code.LETTER_ENDED.with(p.before.closing == null ? "" : p.before.closing);
            case LARGE_PRINT -> Reason.Code.NEW_HEAD.with(p.here.largestText);
            case NOT_FULL_BEFORE -> Reason.Code.PAGE_BEFORE_NOT_FULL.with();
            case OTHER_PAPER, OTHER_SCAN, OTHER_SIZE_OF_PRINT -> Reason.Code.OTHER_PAPER.with();
            case SAME_HEAD ->
                Reason.Code.SAME_HEAD.with(
                        named(p.here.shared(p.before, 0, PageTraits.HEAD).words()));
            case SAME_NUMBERS ->
                Reason.Code.SAME_NUMBER.with(p.here.numbers.stream()
                        .filter(p.before.numbers::contains)
                        .findFirst()
                        .orElse(""));
            case LIKE_TEXT, SENTENCE_BROKEN, BEGINS_SMALL, LISTS_ON -> Reason.Code.TEXT_GOES_ON.with();
            case LIKE_FIRST, SAME_FORM -> Reason.Code.LIKE_FIRST_PAGES.with();
            case LIKE_INNER, FOLLOWS_ITS_TYPE -> Reason.Code.LIKE_LATER_PAGES.with();
            default -> null;
        };
    }

    private static String named(List<Word> words) {
        return Line.textOf(words.subList(0, Math.min(NAMED, words.size())));
    }
}
