package jalon.bench.propose;

import jalon.bench.paper.FormWorld;
import jalon.bench.paper.LabelledPaper;
import jalon.bench.paper.LabelledPaper.Way;
import jalon.bench.paper.ReadPaper;
import jalon.core.index.ZoneReader;
import jalon.core.propose.Proposal;
import jalon.core.propose.Proposals;
import jalon.core.read.PageFacts;
import jalon.core.run.BatchContext;
import jalon.core.run.BatchMemory;
import jalon.core.run.BatchRun;
import jalon.core.sort.Learned;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import tools.jackson.databind.json.JsonMapper;

/**
 * How long an edit takes in the workbench: on the paper at hand, and on all samples, for streams from a few fields to 220 types with
 * 3,000 fields. {@code WorkbenchBench OUT.md KEPT seed}
 */
public final class WorkbenchBench {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_TYPES = 220;
    private static final int MOST_FIELDS = 3000;
    private static final int RUNS = 7;

    private WorkbenchBench() {}

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        var r = FormWorld.chance(Long.parseLong(args[2]) * 15_485_863L);
        List<PageFacts> pages = read(new ReadPaper(Path.of(args[1])), 50, r);
        List<Proposal> proposed = Proposals.of(StreamDefinition.NOTHING, pages, Map.of(), TODAY, m -> true);
        StringBuilder table = new StringBuilder(
                "| samples | types | fields | paper at hand, ms | all samples, ms | as the smallest |\n"
                        + "|---|---|---|---|---|---|\n");
        double smallest = 0;
        for (int[] size : new int[][] {{50, 1, 6}, {50, 12, 120}, {50, MOST_TYPES, MOST_FIELDS}, {300, 12, 120}}) {
            String json = stream(proposed, size[1], size[2]);
            List<PageFacts> some = many(pages, size[0]);
            double all = median(json, some);
            smallest = smallest == 0 ? all : smallest;
            table.append(String.format(
                    Locale.ROOT,
                    "| %d | %d | %d | %.0f | %.0f | %.1f |%n",
                    size[0],
                    size[1],
                    size[2],
                    median(json, some.subList(0, 1)),
                    all,
                    all / smallest));
        }
        Files.writeString(Path.of(args[0]), table);
    }

    private static List<PageFacts> read(ReadPaper paper, int count, Random r) {
        var kind = new LabelledPaper(Way.ONE_PAGE_EACH, r);
        List<LabelledPaper.Page> made = kind.stack(count, r);
        List<Long> seeds = made.stream().map(p -> r.nextLong()).toList();
        return IntStream.range(0, count)
                .parallel()
                .mapToObj(i -> paper.read(made.get(i).print(), i + 1, new Random(seeds.get(i))))
                .toList();
    }

    /** The same pages again and again, each with a number of its own. */
    private static List<PageFacts> many(List<PageFacts> pages, int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> pages.get(i % pages.size()).numbered(i + 1))
                .toList();
    }

    /** The stream that is proposed, with its fields once more and more types beside it. */
    private static String stream(List<Proposal> proposed, int types, int fields) {
        List<Map<String, Object>> its = proposed.stream()
                .filter(p -> p.what() == Proposal.What.FIELD)
                .map(Proposal::part)
                .toList();
        List<Map<String, Object>> all = new ArrayList<>();
        for (int t = 0; t < types; t++) {
            List<Map<String, Object>> some = new ArrayList<>();
            for (int f = t * fields / types; f < (t + 1) * fields / types; f++) {
                Map<String, Object> field = new LinkedHashMap<>(its.get(f % its.size()));
                field.put("field", "f" + f);
                some.add(field);
            }
            Map<String, Object> type = new LinkedHashMap<>();
            type.put("type", "t" + t);
            if (t == 0) {
                type.put("default", true);
            } else {
                type.put("words", Map.of("must", List.of("Heading of type " + t)));
            }
            type.put("fields", some);
            all.add(type);
        }
        return JSON.writeValueAsString(Map.of(
                "jalon",
                1,
                "stream",
                "tried",
                "title",
                "Tried",
                "cut",
                Map.of("rules", List.of(Map.of("by", "pages", "every", 1))),
                "types",
                all));
    }

    /** From the JSON as it is typed to the values of all papers, milliseconds. */
    private static double median(String json, List<PageFacts> pages) throws Streams.InvalidStream {
        double[] took = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long began = System.nanoTime();
            var run = new BatchRun(
                    Streams.parse(json),
                    Learned.NOTHING,
                    Map.of(),
                    ZoneReader.NONE,
                    TODAY,
                    BatchContext.NOTHING,
                    BatchMemory.NONE);
            if (run.index(pages, List.of()).documents().size() != pages.size()) {
                throw new IllegalStateException("each page is a document");
            }
            took[i] = (System.nanoTime() - began) / 1e6;
        }
        java.util.Arrays.sort(took);
        return took[RUNS / 2];
    }
}
