package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.mark.Mark;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import jalon.core.stream.Shape;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Sets the stakes of a batch by the stream's rules, in their order of trust. */
public final class Cutter {
    private Cutter() {}

    public static Cut cut(StreamDefinition stream, List<PageFacts> pages) {
        List<StakeSign> signs = stream.cut().rules().stream().map(StakeSign::of).toList();
        List<Stake> stakes = new ArrayList<>();
        Map<Integer, Cut.Role> outOfFlow = new HashMap<>();
        List<Integer> placeholders = new ArrayList<>();
        Map<Integer, Evidence> flags = new HashMap<>();
        Evidence flag = null;
        boolean staked = false;
        int sinceStake = 0;
        PageFacts inFlow = null;
        for (int i = 0; i < pages.size(); i++) {
            PageFacts page = pages.get(i);
            if (isBlank(stream, page)) {
                outOfFlow.put(page.no(), Cut.Role.BLANK);
                // The back of a sheet is a page of it, though nothing is on it.
                sinceStake += staked ? 1 : 0;
                continue;
            }
            if (isPlaceholder(stream, page) || BatchHeader.on(page).isPresent()) {
                outOfFlow.put(page.no(), Cut.Role.SEPARATOR);
                if (isPlaceholder(stream, page)) {
                    placeholders.add(page.no());
                }
                continue;
            }
            var at = new StakeSign.Place(page, i == 0 ? null : pages.get(i - 1), inFlow, sinceStake);
            Optional<Sighted> seen = look(signs, at);
            flag = seen.map(Sighted::flag).orElse(flag);
            boolean dropped = seen.isPresent() && seen.get().sheet() == StakeRule.Sheet.DROPPED;
            if (dropped) {
                outOfFlow.put(page.no(), Cut.Role.SEPARATOR);
            }
            if (seen.isPresent() && seen.get().begins()) {
                stakes.add(stake(signs, at, seen.get().evidence()));
                staked = true;
                sinceStake = seen.get().begun();
            } else if (!staked && !dropped) {
                stakes.add(first(page, signs.isEmpty()));
                staked = true;
            }
            if (flag != null && !dropped) {
                flags.put(page.no(), flag);
                flag = null;
            }
            sinceStake += dropped ? 0 : 1;
            inFlow = page;
        }
        if (!signs.isEmpty() && stream.cut().rules().stream().noneMatch(StakeRule::counts)) {
            overlooked(stream, pages, stakes, outOfFlow);
        }
        return new Cut(stakes, outOfFlow, placeholders, flags);
    }

    /** Adds a doubtful stake before each page that looks like a first page and has none. */
    private static void overlooked(
            StreamDefinition stream, List<PageFacts> pages, List<Stake> stakes, Map<Integer, Cut.Role> outOfFlow) {
        Map<Integer, Stake> known = new HashMap<>();
        stakes.forEach(s -> known.put(s.page(), s));
        List<PageFacts> firsts = new ArrayList<>();
        List<PageFacts> others = new ArrayList<>();
        Stake waiting = null;
        for (PageFacts page : pages) {
            waiting = known.getOrDefault(page.no(), waiting);
            if (outOfFlow.containsKey(page.no())) {
                continue;
            }
            if (waiting == null) {
                others.add(page);
            } else if (waiting.certainty() >= stream.cut().checkBelow()) {
                firsts.add(page);
            }
            waiting = null;
        }
        Map<Integer, Evidence> found = Overlooked.find(stream, firsts, others);
        found.forEach((page, evidence) -> stakes.add(new Stake(page, evidence.score(), List.of(evidence))));
        Map<Integer, Integer> order = new HashMap<>();
        pages.forEach(p -> order.put(p.no(), order.size()));
        stakes.sort(Comparator.comparingInt(s -> order.get(s.page())));
    }

    /** The rule that decided says how certain it is; what speaks against it makes it a doubt. */
    private static Stake stake(List<StakeSign> signs, StakeSign.Place at, List<Evidence> evidence) {
        List<Evidence> all = new ArrayList<>(evidence);
        signs.forEach(sign -> sign.against(at).ifPresent(all::add));
        double certainty = all.subList(evidence.size(), all.size()).stream()
                .mapToDouble(Evidence::score)
                .reduce(evidence.get(0).score(), Math::min);
        return new Stake(at.page().no(), certainty, all);
    }

    private static Stake first(PageFacts page, boolean wholeBatch) {
        Reason why = (wholeBatch ? Reason.Code.WHOLE_BATCH : Reason.Code.FIRST_WITHOUT_SIGN).with();
        double score = wholeBatch ? 1 : Certainty.NO_SIGN;
        return new Stake(page.no(), score, List.of(new Evidence(Evidence.Rule.FIRST, page.no(), null, why, score)));
    }

    /** A page with hardly any ink and no readable word. A page number or a faint line of print makes it a page. */
    static boolean isBlank(StreamDefinition stream, PageFacts page) {
        return stream.pages().blank() == PageRules.Blank.SET_ASIDE
                && page.image().inkShare() < stream.pages().blankInkShare()
                && page.marks().isEmpty()
                && page.words().stream()
                        .noneMatch(w -> w.certainty() > 0.4 && w.text().chars().anyMatch(Character::isLetterOrDigit));
    }

    private static boolean isPlaceholder(StreamDefinition stream, PageFacts page) {
        String like = stream.pages().placeholder();
        return like != null
                && page.marks().stream()
                        .anyMatch(m ->
                                m.kind() == Mark.Kind.BARCODE && Shape.of(like).fits(m.value()));
    }

    /**
     * @param begun pages of the document that were passed already, blank as they were
     * @param flag what flags the page, or null
     */
    private record Sighted(boolean begins, StakeRule.Sheet sheet, int begun, List<Evidence> evidence, Evidence flag) {}

    /** The first rule by which a document begins decides, else the first that flags; others are kept as further evidence. */
    private static Optional<Sighted> look(List<StakeSign> signs, StakeSign.Place at) {
        StakeSign.Sign decided = null;
        List<Evidence> evidence = new ArrayList<>();
        Evidence flag = null;
        for (StakeSign sign : signs) {
            Optional<StakeSign.Sign> seen = sign.on(at);
            if (seen.isPresent()) {
                flag = flag == null && !seen.get().begins() ? seen.get().evidence() : flag;
                boolean outranks = decided == null || seen.get().begins() && !decided.begins();
                decided = outranks ? seen.get() : decided;
                evidence.add(outranks ? 0 : evidence.size(), seen.get().evidence());
            }
        }
        return decided == null
                ? Optional.empty()
                : Optional.of(new Sighted(decided.begins(), decided.sheet(), decided.begun(), evidence, flag));
    }
}
