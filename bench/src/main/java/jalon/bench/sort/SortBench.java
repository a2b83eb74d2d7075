package jalon.bench.sort;

import jalon.bench.Table;
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
    /** From which certainty on a type is called sure. */
    private static final double[] LIMITS = {0.7, 0.8, 0.9, 0.95};

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
        var table = new Table();
        table.title(
                types + " types, " + samples + " samples each",
                "limit",
                "pages",
                "right first",
                "sure",
                "of the sure right",
                "none of these",
                "told",
                "lookalikes not learned",
                "told",
                "ms a page");
        for (double limit : LIMITS) {
            var tally = new Tally(limit);
            for (int i = 0; i < pages.size(); i++) {
                tally.add(pages.get(i), all.get(i).get(0));
            }
            table.row(
                    limit,
                    tally.known,
                    share(tally.right, tally.known),
                    share(tally.sure, tally.known),
                    share(tally.sureRight, tally.sure),
                    tally.others,
                    share(tally.told, tally.others),
                    tally.siblings,
                    share(tally.siblingsTold, tally.siblings),
                    ms);
        }
        if (System.getenv("SHOW") != null) {
            for (int i = 0; i < pages.size(); i++) {
                show(pages.get(i), all.get(i));
            }
        }
        return table.text();
    }

    /** As many as four digits: the aims are told in half per cents. */
    private static String share(int part, int all) {
        return String.format(Locale.ROOT, "%.4f", (double) part / Math.max(1, all));
    }

    private static void show(Page p, List<Guess> guesses) {
        Guess best = guesses.get(0);
        if (p.known && !p.kind.name().equals(best.type())) {
            System.err.println(p.kind.name() + " taken for " + best.type() + " " + best.certainty() + "; own "
                    + guesses.stream()
                            .filter(g -> p.kind.name().equals(g.type()))
                            .map(Guess::certainty)
                            .toList());
        } else if (!p.known && best.type() != null) {
            System.err.println("NONE " + p.kind.name() + " taken for " + best.type() + " " + best.certainty());
        }
    }

    private static final class Tally {
        private final double limit;
        int known;
        int right;
        int sure;
        int sureRight;
        int others;
        int told;
        int siblings;
        int siblingsTold;

        Tally(double limit) {
            this.limit = limit;
        }

        void add(Page p, Guess best) {
            boolean isSure = best.type() != null && best.certainty() >= limit;
            if (p.known) {
                boolean isRight = p.kind.name().equals(best.type());
                known++;
                right += isRight ? 1 : 0;
                sure += isSure ? 1 : 0;
                sureRight += isSure && isRight ? 1 : 0;
            } else if (p.kind.lookalike()) {
                siblings++;
                siblingsTold += isSure ? 0 : 1;
            } else {
                others++;
                told += isSure ? 0 : 1;
            }
        }
    }
}
