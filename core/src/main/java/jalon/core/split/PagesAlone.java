package jalon.core.split;

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

    /** @param pages those in the flow; the first of them has no place */
    static List<Place> places(List<PageFacts> pages, PageKnowledge knowledge) {
        return pairs(pages, knowledge).stream()
                .map(p -> {
                    double certainty = 1 / (1 + Math.exp(-PagesAloneWeights.logOdds(p.x)));
                    return new Place(p.here.page, certainty, evidence(p, certainty));
                })
                .toList();
    }

    static List<PagePair> pairs(List<PageFacts> pages, PageKnowledge knowledge) {
        List<PageTraits> traits = pages.stream().map(PageTraits::new).toList();
        Map<String, Integer> pagesWith = new HashMap<>();
        traits.forEach(t -> t.numbers.forEach(n -> pagesWith.merge(n, 1, Integer::sum)));
        List<PagePair> pairs = new ArrayList<>();
        for (int i = 1; i < traits.size(); i++) {
            pairs.add(new PagePair(
                    traits.get(i - 1), traits.get(i), knowledge.likeness(pages.get(i)), pagesWith, pages.size()));
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
            case LIKE_FIRST -> Reason.Code.LIKE_FIRST_PAGES.with();
            case LIKE_INNER -> Reason.Code.LIKE_LATER_PAGES.with();
            default -> null;
        };
    }

    private static String named(List<Word> words) {
        return Line.textOf(words.subList(0, Math.min(NAMED, words.size())));
    }
}
