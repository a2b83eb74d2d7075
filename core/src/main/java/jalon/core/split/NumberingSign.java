package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import jalon.core.read.PageNumbering;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The numbers that pages give themselves, counted along the batch: see {@link PageCounting}. A first page begins a document,
 * also one that says nothing where the next ones count from it. So does, in doubt, a page whose number does not go on from the
 * one before, and one without a number behind a last page. A number that goes on speaks against a stake.
 */
final class NumberingSign implements StakeSign {
    /** Less likely than this nobody has to know of it. */
    private static final double HARDLY = 0.02;

    private final Map<Integer, Told> pages = new HashMap<>();
    private final boolean alone;

    /**
     * @param own what the page says itself, or null
     * @param before what the page before it says, or null
     * @param next what the next page that says anything says, where this one says nothing and is its page 1; else null
     * @param upTo the last number before it, or 0
     * @param begins how likely a document begins here by all numbers
     */
    private record Told(PageNumbering own, PageNumbering before, PageNumbering next, int upTo, double begins) {
        /** Whether there is a number here from which to say anything. */
        boolean speaks() {
            return own == null ? before != null || next != null : own.page() == 1 || upTo > 0;
        }

        boolean goesOn() {
            return own != null && before != null && own.page() > 1 && own.follows(before);
        }

        /** Why a document may begin here. */
        Reason why() {
            if (own != null && own.page() == 1) {
                return own.of() > 0 ? Reason.Code.NUMBERED_FIRST_OF.with(own.of()) : Reason.Code.NUMBERED_FIRST.with();
            }
            if (own != null) {
                return Reason.Code.NUMBER_JUMPS.with(upTo, own.page());
            }
            if (before != null && before.isLast()) {
                return Reason.Code.AFTER_LAST_PAGE.with(before.of());
            }
            if (next != null) {
                return Reason.Code.NUMBERED_FROM_HERE.with(next.page());
            }
            return upTo > 0 ? Reason.Code.NUMBERS_END.with(upTo) : Reason.Code.NO_PAGE_NUMBER.with();
        }

        /** No more certain than that reason can make it, nor than what was read. */
        double certainty() {
            double most = switch (why().code()) {
                case NUMBERED_FIRST_OF -> Math.min(Certainty.NUMBERED_FIRST_OF, own.certainty());
                case NUMBERED_FIRST -> Math.min(Certainty.NUMBERED_FIRST, own.certainty());
                // The numbers around it also go on without it: it may be the printed back of a sheet.
                case NUMBERED_FROM_HERE ->
                    before != null && next.follows(before) ? Certainty.NUMBER_JUMPS : Certainty.NUMBERED_FROM_HERE;
                case AFTER_LAST_PAGE -> next != null ? Certainty.NUMBERED_FROM_HERE : Certainty.AFTER_LAST_PAGE;
                default -> Certainty.NUMBER_JUMPS;
            };
            return Math.min(begins, most);
        }
    }

    /**
     * @param inFlow in reading order
     * @param alone whether nothing else says where documents begin: then also pages are asked about that say nothing
     */
    NumberingSign(List<PageFacts> inFlow, boolean alone) {
        this.alone = alone;
        int upTo = 0;
        PageNumbering[] own =
                inFlow.stream().map(p -> PageNumbering.on(p).orElse(null)).toArray(PageNumbering[]::new);
        double[] begins = PageCounting.beginnings(Arrays.asList(own));
        for (int i = 0; i < own.length; i++) {
            int next = i + 1;
            while (next < own.length && own[next] == null) {
                next++;
            }
            boolean counts = own[i] == null && next < own.length && own[next].page() == next - i + 1;
            pages.put(
                    inFlow.get(i).no(),
                    new Told(own[i], i == 0 ? null : own[i - 1], counts ? own[next] : null, upTo, begins[i]));
            upTo = own[i] == null ? upTo : own[i].page();
        }
    }

    private Optional<Told> at(Place place) {
        return Optional.ofNullable(pages.get(place.page().no()));
    }

    @Override
    public Optional<Sign> on(Place place) {
        return at(place)
                .filter(told -> told.speaks() && told.begins >= 0.5)
                .map(told -> Sign.begins(evidence(place, told)));
    }

    @Override
    public Optional<Evidence> maybe(Place place) {
        return at(place).filter(this::asks).map(told -> evidence(place, told));
    }

    private boolean asks(Told told) {
        boolean open = told.begins < 0.5 && told.begins > HARDLY && !told.goesOn();
        return told.speaks() ? open : alone && told.own == null;
    }

    @Override
    public Optional<Evidence> against(Place place) {
        return at(place)
                .filter(Told::goesOn)
                .map(told -> evidence(
                        place, told.own, Reason.Code.NUMBER_GOES_ON.with(told.own.page()), Certainty.CONTRADICTED));
    }

    private static Evidence evidence(Place place, Told told) {
        return evidence(place, told.own, told.why(), told.certainty());
    }

    private static Evidence evidence(Place place, PageNumbering at, Reason why, double score) {
        return new Evidence(Evidence.Rule.NUMBERING, place.page().no(), at == null ? null : at.box(), why, score);
    }
}
