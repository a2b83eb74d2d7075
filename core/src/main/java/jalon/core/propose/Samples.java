package jalon.core.propose;

import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.run.KnownPages;
import jalon.core.sort.Learned;
import jalon.core.split.Cut;
import jalon.core.split.Cutter;
import jalon.core.split.Stake;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Sample pages as they came, and what cutting them by some rules would make of them. */
final class Samples {
    /** Papers are fed so far off each other. */
    static final double FED_APART_MM = 12;

    /** What the pages alone say is never taken for more certain than this. */
    private static final double MOST = 0.95;

    private final StreamDefinition base;
    private final List<PageFacts> pages;
    private final List<PageFacts> printed;
    private final Map<String, Register> registers;
    private final LocalDate today;
    private final Map<Integer, Double> begins;

    /** @param base the stream as it is so far: its rules for blank pages and backs hold */
    Samples(StreamDefinition base, List<PageFacts> pages, Map<String, Register> registers, LocalDate today) {
        this.base = base;
        this.pages = pages;
        this.registers = registers;
        this.today = today;
        this.printed = pages.stream().filter(p -> !Cutter.isBlank(base, p)).toList();
        this.begins = begins();
    }

    /** All of them, as received. */
    List<PageFacts> pages() {
        return pages;
    }

    /** Those that are not blank. */
    List<PageFacts> printed() {
        return printed;
    }

    Map<String, Register> registers() {
        return registers;
    }

    LocalDate today() {
        return today;
    }

    /** What a type's finders read on a paper that is known by itself alone. */
    static Map<String, FieldValue> read(DocumentType type, List<PageFacts> paper, LocalDate today) {
        return Indexer.index(type, new Document(paper, Optional.empty()), ZoneReader.NONE, Map.of(), today, Map.of());
    }

    private Map<Integer, Double> begins() {
        Map<Integer, Double> certainties = new HashMap<>();
        Cut alone = cut(List.of(new StakeRule.PagesAlone()));
        alone.stakes().forEach(s -> certainties.put(s.page(), s.certainty()));
        alone.maybe().forEach(s -> certainties.put(s.page(), s.certainty()));
        return certainties;
    }

    Cut cut(List<StakeRule> rules) {
        var cutting = new StreamDefinition.CutRules(
                rules, null, base.cut().duplex(), base.cut().beginOnBacks(), null);
        var stream = new StreamDefinition(
                base.stream(), base.title(), base.language(), null, base.pages(), cutting, null, null, null);
        return Cutter.cut(stream, pages, new KnownPages(Learned.NOTHING, registers, today));
    }

    /** The documents that a cut makes, each of its pages in order; blank pages belong to none. */
    List<List<PageFacts>> documents(Cut cut) {
        Set<Integer> firsts = firsts(cut);
        List<List<PageFacts>> documents = new ArrayList<>();
        for (PageFacts page : printed) {
            if (cut.outOfFlow().containsKey(page.no())) {
                continue;
            }
            if (firsts.contains(page.no()) || documents.isEmpty()) {
                documents.add(new ArrayList<>());
            }
            documents.get(documents.size() - 1).add(page);
        }
        return documents;
    }

    /**
     * How well a cut agrees with what each page looks like beside the one before it: the mean of the logarithm of how likely each
     * of its places is, 0 at best.
     */
    double agreement(Cut cut) {
        Set<Integer> out = cut.outOfFlow().keySet();
        return agreement(firsts(cut), out);
    }

    /** @param firsts pages that documents begin with, @param out pages that are in none */
    double agreement(Set<Integer> firsts, Set<Integer> out) {
        List<Integer> inFlow = printed.stream()
                .map(PageFacts::no)
                .filter(no -> !out.contains(no))
                .skip(1)
                .toList();
        return inFlow.stream()
                .mapToDouble(no -> {
                    double p = Math.max(1 - MOST, Math.min(MOST, begins.getOrDefault(no, 1 - MOST)));
                    return Math.log(firsts.contains(no) ? p : 1 - p);
                })
                .average()
                .orElse(0);
    }

    /** Pages that documents begin with: of a sheet that is dropped the one behind it. */
    private Set<Integer> firsts(Cut cut) {
        Set<Integer> staked = cut.stakes().stream().map(Stake::page).collect(Collectors.toSet());
        Set<Integer> firsts = new HashSet<>();
        boolean begins = false;
        for (PageFacts page : pages) {
            begins |= staked.contains(page.no());
            if (begins && !cut.outOfFlow().containsKey(page.no())) {
                firsts.add(page.no());
                begins = false;
            }
        }
        return firsts;
    }
}
