package jalon.bench.values;

import jalon.core.evidence.Bounds;
import jalon.core.index.FieldValue;
import jalon.core.page.Scan;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.read.ReadZone;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import jalon.demo.Wear;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * How often values are right, wrong and sure of it, or in doubt, on documents whose layouts, languages, typefaces, wear and
 * traps the product was not made for. {@code ValuesBench OUT.md [documents] [seed] [notices]}; the same seed gives the same paper.
 */
public final class ValuesBench {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);

    private final Worlds world;
    private final StreamDefinition stream;
    private final Map<String, Register> registers;
    private final TextReaders readers = new TextReaders(2, TesseractReader::open);
    private final Map<String, Tally> tallies = new TreeMap<>();
    private final List<String> lines = new ArrayList<>();
    private final long seed;

    /** Nanoseconds of all documents: pages read, their places read again, and all that comes to values. */
    private final LongAdder pagesTook = new LongAdder();

    private final LongAdder placesTook = new LongAdder();
    private final LongAdder valuesTook = new LongAdder();

    /** From this one on documents are notices. */
    private int notices = Integer.MAX_VALUE;

    private ValuesBench(long seed) throws Streams.InvalidStream {
        this.seed = seed;
        world = new Worlds(7 * seed + 1);
        stream = world.stream();
        registers = world.registers();
    }

    public static void main(String[] args) throws Exception {
        int documents = args.length > 1 ? Integer.parseInt(args[1]) : 800;
        long seed = args.length > 2 ? Long.parseLong(args[2]) : 1;
        var bench = new ValuesBench(seed);
        bench.notices = documents;
        // The others stay as they were.
        int notices = args.length > 3 ? Integer.parseInt(args[3]) : documents / 3;
        IntStream.range(0, documents + notices).parallel().forEach(bench::document);
        Files.writeString(Path.of(args[0]), bench.table(documents));
        Path beside = Path.of(args[0].replaceFirst("\\.md$", "") + ".tsv");
        bench.lines.sort(null);
        Files.write(beside, bench.lines);
    }

    /** First sides of documents of these worlds, for other benches. */
    public static List<Sheet> sheets(int documents, long seed) {
        try {
            var bench = new ValuesBench(seed);
            return IntStream.range(0, documents)
                    .mapToObj(i -> (Sheet) bench.made(i).sides().get(0)::print)
                    .toList();
        } catch (Streams.InvalidStream e) {
            throw new IllegalStateException(e);
        }
    }

    private static final class Tally {
        private int right;
        private int wrong;
        private int unknowable;
        private int doubtful;
        private int doubtRight;
        private int empty;
        private int readable;
        private int rightReadable;
    }

    private Made made(int i) {
        Hand hand = new Hand(seed * 1_000_003 + i);
        if (i >= notices) {
            return new Notices(world).make(hand);
        }
        return switch (i % 6) {
            case 0, 1 -> new Letters(world).make(hand);
            case 2 -> new Bills(world).make(hand);
            case 3 -> new Forms(world).make(hand, 0);
            case 4 -> new Forms(world).make(hand, 1);
            default -> new Coded(world).make(hand);
        };
    }

    private void document(int i) {
        Made made = made(i);
        Random r = new Random(seed * 77 + i);
        int dpi = i % 3 == 0 ? 200 : 300;
        List<Scan> scans = new ArrayList<>();
        List<PageFacts> pages = new ArrayList<>();
        for (Ground side : made.sides()) {
            var scan = new Scan(worn(side, made.colour(), dpi, r), dpi, true, List.of());
            scans.add(scan);
            int no = pages.size() + 1;
            pages.add(took(
                    pagesTook,
                    () -> reading(
                            "eng", reader -> ReadPage.read(scan, new ReadPage.Origin(no, "x", no, "00"), reader))));
        }
        Map<String, FieldValue> fields = took(valuesTook, () -> fields(made.type(), pages, scans));
        made.truth().forEach((field, truth) -> count(i, made.type(), field, truth, fields.get(field)));
    }

    private Map<String, FieldValue> fields(String type, List<PageFacts> pages, List<Scan> scans) {
        List<ReadZone> zones = new ArrayList<>(Collections.nCopies(pages.size(), null));
        return jalon.core.index.Indexer.index(
                stream.type(type).orElseThrow(),
                new jalon.core.index.Document(pages, java.util.Optional.empty()),
                (page, zone, model) -> took(placesTook, () -> {
                    int at = page.no() - 1;
                    if (zones.get(at) == null) {
                        zones.set(at, new ReadZone(scans.get(at), page));
                    }
                    return reading(model.after("eng"), reader -> zones.get(at).read(zone, reader));
                }),
                registers,
                TODAY,
                Map.of());
    }

    private static <T> T took(LongAdder time, Supplier<T> work) {
        long begun = System.nanoTime();
        try {
            return work.get();
        } finally {
            time.add(System.nanoTime() - begun);
        }
    }

    private <T> T reading(String models, java.util.function.Function<TextReader, T> work) {
        try (TextReader reader = readers.borrow(models)) {
            return work.apply(reader);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static BufferedImage worn(Ground side, boolean colour, int dpi, Random r) {
        Scanner.Mode mode = colour ? Scanner.Mode.COLOUR : r.nextInt(3) == 0 ? Scanner.Mode.BITONAL : Scanner.Mode.GREY;
        BufferedImage page = Scanner.scan(side::print, Scanner.Setting.feeder(mode, dpi, r), r);
        return switch (mode == Scanner.Mode.BITONAL ? 9 : r.nextInt(8)) {
            case 0 -> Wear.faded(page, 0.25 + 0.3 * r.nextDouble());
            case 1 -> Wear.blurred(page, dpi, 0.06 + 0.1 * r.nextDouble());
            case 2 -> Wear.shaded(page, 0.3 + 0.3 * r.nextDouble());
            case 3 -> Wear.draw(page, dpi, g -> Wear.specks(g, 4, 210, 297, r));
            default -> page;
        };
    }

    private synchronized void count(int i, String type, String field, Made.Truth truth, FieldValue value) {
        boolean sure = value.state() == FieldValue.State.SURE;
        boolean right = truth.value() != null && same(truth.value(), value.value());
        for (String name : List.of(
                type + "." + field,
                truth.stamped() ? "~ stamped" : "~ not stamped",
                "~ by " + value.finder().toString().toLowerCase(Locale.ROOT),
                "~~ all")) {
            Tally t = tallies.computeIfAbsent(name, n -> new Tally());
            t.readable += truth.readable() ? 1 : 0;
            if (sure) {
                t.right += right ? 1 : 0;
                t.wrong += right ? 0 : 1;
                t.unknowable += truth.readable() ? 0 : 1;
                t.rightReadable += right && truth.readable() ? 1 : 0;
            } else if (value.value() == null) {
                t.empty++;
            } else {
                t.doubtful++;
                t.doubtRight += right ? 1 : 0;
            }
        }
        lines.add(String.join(
                "\t",
                sure && !right ? "0WRONG" : sure ? "3right" : truth.readable() ? "1doubt" : "2lost",
                type + "." + field,
                String.valueOf(i),
                String.valueOf(truth.value()),
                String.valueOf(value.value()),
                value.state().toString(),
                String.valueOf(value.certainty()),
                value.finder().toString(),
                truth.readable() ? (truth.stamped() ? "stamped" : "") : "unknowable",
                value.reasons().stream()
                        .map(jalon.core.evidence.Reason::words)
                        .toList()
                        .toString(),
                value.candidates().toString()));
    }

    private static boolean same(String truth, String value) {
        if (value == null) {
            return false;
        }
        if (truth.matches("[0-9]+\\.[0-9]+")) {
            try {
                return new BigDecimal(truth).compareTo(new BigDecimal(value)) == 0;
            } catch (NumberFormatException e) {
                return false;
            }
        }
        return truth.equals(value.strip());
    }

    private String table(int documents) throws IOException {
        StringBuilder out = new StringBuilder("\n## Values of " + documents + " documents, seed " + seed + "\n\n"
                + "| field | readable | sure and right | sure and wrong | at most (97.5 %) | sure though unknowable"
                + " | in doubt | of them right | empty | sure and right of readable |\n|" + "---|".repeat(10) + "\n");
        Map<String, Tally> sorted = new LinkedHashMap<>(tallies);
        sorted.forEach((name, t) -> {
            String row = String.format(
                    Locale.ROOT,
                    "| %s | %d | %d | %d | %.4f | %d | %d | %d | %d | %.3f |",
                    name,
                    t.readable,
                    t.right,
                    t.wrong,
                    Bounds.upper(t.wrong, t.right + t.wrong),
                    t.unknowable,
                    t.doubtful,
                    t.doubtRight,
                    t.empty,
                    (double) t.rightReadable / Math.max(1, t.readable));
            out.append(row).append('\n');
            System.err.println(row);
        });
        double pages = pagesTook.sum() / 1e9;
        double places = placesTook.sum() / 1e9;
        double values = valuesTook.sum() / 1e9;
        String times = String.format(
                Locale.ROOT,
                "%nPages read in %.1f s, their places read again in %.1f s (%.3f of it), found and judged in %.1f s (%.3f).%n",
                pages,
                places,
                places / pages,
                values - places,
                (values - places) / pages);
        System.err.print(times);
        return out + times;
    }
}
