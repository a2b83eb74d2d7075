package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import jalon.core.read.PageNumbering;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The numbers that pages give themselves. A first page begins a document, also one that says nothing where the next ones
 * count from it. So does, in doubt, a page whose number does not go on from the one before, and one without a number behind
 * a last page. A number that goes on speaks against a stake.
 */
final class NumberingSign implements StakeSign {
    private final Map<Integer, Told> pages = new HashMap<>();

    /**
     * @param own what the page says itself, or null
     * @param before what the last page before it that says anything says, or null; {@code ago} pages back
     * @param next what the next page behind it that says anything says, or null; {@code ahead} pages on
     */
    private record Told(PageNumbering own, PageNumbering before, int ago, PageNumbering next, int ahead) {
        /** Whether what comes next counts from this page. */
        boolean isMeantAsFirst() {
            return own == null && next != null && next.page() - ahead == 1;
        }

        /** Whether the pages around it count past this one, as they do past the back of a sheet, or count it. */
        boolean liesBetween() {
            return before != null
                    && next != null
                    && (next.follows(before) || next.page() == before.page() + ago + ahead);
        }

        boolean goesOn() {
            return own != null && before != null && own.page() > 1 && own.follows(before);
        }
    }

    /** @param inFlow in reading order */
    NumberingSign(List<PageFacts> inFlow) {
        PageNumbering[] own =
                inFlow.stream().map(p -> PageNumbering.on(p).orElse(null)).toArray(PageNumbering[]::new);
        for (int i = 0; i < own.length; i++) {
            int before = i - 1;
            while (before >= 0 && own[before] == null) {
                before--;
            }
            int next = i + 1;
            while (next < own.length && own[next] == null) {
                next++;
            }
            var told = new Told(
                    own[i],
                    before < 0 ? null : own[before],
                    i - before,
                    next == own.length ? null : own[next],
                    next - i);
            pages.put(inFlow.get(i).no(), told);
        }
    }

    @Override
    public Optional<Sign> on(Place place) {
        Told told = pages.get(place.page().no());
        if (told == null) {
            return Optional.empty();
        }
        if (told.own == null) {
            return silent(place, told);
        }
        if (told.own.page() == 1) {
            int of = told.own.of();
            double certainty = of > 0 ? Certainty.NUMBERED_FIRST_OF : Certainty.NUMBERED_FIRST;
            Reason why = of > 0 ? Reason.Code.NUMBERED_FIRST_OF.with(of) : Reason.Code.NUMBERED_FIRST.with();
            return Optional.of(sign(place, told.own, why, Math.min(certainty, told.own.certainty())));
        }
        boolean jumps = told.before != null && told.ago == 1 && !told.own.follows(told.before);
        return jumps
                ? Optional.of(sign(
                        place,
                        told.own,
                        Reason.Code.NUMBER_JUMPS.with(told.before.page(), told.own.page()),
                        Certainty.NUMBER_JUMPS))
                : Optional.empty();
    }

    private static Optional<Sign> silent(Place place, Told told) {
        if (told.isMeantAsFirst() && !told.liesBetween()) {
            Reason why = Reason.Code.NUMBERED_FROM_HERE.with(told.next.page());
            return Optional.of(sign(place, null, why, Certainty.NUMBERED_FROM_HERE));
        }
        return told.before != null && told.ago == 1 && told.before.isLast()
                ? Optional.of(sign(
                        place, null, Reason.Code.AFTER_LAST_PAGE.with(told.before.of()), Certainty.AFTER_LAST_PAGE))
                : Optional.empty();
    }

    /** A page that says nothing behind one that does not say whether it is the last, and is not counted past. */
    @Override
    public Optional<Evidence> maybe(Place place) {
        Told told = pages.get(place.page().no());
        boolean asks = told != null
                && told.own == null
                && told.before != null
                && told.ago == 1
                && (told.isMeantAsFirst() || !told.liesBetween());
        return asks
                ? Optional.of(
                        evidence(place, null, Reason.Code.NUMBERS_END.with(told.before.page()), Certainty.NUMBERS_END))
                : Optional.empty();
    }

    @Override
    public Optional<Evidence> against(Place place) {
        return Optional.ofNullable(pages.get(place.page().no()))
                .filter(told -> told.ago == 1 && told.goesOn())
                .map(told -> evidence(
                        place, told.own, Reason.Code.NUMBER_GOES_ON.with(told.own.page()), Certainty.CONTRADICTED));
    }

    private static Sign sign(Place place, PageNumbering at, Reason why, double score) {
        return Sign.begins(evidence(place, at, why, score));
    }

    private static Evidence evidence(Place place, PageNumbering at, Reason why, double score) {
        return new Evidence(Evidence.Rule.NUMBERING, place.page().no(), at == null ? null : at.box(), why, score);
    }
}
