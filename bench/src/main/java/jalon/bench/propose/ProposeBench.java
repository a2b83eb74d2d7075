package jalon.bench.propose;

import jalon.bench.paper.FormWorld;
import jalon.bench.paper.LabelledPaper;
import jalon.bench.paper.LabelledPaper.Kind;
import jalon.bench.paper.LabelledPaper.Label;
import jalon.bench.paper.LabelledPaper.Way;
import jalon.bench.paper.ReadPaper;
import jalon.core.propose.Proposal;
import jalon.core.propose.Proposals;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.run.KnownPages;
import jalon.core.sort.Learned;
import jalon.core.split.Cut;
import jalon.core.split.Cutter;
import jalon.core.split.Stake;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whether a stream is proposed rightly from six papers of kinds that the product was not made for: how they are cut, which fields
 * they have, and of which kind those are. {@code ProposeBench OUT.md KEPT kinds seed}
 */
public final class ProposeBench {
    private static final int PAPERS = 6;
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** A stack of the same kind that the proposal was not made from, cut so well, is cut rightly. */
    private static final double CUT_RIGHT = 0.97;

    private final ReadPaper paper;
    private final List<String> missed = new ArrayList<>();

    private ProposeBench(Path kept) throws Exception {
        paper = new ReadPaper(kept);
    }

    private static final class Tally {
        private int kinds;
        private int cut;
        private int labels;
        private int found;
        private int kindRight;
        private int none;
        private int rows;
        private int ticked;
        private int falseTicks;
        private int spoken;
        private double millis;

        String row(String name) {
            return String.format(
                    Locale.ROOT,
                    "| %s | %d | %.2f | %d | %.2f | %.2f | %d | %d | %.2f | %d | %.2f | %.0f |%n",
                    name,
                    kinds,
                    cut / (double) kinds,
                    labels,
                    found / (double) labels,
                    kindRight / (double) Math.max(1, found),
                    none,
                    rows,
                    ticked / (double) Math.max(1, rows),
                    falseTicks,
                    spoken / (double) kinds,
                    millis / kinds);
        }

        void add(Tally other) {
            kinds += other.kinds;
            cut += other.cut;
            labels += other.labels;
            found += other.found;
            kindRight += other.kindRight;
            none += other.none;
            rows += other.rows;
            ticked += other.ticked;
            falseTicks += other.falseTicks;
            spoken += other.spoken;
            millis += other.millis;
        }
    }

    private record Stack(List<PageFacts> pages, List<LabelledPaper.Page> made) {
        Set<Integer> firsts() {
            return IntStream.range(0, made.size())
                    .filter(i -> made.get(i).first())
                    .mapToObj(i -> i + 1)
                    .collect(Collectors.toSet());
        }
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        int kinds = Integer.parseInt(args[2]);
        long seed = Long.parseLong(args[3]);
        var bench = new ProposeBench(Path.of(args[1]));
        Map<Way, Tally> tallies = new EnumMap<>(Way.class);
        for (int i = 0; i < kinds; i++) {
            Way way = Way.values()[i % Way.values().length];
            tallies.computeIfAbsent(way, w -> new Tally())
                    .add(bench.kind(way, FormWorld.chance(seed * 86_028_121L + i)));
        }
        var all = new Tally();
        StringBuilder table = new StringBuilder(
                "| papers told apart by | kinds | cut right | labels | found | kind right | of no value | rows of boxes | found | where none are | language right | ms |\n|---|---|---|---|---|---|---|---|---|---|---|---|\n");
        tallies.forEach((way, tally) -> {
            table.append(tally.row(way.name().toLowerCase(Locale.ROOT).replace('_', ' ')));
            all.add(tally);
        });
        table.append(all.row("**all**"));
        Files.writeString(Path.of(args[0]), table);
        Files.write(Path.of(args[0].replaceFirst("\\.md$", "") + ".tsv"), bench.missed);
    }

    private Stack read(List<LabelledPaper.Page> made, Random r) {
        List<Long> seeds = made.stream().map(p -> r.nextLong()).toList();
        List<PageFacts> pages = IntStream.range(0, made.size())
                .parallel()
                .mapToObj(i -> paper.read(made.get(i).print(), i + 1, new Random(seeds.get(i))))
                .toList();
        return new Stack(pages, made);
    }

