package jalon.bench.cut;

import jalon.bench.paper.FormWorld;
import jalon.bench.paper.MixedPaper;
import jalon.bench.paper.ReadPaper;
import jalon.core.read.PageFacts;
import jalon.core.run.KnownPages;
import jalon.core.sort.Learned;
import jalon.core.sort.Specimen;
import jalon.core.split.Cut;
import jalon.core.split.Cutter;
import jalon.core.split.PageKnowledge;
import jalon.core.split.PagesAloneTraining;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * How well batches without any separator are cut, on senders and kinds of paper that the product was not made for.
 * {@code CutBench OUT.md KEPT batches seed}; with {@code fit} as a last argument it fits the weights instead, on
 * seeds parted by commas, those with a minus with samples too.
 */
public final class CutBench {
    private static final int PAGES = 25;

    private static final int SAMPLES = 2;

    private final ReadPaper paper;
    private final long seed;
    private final boolean sampled;

    /** @param sampled whether two documents of most kinds are known beforehand */
    private CutBench(Path kept, long seed, boolean sampled) throws Exception {
        this.sampled = sampled;
        this.paper = new ReadPaper(kept);
        this.seed = seed;
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        int batches = Integer.parseInt(args[2]);
        if (args.length > 4) {
            var training = new PagesAloneTraining();
            for (String seed : args[3].split(",")) {
                new CutBench(Path.of(args[1]), Math.abs(Long.parseLong(seed)), seed.startsWith("-"))
                        .batches(batches)
                        .forEach(b -> {
                            training.add(b.pages, PageKnowledge.NONE, b.firsts);
                            if (!b.known.isEmpty()) {
                                training.add(b.pages, knowledge(b), b.firsts);
                            }
                        });
            }
            System.out.println(training.fitted(6000));
            return;
        }
        String table = CutTally.HEAD
                + new CutBench(Path.of(args[1]), Long.parseLong(args[3]), false).measure("nothing known", batches)
                + new CutBench(Path.of(args[1]), Long.parseLong(args[3]), true).measure("two samples each", batches);
        System.out.println(table);
        Files.writeString(Path.of(args[0]), table);
    }

    /** @param firsts numbers of the pages that documents begin with; kinds of each page's document beside */
    private record Batch(List<PageFacts> pages, Set<Integer> firsts, List<String> kinds, Learned known) {}

    private static PageKnowledge knowledge(Batch b) {
        return new KnownPages(b.known, Map.of(), LocalDate.of(2026, 11, 1));
    }

    private List<Batch> batches(int n) {
        return IntStream.range(0, n).parallel().mapToObj(this::batch).toList();
    }

    private Batch batch(int i) {
        Random r = FormWorld.chance(seed * 7_919L + i);
        List<PageFacts> pages = new ArrayList<>();
        Set<Integer> firsts = new HashSet<>();
        List<String> kinds = new ArrayList<>();
        var mixed = new MixedPaper(r);
        if (sampled) {
            mixed.withForms(r);
        }
        MixedPaper.Document last = null;
        Map<String, MixedPaper.Document> kindsSeen = new LinkedHashMap<>();
        while (pages.size() < PAGES) {
            // Where kinds are known, papers of one kind come in runs.
            boolean again = sampled && last != null && r.nextInt(4) == 0;
            var document = again ? mixed.like(last, r) : mixed.document(r);
            last = document;
            kindsSeen.putIfAbsent(document.sender() + document.kind(), document);
            firsts.add(pages.size() + 1);
            // One feeding of one document has much the same wear.
            long wear = r.nextLong();
            for (var sheet : document.pages()) {
                int no = pages.size() + 1;
                Random its = new Random(r.nextInt(3) == 0 ? r.nextLong() : wear);
                pages.add(document.narrow() ? paper.readNarrow(sheet, no, its) : paper.read(sheet, no, its));
                kinds.add(document.kind());
            }
        }
        return new Batch(pages, firsts, kinds, sampled ? samples(mixed, kindsSeen, r) : Learned.NOTHING);
    }

    /** Two samples of most kinds of paper in the batch; some kinds nobody has seen before. */
    private Learned samples(MixedPaper mixed, Map<String, MixedPaper.Document> kinds, Random r) {
        List<Specimen> samples = new ArrayList<>();
        kinds.forEach((type, document) -> {
            boolean known = r.nextInt(5) > 0;
            for (int i = 0; i < SAMPLES && known; i++) {
                List<PageFacts> pages = new ArrayList<>();
                for (var sheet : mixed.like(document, r).pages()) {
                    int no = pages.size() + 1;
                    Random its = new Random(r.nextLong());
                    pages.add(document.narrow() ? paper.readNarrow(sheet, no, its) : paper.read(sheet, no, its));
                }
                samples.add(new Specimen(type + "/" + i, type, null, pages));
            }
        });
        return Learned.from(samples);
    }

    private String measure(String known, int n) throws Streams.InvalidStream {
        StreamDefinition stream = Streams.parse(
                "{\"jalon\":1,\"stream\":\"mixed\",\"title\":\"Mixed\",\"cut\":{\"rules\":[{\"by\":\"pages-alone\"}]},\"types\":[{\"type\":\"any\"}]}");
        var tally = new CutTally();
        for (Batch b : batches(n)) {
            Cut cut = Cutter.cut(stream, b.pages, knowledge(b));
            tally.add(stream, cut, b.pages, b.firsts, page -> b.kinds.get(page - 1));
        }
        return tally.row(known);
    }
}
