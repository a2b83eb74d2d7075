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
    private final StreamDefinition stream;
    private final List<PageFacts> pages;
    private final BatchPages sheets;
    private final List<StakeSign> signs;
    private final boolean partsByBlanks;
    private final List<Stake> stakes = new ArrayList<>();
    private final List<Stake> maybe = new ArrayList<>();
    private final Map<Integer, Cut.Role> outOfFlow = new HashMap<>();
    private final List<Integer> placeholders = new ArrayList<>();
    private final Map<Integer, Cut.Opening> openings = new HashMap<>();
    private final Map<Integer, Evidence> flags = new HashMap<>();
    private final Map<Integer, List<Evidence>> onBacks = new HashMap<>();

    private Cutter(StreamDefinition stream, List<PageFacts> pages, PageKnowledge knowledge) {
        this.stream = stream;
        this.pages = pages;
        this.sheets = new BatchPages(stream, pages);
        List<PageFacts> printed = pages.stream()
                .filter(p -> !sheets.isBlank(p)
                        && !isPlaceholder(p)
                        && BatchHeader.on(p).isEmpty())
                .toList();
        var batch = new StakeSign.Batch(
                sheets, printed, knowledge, stream.cut().rules().size() == 1);
        this.signs = stream.cut().rules().stream()
                .map(rule -> StakeSign.of(rule, batch))
                .toList();
        this.partsByBlanks = stream.cut().rules().stream().anyMatch(StakeRule.ByBlank.class::isInstance);
    }

    /** Of a stream without samples and without a rule that asks a finder. */
    public static Cut cut(StreamDefinition stream, List<PageFacts> pages) {
        return cut(stream, pages, PageKnowledge.NONE);
    }

    public static Cut cut(StreamDefinition stream, List<PageFacts> pages, PageKnowledge knowledge) {
        return new Cutter(stream, pages, knowledge).cut();
    }

    private Cut cut() {
        Evidence flag = null;
        boolean staked = false;
        int sinceStake = 0;
        PageFacts inFlow = null;
        for (int i = 0; i < pages.size(); i++) {
            PageFacts page = pages.get(i);
            Optional<Cut.Role> out = outOfFlow(page);
            if (out.isPresent()) {
                outOfFlow.put(page.no(), out.get());
                // The back of a sheet is a page of it, though nothing is on it.
                sinceStake += staked && out.get() == Cut.Role.BLANK ? 1 : 0;
                continue;
            }
            var at = new StakeSign.Place(page, i == 0 ? null : pages.get(i - 1), inFlow, sinceStake);
            Optional<Sighted> seen = look(at);
            flag = seen.map(Sighted::flag).orElse(flag);
            boolean dropped = seen.isPresent() && seen.get().sheet() == StakeRule.Sheet.DROPPED;
            if (dropped) {
                outOfFlow.put(page.no(), Cut.Role.SEPARATOR);
            }
            if (seen.isPresent() && seen.get().begins()) {
                stakes.add(stake(at, seen.get().evidence()));
                if (seen.get().opens() != StakeRule.Opens.DOCUMENT) {
                    openings.put(
                            page.no(),
                            new Cut.Opening(
                                    seen.get().opens(), seen.get().evidence().get(0)));
                }
                staked = true;
                sinceStake = seen.get().begun();
            } else if (!staked && !dropped) {
                stakes.add(first(page, signs.isEmpty()));
                staked = true;
            } else {
                maybe(at);
            }
            if (flag != null && !dropped) {
                flags.put(page.no(), flag);
                flag = null;
            }
            sinceStake += dropped ? 0 : 1;
            inFlow = page;
        }
        if (!signs.isEmpty() && stream.cut().rules().stream().noneMatch(StakeRule::placesAll)) {
            overlooked();
        }
        return new Cut(List.copyOf(stakes), List.copyOf(maybe), outOfFlow, placeholders, openings, flags);
    }

    /** What takes a page out of the flow before any rule is asked. */
    private Optional<Cut.Role> outOfFlow(PageFacts page) {
        if (sheets.isBlank(page)) {
            PageFacts front = sheets.frontOf(page);
            boolean ofSeparator = front != null && outOfFlow.get(front.no()) == Cut.Role.SEPARATOR;
            boolean parts = partsByBlanks && sheets.endsBlankSheet(page);
            if (ofSeparator || parts) {
                if (parts && front != null) {
                    outOfFlow.put(front.no(), Cut.Role.SEPARATOR);
                }
                return Optional.of(Cut.Role.SEPARATOR);
            }
            return stream.pages().blank() == PageRules.Blank.SET_ASIDE ? Optional.of(Cut.Role.BLANK) : Optional.empty();
        }
        boolean stands = isPlaceholder(page);
        if (stands) {
            placeholders.add(page.no());
        }
        return stands || BatchHeader.on(page).isPresent() ? Optional.of(Cut.Role.SEPARATOR) : Optional.empty();
    }

    private void maybe(StakeSign.Place at) {
        List<Evidence> all = new ArrayList<>(onBacks.getOrDefault(at.page().no(), List.of()));
        signs.forEach(sign -> sign.maybe(at).ifPresent(all::add));
        if (!all.isEmpty()) {
            double certainty = all.stream().mapToDouble(Evidence::score).max().orElse(0);
            maybe.add(new Stake(at.page().no(), certainty, all));
        }
    }

    /** Adds a doubtful stake before each page that looks like a first page and has none. */
    private void overlooked() {
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
            } else if (!stream.cut().asksStake(waiting.certainty())) {
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
    private Stake stake(StakeSign.Place at, List<Evidence> evidence) {
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
    public static boolean isBlank(StreamDefinition stream, PageFacts page) {
        return page.image().inkShare() < stream.pages().blankInkShare()
                && page.marks().isEmpty()
                && page.words().stream()
                        .noneMatch(w -> w.certainty() > 0.4 && w.text().chars().anyMatch(Character::isLetterOrDigit));
    }

    private boolean isPlaceholder(PageFacts page) {
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
    private record Sighted(
            StakeRule.Opens opens, StakeRule.Sheet sheet, int begun, List<Evidence> evidence, Evidence flag) {
        boolean begins() {
            return opens != null;
        }
    }

    /** The first rule by which a document begins decides, else the first that flags; others are kept as further evidence. */
    private Optional<Sighted> look(StakeSign.Place at) {
        StakeSign.Sign decided = null;
        List<Evidence> evidence = new ArrayList<>();
        Evidence flag = null;
        boolean onBack = sheets.isBack(at.page()) && !stream.cut().beginOnBacks();
        for (StakeSign sign : signs) {
            Optional<StakeSign.Sign> seen = sign.on(at);
            if (seen.isEmpty()) {
                continue;
            }
            if (onBack && seen.get().begins() && seen.get().sheet() == StakeRule.Sheet.KEPT) {
                onBack(at.page().no(), seen.get().evidence());
                continue;
            }
            flag = flag == null && seen.get().flags() ? seen.get().evidence() : flag;
            // What opens more than a document decides before what opens one: the sheet before a file is its first sign.
            boolean outranks = decided == null || level(seen.get()) > level(decided);
            decided = outranks ? seen.get() : decided;
            evidence.add(outranks ? 0 : evidence.size(), seen.get().evidence());
            evidence.addAll(seen.get().more());
        }
        return decided == null
                ? Optional.empty()
                : Optional.of(new Sighted(decided.opens(), decided.sheet(), decided.begun(), evidence, flag));
    }

    private static int level(StakeSign.Sign sign) {
        return sign.begins() ? sign.opens().ordinal() + 1 : 0;
    }

    /** A sign on a back sets no stake, but somebody may want to know. */
    private void onBack(int page, Evidence sign) {
        Reason why = Reason.Code.ON_BACK.with();
        double score = Math.min(sign.score(), Certainty.ON_BACK);
        var its = new Evidence(sign.rule(), sign.page(), sign.box(), sign.why(), score);
        onBacks.put(page, List.of(its, new Evidence(sign.rule(), page, null, why, score)));
    }
}