    private Tally kind(Way way, Random r) {
        var kind = new LabelledPaper(way, r);
        Stack samples = read(kind.stack(PAPERS, r), r);
        Stack fresh = read(kind.stack(PAPERS, r), r);
        long began = System.nanoTime();
        List<Proposal> proposals = Proposals.of(StreamDefinition.NOTHING, samples.pages(), Map.of(), TODAY, m -> true);
        var tally = new Tally();
        tally.millis = (System.nanoTime() - began) / 1e6;
        tally.kinds = 1;
        tally.cut = cutsRightly(proposals, fresh) >= CUT_RIGHT ? 1 : 0;
        if (tally.cut == 0) {
            missed.add("cut\t" + kind.what() + "\t" + cutsRightly(proposals, samples) + "\t"
                    + cutsRightly(proposals, fresh) + "\t" + cut(proposals).part() + "\t"
                    + cut(proposals).why().words());
        }
        tally.labels = kind.labels().size();
        List<Proposal> fields = proposals.stream()
                .filter(p -> p.what() == Proposal.What.FIELD)
                .filter(p -> p.why().code() == Proposal.Why.Code.LABEL)
                .toList();
        Set<Proposal> right = new HashSet<>();
        for (Label label : kind.labels()) {
            Optional<Proposal> found =
                    fields.stream().filter(f -> finds(f, label, samples)).findFirst();
            if (found.isEmpty()) {
                missed.add("field\t" + kind.what() + "\t" + label + "\t"
                        + fields.stream()
                                .map(f -> f.part().get("title") + "="
                                        + f.seen().stream()
                                                .map(Proposal.Spotted::value)
                                                .toList())
                                .toList());
                continue;
            }
            right.add(found.get());
            tally.found++;
            if (isKind(found.get().part(), label.kind())) {
                tally.kindRight++;
            } else {
                missed.add("kind\t" + kind.what() + "\t" + label + "\t"
                        + found.get().part() + "\t"
                        + found.get().seen().stream()
                                .map(Proposal.Spotted::value)
                                .toList());
            }
        }
        List<Proposal> ticks = proposals.stream()
                .filter(p -> p.why().code() == Proposal.Why.Code.TICK_BOXES)
                .toList();
        if (!kind.options().isEmpty()) {
            tally.rows++;
            boolean ticked = ticks.size() == 1 && ticks(ticks.get(0), kind.options());
            tally.ticked += ticked ? 1 : 0;
            if (!ticked) {
                missed.add("ticks\t" + kind.what() + "\t" + kind.options() + "\t"
                        + ticks.stream().map(Proposal::part).toList());
            }
        } else if (!ticks.isEmpty()) {
            tally.falseTicks++;
            missed.add("noticks\t" + kind.what() + "\t" + ticks.get(0).part());
        }
        Optional<String> language = proposals.stream()
                .filter(p -> p.why().code() == Proposal.Why.Code.LANGUAGE)
                .map(p -> (String) p.part().get("language"))
                .findFirst();
        tally.spoken += language.orElse("eng").equals(kind.model()) ? 1 : 0;
        if (!language.orElse("eng").equals(kind.model())) {
            missed.add("language\t" + kind.what() + "\t" + language);
        }
        List<Proposal> none = fields.stream()
                .filter(f -> !right.contains(f))
                .filter(f -> !Phrase.plain(f.why().with().get("text")).equals(Phrase.plain(kind.caseWord())))
                .toList();
        tally.none = none.size();
        none.forEach(f -> missed.add("none\t" + kind.what() + "\t" + f.part() + "\t"
                + f.seen().stream().map(Proposal.Spotted::value).toList()));
        return tally;
    }

    private static Proposal cut(List<Proposal> proposals) {
        return proposals.stream()
                .filter(p -> p.what() == Proposal.What.CUT)
                .findFirst()
                .orElseThrow();
    }

    /** Whether a field has a box for each of these, and no other. */
    private static boolean ticks(Proposal field, List<String> options) {
        List<String> seen = field.seen().stream().map(Proposal.Spotted::value).toList();
        return seen.size() == options.size()
                && IntStream.range(0, seen.size()).allMatch(i -> Likeness.like(seen.get(i), options.get(i)));
    }

    /** Share of the places of a stack at which a document begins or not as it should. */
    private static double cutsRightly(List<Proposal> proposals, Stack stack) {
        List<Object> rules = proposals.stream()
                .filter(p -> p.what() == Proposal.What.CUT)
                .map(p -> (Object) p.part())
                .toList();
        String json = JSON.writeValueAsString(Map.of(
                "jalon",
                1,
                "stream",
                "proposed",
                "title",
                "Proposed",
                "cut",
                Map.of("rules", rules),
                "types",
                List.of(Map.of("type", "any"))));
        try {
            Cut cut = Cutter.cut(Streams.parse(json), stack.pages(), new KnownPages(Learned.NOTHING, Map.of(), TODAY));
            Set<Integer> staked = cut.stakes().stream().map(Stake::page).collect(Collectors.toSet());
            Set<Integer> said = new HashSet<>();
            boolean begins = false;
            for (PageFacts page : stack.pages()) {
                begins |= staked.contains(page.no());
                if (begins && !cut.outOfFlow().containsKey(page.no())) {
                    said.add(page.no());
                    begins = false;
                }
            }
            Set<Integer> firsts = stack.firsts();
            long right = stack.pages().stream()
                    .filter(p -> said.contains(p.no()) == firsts.contains(p.no()))
                    .count();
            return right / (double) stack.pages().size();
        } catch (Streams.InvalidStream e) {
            throw new IllegalStateException(json, e);
        }
    }

    /** Its label, and on most papers its value. */
    private static boolean finds(Proposal field, Label label, Stack samples) {
        boolean named = Phrase.of(label.text())
                .find(Labels.words(field.why().with().get("text")))
                .isPresent();
        long right = field.seen().stream()
                .filter(s -> Likeness.like(
                        s.value(), samples.made().get(s.page() - 1).values().get(label.text())))
                .count();
        return named && right * 2 > PAPERS;
    }

    private static boolean isKind(Map<String, Object> field, Kind kind) {
        String said = String.valueOf(field.get("kind"));
        return switch (kind) {
            case DATE -> said.equals("date");
            case AMOUNT -> said.equals("amount");
            case TIME -> said.equals("time");
            case NUMBER -> said.equals("number");
            case CODE -> said.equals("text") && field.containsKey("checks") || said.equals("code");
            // A place of two names cannot be told from a person of two.
            case NAME, TEXT -> said.equals("name") || said.equals("text") && !field.containsKey("checks");
        };
    }
}
