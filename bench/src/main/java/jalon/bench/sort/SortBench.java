package jalon.bench.sort;

import jalon.bench.paper.FormWorld;
import jalon.bench.paper.ReadPaper;
import jalon.core.read.PageFacts;
import jalon.core.sort.Guess;
import jalon.core.sort.LearnedTypes;
import jalon.core.sort.SortTraining;
import jalon.core.sort.Specimen;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * How often the type of a page is right, on forms, lookalikes and letters that the product was not made for.
 * {@code SortBench OUT.md KEPT types samples tests seed}; with {@code fit} as a last argument it fits the weights instead.
 */
public final class SortBench {
    private static final double SURE = 0.7;

    private final ReadPaper paper;
    private final FormWorld world;
    private final long seed;

    private SortBench(Path kept, int types, long seed) throws Exception {
        this.paper = new ReadPaper(kept);
        this.seed = seed;
        this.world = new FormWorld(types, seed);
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        int types = Integer.parseInt(args[2]);
        int samples = Integer.parseInt(args[3]);
        int tests = Integer.parseInt(args[4]);
        if (args.length > 6) {
            var training = new SortTraining();
            for (String seed : args[5].split(",")) {
                new SortBench(Path.of(args[1]), types, Long.parseLong(seed)).train(training, samples, tests);
            }
            System.out.println(training.fitted(4000));
            return;
        }
        var bench = new SortBench(Path.of(args[1]), types, Long.parseLong(args[5]));
        String table = bench.measure(types, samples, tests);
        System.out.println(table);
        Files.writeString(Path.of(args[0]), table);
    }

    private record Page(FormWorld.Kind kind, PageFacts facts, boolean known) {}

    private PageFacts read(FormWorld.Kind kind, int kindNo, int no) {
        long its = seed * 1_000_003L + kindNo * 1009L + no;
        return paper.read(kind.page(its), 1, FormWorld.chance(its * 31));
    }

    private LearnedTypes learned(int samples) {
        return LearnedTypes.of(specimens(samples));
    }

    private List<Specimen> specimens(int samples) {
        return IntStream.range(0, world.known().size() * samples)
                .parallel()
                .mapToObj(i -> {
                    var kind = world.known().get(i / samples);
                    return new Specimen(
                            kind.name() + "-" + i, kind.name(), null, List.of(read(kind, i / samples, i % samples)));
                })
                .toList();
    }

    private List<Page> pages(int tests) {
        List<FormWorld.Kind> all = new ArrayList<>(world.known());
        all.addAll(world.unknown());
        return IntStream.range(0, all.size() * tests)
                .parallel()
                .mapToObj(i -> new Page(
                        all.get(i / tests),
                        read(all.get(i / tests), i / tests, 100 + i % tests),
                        i / tests < world.known().size()))
                .toList();
    }

    /** So many types make a small world: streams have few types or many. */
    private static final int FEW = 7;

    private void train(SortTraining training, int samples, int tests) {
        List<Specimen> all = specimens(samples);
        List<Page> pages = pages(tests);
        train(training, LearnedTypes.of(all), pages, pages.size());
        for (int from = 0; from + FEW <= world.known().size(); from += FEW) {
            List<String> names = world.known().subList(from, from + FEW).stream()
                    .map(FormWorld.Kind::name)
                    .toList();
            LearnedTypes few = LearnedTypes.of(
                    all.stream().filter(s -> names.contains(s.type())).toList());
            List<Page> its =
                    pages.stream().filter(p -> names.contains(p.kind.name())).toList();
            train(training, few, its, its.size());
            int first = world.known().subList(from, from + FEW).get(0).family();
            int last = world.known().get(from + FEW - 1).family();
            List<Page> others = pages.stream()
                    .filter(p -> p.kind.family() < first || p.kind.family() > last)
                    .toList();
            train(training, few, others.subList(from, Math.min(from + 2 * FEW, others.size())), 0);
        }
    }

    /** @param known how many of the pages may be of a type that is learned; the others are of none */
    private static void train(SortTraining training, LearnedTypes types, List<Page> pages, int known) {
        for (int i = 0; i < pages.size(); i++) {
            Page p = pages.get(i);
            training.add(types, p.facts, i < known && p.known ? p.kind.name() : null);
        }
    }

    private String measure(int types, int samples, int tests) {
        LearnedTypes learned = learned(samples);
        List<Page> pages = pages(tests);
        pages.forEach(p -> learned.guesses(p.facts));
        long began = System.nanoTime();
        List<List<Guess>> all =
                pages.stream().map(p -> learned.guesses(p.facts)).toList();
        double ms = (System.nanoTime() - began) / 1e6 / pages.size();
        int known = 0;
        int right = 0;
        int sure = 0;
        int sureRight = 0;
        int others = 0;
        int told = 0;
        int siblings = 0;
        int siblingsTold = 0;
        for (int i = 0; i < pages.size(); i++) {
            Page p = pages.get(i);
            Guess best = all.get(i).get(0);
            boolean isRight = p.kind.name().equals(best.type());
            if (p.known) {
                known++;
                right += isRight ? 1 : 0;
                if (best.type() != null && best.certainty() >= SURE) {
                    sure++;
                    sureRight += isRight ? 1 : 0;
                }
                if (!isRight && System.getenv("SHOW") != null) {
                    System.err.println(p.kind.name() + " taken for " + best.type() + " " + best.certainty() + "; own "
                            + all.get(i).stream()
                                    .filter(g -> p.kind.name().equals(g.type()))
                                    .map(Guess::certainty)
                                    .toList());
                }
            } else if (p.kind.lookalike()) {
                siblings++;
                siblingsTold += best.type() == null || best.certainty() < SURE ? 1 : 0;
            } else {
                others++;
                told += best.type() == null || best.certainty() < SURE ? 1 : 0;
                if (best.type() != null && System.getenv("SHOW") != null) {
                    System.err.println("NONE " + p.kind.name() + " taken for " + best.type() + " " + best.certainty());
                }
            }
        }
        return String.format(
                Locale.ROOT,
                "| types | samples each | pages | right first | sure | of the sure right | none of these | told | lookalikes not learned | told | ms a page |\n|%s\n| %d | %d | %d | %.4f | %.3f | %.4f | %d | %.3f | %d | %.3f | %.1f |\n",
                "---|".repeat(11),
                types,
                samples,
                known,
                (double) right / known,
                (double) sure / known,
                (double) sureRight / Math.max(1, sure),
                others,
                (double) told / Math.max(1, others),
                siblings,
                (double) siblingsTold / Math.max(1, siblings),
                ms);
    }
}
