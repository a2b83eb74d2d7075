package jalon.bench.cut;

import jalon.bench.paper.FormWorld;
import jalon.bench.paper.MarkedPaper;
import jalon.bench.paper.ReadPaper;
import jalon.core.read.PageFacts;
import jalon.core.run.KnownPages;
import jalon.core.sort.Learned;
import jalon.core.sort.Specimen;
import jalon.core.split.Cutter;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.IntStream;

/**
 * How well batches are cut by one rule each: page numbers, a value that changes, known forms in front.
 * {@code RuleBench OUT.md KEPT batches seed}
 */
public final class RuleBench {
    private static final int PAGES = 25;

    private final ReadPaper paper;

    private RuleBench(Path kept) throws Exception {
        paper = new ReadPaper(kept);
    }

    private record Batch(StreamDefinition stream, List<PageFacts> pages, Set<Integer> firsts, Learned known) {}

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        int batches = Integer.parseInt(args[2]);
        long seed = Long.parseLong(args[3]);
        var bench = new RuleBench(Path.of(args[1]));
        String table = CutTally.HEAD
                + bench.row("page numbers", batches, seed * 104_729L, MarkedPaper::numbered)
                + bench.row("a changing number", batches, seed * 15_485_863L, MarkedPaper::cased)
                + bench.row("two papers of each form in front", batches, seed * 32_452_843L, MarkedPaper::behindForms);
        System.out.println(table);
        Files.writeString(Path.of(args[0]), table);
    }

    private String row(String known, int batches, long seed, BiFunction<Integer, Random, MarkedPaper.Batch> maker) {
        var tally = new CutTally();
        List<Batch> all = IntStream.range(0, batches)
                .parallel()
                .mapToObj(i -> read(FormWorld.chance(seed + i), maker))
                .toList();
        for (Batch b : all) {
            var knowledge = new KnownPages(b.known, Map.of(), LocalDate.of(2026, 11, 1));
            var cut = Cutter.cut(b.stream, b.pages, knowledge);
            tally.add(b.stream, cut, b.pages, b.firsts, p -> "page " + p + " of batch " + all.indexOf(b));
        }
        return tally.row(known);
    }

    private Batch read(Random r, BiFunction<Integer, Random, MarkedPaper.Batch> maker) {
        MarkedPaper.Batch made = maker.apply(PAGES, r);
        List<PageFacts> pages = new ArrayList<>();
        Set<Integer> firsts = new HashSet<>();
        for (MarkedPaper.Page page : made.pages()) {
            pages.add(paper.read(page.sheet(), pages.size() + 1, new Random(r.nextLong())));
            if (page.first()) {
                firsts.add(pages.size());
            }
        }
        List<Specimen> samples = new ArrayList<>();
        for (MarkedPaper.Known form : made.forms()) {
            for (var sample : form.papers()) {
                List<PageFacts> read = List.of(paper.read(sample, 1, new Random(r.nextLong())));
                samples.add(new Specimen(form.name() + "/" + samples.size(), form.name(), null, read));
            }
        }
        return new Batch(stream(made), pages, firsts, Learned.from(samples));
    }

    private static StreamDefinition stream(MarkedPaper.Batch made) {
        String rule = made.like() != null
                ? "{\"by\":\"change\",\"finder\":{\"by\":\"shape\",\"like\":\"" + made.like() + "\",\"hit\":1}}"
                : made.forms().isEmpty() ? "{\"by\":\"numbering\"}" : "{\"by\":\"specimen\"}";
        StringBuilder types = new StringBuilder("{\"type\":\"any\"}");
        made.forms().forEach(f -> types.append(",{\"type\":\"").append(f.name()).append("\"}"));
        try {
            return Streams.parse("{\"jalon\":1,\"stream\":\"marked\",\"title\":\"Marked\",\"cut\":{\"rules\":[" + rule
                    + "]},\"types\":[" + types + "]}");
        } catch (Streams.InvalidStream e) {
            throw new IllegalStateException(e);
        }
    }
}
