package jalon.bench.ticks;

import jalon.bench.Table;
import jalon.bench.paper.Leaf;
import jalon.bench.paper.ReadPaper;
import jalon.core.evidence.Reason;
import jalon.core.image.GrayPlane;
import jalon.core.image.Ticked;
import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.read.SeeTicks;
import jalon.core.stream.Field;
import jalon.core.text.Model;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.demo.Scanner;
import jalon.demo.Wear;
import java.awt.Color;
import java.awt.Font;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;

/**
 * Boxes ticked, crossed, dotted, slashed and filled by hands of all kinds, and struck out again, on forms of many sizes and
 * shapes of box, skewed, shifted and worn. {@code TickBench OUT.md KEPT PAGES SEED}; a new form every five pages.
 */
public final class TickBench {
    private static final List<String> FACES =
            List.of("Liberation Sans", "Liberation Serif", "DejaVu Sans", "Carlito", "TeX Gyre Heros", "Caladea");
    private static final Set<Reason.Code> TELLS = Set.of(Reason.Code.STRUCK_OUT, Reason.Code.FILLED_BOX);
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);

    /** The plain way: of the inside without a fifth on each side more than a twenty-fifth is dark. */
    private static final double PLAIN_INSET = 0.2;

    private static final int PLAIN_DARK = 128;
    private static final double PLAIN_INK = 0.04;

    /** So many pages are read for the comparison of times, even where their readings are kept. */
    private static final int TIMED = 8;

    private final ReadPaper paper;
    private final TextReaders readers = new TextReaders(1, TesseractReader::open);
    private final Map<String, Tally> tallies = new TreeMap<>();
    private final AtomicLong reading = new AtomicLong();
    private final AtomicLong looking = new AtomicLong();
    private final long seed;

    private TickBench(Path kept, long seed) throws IOException {
        this.paper = new ReadPaper(kept);
        this.seed = seed;
    }

    private static final class Tally {
        private int all;
        private int right;
        private int plain;
        private int sure;
        private int sureRight;
        private int struck;
        private int told;
    }

    public static void main(String[] args) throws Exception {
        int pages = Integer.parseInt(args[2]);
        var bench = new TickBench(Path.of(args[1]), Long.parseLong(args[3]));
        IntStream.range(0, pages).parallel().forEach(bench::page);
        Files.writeString(Path.of(args[0]), bench.table(pages));
    }

    /** What was done to a page, and what it means. */
    private record Filled(Leaf leaf, Map<String, String> truth, Set<String> struck) {}

    private void page(int i) {
        try {
            var design = new Random(seed * 7_919 + i / 5);
            Font face = new Font(FACES.get(design.nextInt(FACES.size())), Font.PLAIN, 1);
            var form = new TickForm(face, design);
            var r = new Random(seed * 104_729 + i);
            Filled filled = filled(form, r);
            int dpi = new int[] {150, 200, 200, 300}[r.nextInt(4)];
            var scan = new Scan(worn(filled.leaf(), dpi, r), dpi, true, List.of());
            PageFacts facts = paper.read(scan.image(), dpi, 1);
            boolean timed = i < TIMED;
            if (timed) {
                reading.addAndGet(timeToRead(scan));
            }
            var looked = new Looked(scan, timed);
            Map<String, FieldValue> found = Indexer.index(
                    form.type(), new Document(List.of(facts), Optional.empty()), looked, Map.of(), TODAY, Map.of());
            int box = 0;
            for (TickForm.Group group : form.groups) {
                count(i, group, filled, found.get(group.name()), looked.plain(group, box));
                box += group.places().size();
            }
        } catch (Exception e) {
            throw new IllegalStateException("page " + i, e);
        }
    }

    private long timeToRead(Scan scan) throws InterruptedException {
        long start = System.nanoTime();
        try (TextReader reader = readers.borrow("eng")) {
            ReadPage.read(scan, new ReadPage.Origin(1, "x", 1, "00"), reader);
        }
        return System.nanoTime() - start;
    }

    /** Looks as Jalon does, and beside it in the plain way: ink where the form says that the box is. */
    private final class Looked implements ZoneReader {
        private final Scan scan;
        private final boolean timed;
        private final List<Boolean> plain = new ArrayList<>();

        Looked(Scan scan, boolean timed) {
            this.scan = scan;
            this.timed = timed;
        }

        @Override
        public List<Word> read(PageFacts page, Box zone, Model model) {
            return List.of();
        }

        @Override
        public List<Ticked> ticks(PageFacts page, List<SeeTicks.Place> places) {
            long start = System.nanoTime();
            List<Ticked> seen = SeeTicks.of(scan, page, places);
            looking.addAndGet(timed ? System.nanoTime() - start : 0);
            GrayPlane all = GrayPlane.of(scan.image(), scan.dpi());
            places.forEach(place ->
                    plain.add(inked(all, place.box().grown(-place.box().width() * PLAIN_INSET))));
            return seen;
        }

        private static boolean inked(GrayPlane all, Box box) {
            GrayPlane inside = all.cut(
                    (int) all.inPixels(box.x()), (int) all.inPixels(box.y()), (int) all.inPixels(box.width()), (int)
                            all.inPixels(box.height()));
            int[] counts = inside.histogram();
            int dark = IntStream.range(0, PLAIN_DARK).map(v -> counts[v]).sum();
            return dark > PLAIN_INK * inside.pixels().length;
        }

        /** What the plain way makes of a group whose boxes begin at this place. */
        String plain(TickForm.Group group, int from) {
            List<String> chosen = new ArrayList<>();
            for (int b = 0; b < group.places().size(); b++) {
                if (plain.get(from + b)) {
                    chosen.add(group.places().get(b).means());
                }
            }
            return chosen.isEmpty() ? "-" : String.join(Field.JOINED_BY, chosen);
        }
    }

    private static Filled filled(TickForm form, Random r) {
        Leaf leaf = form.blank();
        Nib nib = Nib.any(r);
        Map<String, String> truth = new TreeMap<>();
        Set<String> struck = new HashSet<>();
        for (TickForm.Group group : form.groups) {
            List<String> chosen = new ArrayList<>();
            List<TickForm.Place> free = new ArrayList<>(group.places());
            int marks = switch (group.kind()) {
                case LONE -> r.nextInt(2);
                case ONE_OF -> r.nextInt(8) == 0 ? 0 : 1;
                case SEVERAL -> r.nextInt(group.places().size() + 1);
            };
            Collections.shuffle(free, r);
            List<TickForm.Place> ticked = free.subList(0, Math.min(marks, free.size()));
            for (TickForm.Place p : ticked) {
                draw(leaf, nib, nib.mark(p.x(), p.y(), form.size, r));
            }
            boolean undone = group.kind() == TickForm.Kind.ONE_OF && marks == 1 && free.size() > 1 && r.nextInt(6) == 0;
            if (undone) {
                TickForm.Place p = free.get(1);
                Path2D path = nib.mark(p.x(), p.y(), form.size, r);
                if (r.nextBoolean() && nib.habit() != Nib.Habit.FILL) {
                    nib.blacken(path, p.x(), p.y(), form.size, r);
                } else {
                    path.append(Nib.struck(p.x(), p.y(), form.size, r), false);
                }
                draw(leaf, nib, path);
                struck.add(group.name());
            }
            for (TickForm.Place p : group.places()) {
                if (ticked.contains(p)) {
                    chosen.add(p.means());
                }
            }
            truth.put(group.name(), chosen.isEmpty() ? "-" : String.join(Field.JOINED_BY, chosen));
        }
        return new Filled(leaf, truth, struck);
    }

    private static void draw(Leaf leaf, Nib nib, Path2D path) {
        leaf.draw(pen -> pen.ink(nib.ink()).stroke(path, nib.width()).ink(Color.BLACK));
    }

    private static BufferedImage worn(Leaf leaf, int dpi, Random r) {
        Scanner.Mode mode = Scanner.Mode.values()[r.nextInt(3)];
        var setting = new Scanner.Setting(
                mode,
                dpi,
                5 * (r.nextDouble() - 0.5),
                12 * (r.nextDouble() - 0.5),
                12 * (r.nextDouble() - 0.5),
                false,
                r.nextInt(4) == 0);
        BufferedImage page = Scanner.scan(leaf, setting, r);
        return switch (mode == Scanner.Mode.BITONAL ? 4 : r.nextInt(6)) {
            case 0 -> Wear.faded(page, 0.3 + 0.3 * r.nextDouble());
            case 1 -> Wear.blurred(page, dpi, 0.06 + 0.1 * r.nextDouble());
            case 2 -> Wear.shaded(page, 0.3 + 0.3 * r.nextDouble());
            case 3 -> Wear.draw(page, dpi, g -> Wear.specks(g, 4, 210, 297, r));
            default -> page;
        };
    }

    private synchronized void count(int page, TickForm.Group group, Filled filled, FieldValue value, String plain) {
        String truth = filled.truth().get(group.name());
        boolean right = truth.equals(value.value());
        boolean sure = value.state() == FieldValue.State.SURE;
        boolean struck = filled.struck().contains(group.name());
        for (String name : List.of(group.kind().toString().toLowerCase(Locale.ROOT), "~ all")) {
            Tally t = tallies.computeIfAbsent(name, n -> new Tally());
            t.all++;
            t.right += right ? 1 : 0;
            t.plain += truth.equals(plain) ? 1 : 0;
            t.sure += sure ? 1 : 0;
            t.sureRight += sure && right ? 1 : 0;
            t.struck += struck ? 1 : 0;
            t.told += struck && value.reasons().stream().anyMatch(why -> TELLS.contains(why.code())) ? 1 : 0;
        }
        if (!right && System.getenv("SHOW") != null || sure && !right) {
            System.err.println(
                    (sure ? "SURE AND WRONG " : "wrong ") + page + " " + group.name() + " " + group.kind() + " is "
                            + truth + " read " + value.value() + " " + value.certainty() + (struck ? " struck " : " ")
                            + value.reasons().stream().map(Reason::words).toList());
        }
    }

    private String table(int pages) {
        var table = new Table();
        table.title(
                "Boxes to tick on " + pages + " pages, seed " + seed,
                "boxes",
                "fields",
                "right",
                "right by the plain way",
                "sure",
                "of the sure right",
                "struck out",
                "told");
        tallies.forEach((name, t) -> table.row(
                name,
                t.all,
                (double) t.right / t.all,
                (double) t.plain / t.all,
                (double) t.sure / t.all,
                (double) t.sureRight / Math.max(1, t.sure),
                t.struck,
                t.told));
        return table.text() + "\nLooking at the boxes took "
                + String.format(Locale.ROOT, "%.1f", 100.0 * looking.get() / reading.get())
                + " % of the time of reading the pages.\n";
    }
}
