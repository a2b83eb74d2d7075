package jalon.bench.propose;

import jalon.bench.Table;
import jalon.bench.paper.FormWorld;
import jalon.bench.paper.LabelledPaper;
import jalon.bench.paper.LabelledPaper.Label;
import jalon.bench.paper.LabelledPaper.Way;
import jalon.bench.paper.ReadPaper;
import jalon.core.index.FieldValue;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.propose.DrawnBox;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.run.BatchContext;
import jalon.core.run.BatchMemory;
import jalon.core.run.BatchRun;
import jalon.core.run.BatchView;
import jalon.core.sort.Learned;
import jalon.core.stream.Streams;
import jalon.demo.Scanner;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
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
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/**
 * Boxes drawn once around the values of a straight page, as a person draws them, and what they read on worn and crooked papers of the
 * same form; beside the same places where nothing finds the form. {@code DrawnZoneBench OUT.md KEPT forms seed}
 */
public final class DrawnZoneBench {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int PAPERS = 10;
    private static final int DPI = 200;

    /** What a person leaves around a value, and to the right of it for longer ones. */
    private static final double AROUND_MM = 1.2;

    private static final double ROOM_MM = 25;

    private static final double MOVED_MM = 6;

    private DrawnZoneBench() {}

    private static final class Tally {
        private int legible;
        private int read;
        private int sure;
        private int sureAndWrong;
        private final List<String> missed = new ArrayList<>();

        void add(FieldValue value, String made) {
            boolean right = value.value() != null && Likeness.like(value.value(), made);
            boolean certain = value.state() == FieldValue.State.SURE && value.value() != null;
            legible++;
            if (!right) {
                missed.add(made + "\t" + value.value() + "\t" + value.state());
            }
            read += right ? 1 : 0;
            sure += certain ? 1 : 0;
            sureAndWrong += certain && !right ? 1 : 0;
        }

        List<String> cells() {
            return Stream.of(read, sure, sureAndWrong)
                    .map(n -> String.format(Locale.ROOT, "%.3f", n / (double) Math.max(1, legible)))
                    .toList();
        }
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        var paper = new ReadPaper(Path.of(args[1]));
        int forms = Integer.parseInt(args[2]);
        long seed = Long.parseLong(args[3]);
        var followed = new Tally();
        var fixed = new Tally();
        int drawn = 0;
        for (int i = 0; i < forms; i++) {
            Random r = FormWorld.chance(seed * 49_979_687L + i);
            var kind = new LabelledPaper(Way.ONE_PAGE_EACH, r);
            List<LabelledPaper.Page> made = kind.stack(PAPERS + 1, r);
            List<Long> seeds = made.stream().map(p -> r.nextLong()).toList();
            PageFacts straight = straight(paper, made.get(0));
            List<PageFacts> worn = IntStream.rangeClosed(1, PAPERS)
                    .parallel()
                    .mapToObj(n -> {
                        var own = new Random(seeds.get(n));
                        return paper.read(copied(ReadPaper.worn(made.get(n).print(), DPI, own), own), DPI, n);
                    })
                    .toList();
            Map<String, DrawnBox> boxes = drawn(kind, straight, made.get(0));
            drawn += boxes.size();
            tried(boxes, true, worn, made, followed);
            tried(boxes, false, worn, made, fixed);
        }
        var table = new Table();
        table.title(
                "Places drawn once on a straight page",
                "the form is found by the print around",
                "boxes drawn",
                "values on worn papers",
                "read",
                "sure",
                "sure and wrong");
        row(table, "yes", drawn, followed);
        row(table, "no: the place as drawn", drawn, fixed);
        Files.writeString(Path.of(args[0]), table.text());
        Files.write(Path.of(args[0].replaceFirst("\\.md$", "") + ".tsv"), followed.missed);
    }

    private static void row(Table table, String name, int drawn, Tally tally) {
        List<String> cells = new ArrayList<>(List.of(name, Integer.toString(drawn), Integer.toString(tally.legible)));
        cells.addAll(tally.cells());
        table.row(cells.toArray(String[]::new));
    }

    /** As copiers and other scanners have it: a little smaller or larger, and moved. */
    private static BufferedImage copied(BufferedImage page, Random r) {
        double scale = 0.97 + 0.06 * r.nextDouble();
        double mm = DPI / 25.4;
        var other = new BufferedImage(page.getWidth(), page.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = other.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, other.getWidth(), other.getHeight());
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.translate((r.nextDouble() - 0.5) * 2 * MOVED_MM * mm, (r.nextDouble() - 0.5) * 2 * MOVED_MM * mm);
        g.scale(scale, scale);
        g.drawImage(page, 0, 0, null);
        g.dispose();
        return other;
    }

    private static PageFacts straight(ReadPaper paper, LabelledPaper.Page page) {
        var setting = new Scanner.Setting(Scanner.Mode.GREY, DPI, 0, 0, 0, false, false);
        return paper.read(Scanner.scan(page.print(), setting, new Random(1)), DPI, 1);
    }

    /** A box around each value that stands once on the page, by its label. */
    private static Map<String, DrawnBox> drawn(LabelledPaper kind, PageFacts page, LabelledPaper.Page made) {
        Map<String, List<Word>> values = new LinkedHashMap<>();
        for (Label label : kind.labels()) {
            String value = made.values().get(label.text());
            List<List<Word>> same = written(page, value)
                    .filter(run -> Phrase.plain(text(run)).equals(Phrase.plain(value)))
                    .toList();
            if (same.size() == 1) {
                values.put(label.text(), same.get(0));
            }
        }
        List<Box> all = values.values().stream().map(DrawnZoneBench::box).toList();
        Map<String, DrawnBox> boxes = new LinkedHashMap<>();
        values.forEach((label, words) ->
                boxes.put(label, DrawnBox.of(page, asDrawn(page, words), all, List.of(List.of(page)), TODAY)));
        return boxes;
    }

    private static Box box(List<Word> words) {
        return words.stream().map(Word::box).reduce(Box::union).orElseThrow();
    }

    private static Box asDrawn(PageFacts page, List<Word> words) {
        Box box = box(words).grown(AROUND_MM);
        double next = page.words().stream()
                .map(Word::box)
                .filter(b -> b.x() > box.right() && b.bottom() > box.y() && b.y() < box.bottom())
                .mapToDouble(b -> b.x() - AROUND_MM)
                .min()
                .orElse(page.image().widthMm() - AROUND_MM);
        double right = Math.max(box.right(), Math.min(next, box.right() + ROOM_MM));
        return new Box(box.x(), box.y(), right - box.x(), box.height());
    }

    /** Runs of words in a line that may be a value as it was read. */
    private static Stream<List<Word>> written(PageFacts page, String value) {
        List<Word> words = page.words();
        int most = value.split("\\s+").length;
        return IntStream.range(0, words.size())
                .boxed()
                .flatMap(from -> IntStream.rangeClosed(from + 1, Math.min(words.size(), from + most))
                        .mapToObj(to -> words.subList(from, to)))
                .filter(run -> run.stream().map(Word::line).distinct().count() == 1)
                .filter(run -> Likeness.like(text(run), value));
    }

    private static String text(List<Word> words) {
        return String.join(" ", words.stream().map(Word::text).toList());
    }

    private static void tried(
            Map<String, DrawnBox> boxes,
            boolean anchored,
            List<PageFacts> worn,
            List<LabelledPaper.Page> made,
            Tally tally)
            throws Streams.InvalidStream {
        List<String> labels = List.copyOf(boxes.keySet());
        var run = new BatchRun(
                Streams.parse(stream(labels.stream().map(boxes::get).toList(), anchored)),
                Learned.NOTHING,
                Map.of(),
                ZoneReader.NONE,
                TODAY,
                BatchContext.NOTHING,
                BatchMemory.NONE);
        for (BatchView.DocumentView document : run.index(worn, List.of()).documents()) {
            int no = document.pages().get(0);
            for (int f = 0; f < labels.size(); f++) {
                String value = made.get(no).values().get(labels.get(f));
                if (written(worn.get(no - 1), value).findAny().isPresent()) {
                    tally.add(document.fields().get("f" + f), value);
                }
            }
        }
    }

    /** As the workbench takes boxes that were drawn: the print around the first one finds them all. */
    private static String stream(List<DrawnBox> boxes, boolean anchored) {
        List<Map<String, Object>> fields = IntStream.range(0, boxes.size())
                .mapToObj(i -> Map.<String, Object>of(
                        "field",
                        "f" + i,
                        "title",
                        "F" + i,
                        "finders",
                        boxes.get(i).ways().stream()
                                .filter(w -> w.how() == DrawnBox.How.PLACE)
                                .findFirst()
                                .orElseThrow()
                                .part()
                                .get("finders")))
                .toList();
        Map<String, Object> type = new LinkedHashMap<>(Map.of("type", "form", "default", true, "fields", fields));
        if (anchored && !boxes.isEmpty()) {
            type.put("layout", Map.of("anchors", boxes.get(0).place().anchors()));
        }
        return JSON.writeValueAsString(Map.of(
                "jalon",
                1,
                "stream",
                "drawn",
                "title",
                "Drawn",
                "cut",
                Map.of("rules", List.of(Map.of("by", "pages", "every", 1))),
                "types",
                List.of(type)));
    }
}
