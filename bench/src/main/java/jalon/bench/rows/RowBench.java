package jalon.bench.rows;

import jalon.bench.Table;
import jalon.core.image.ImageFacts;
import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Indexer;
import jalon.core.index.ZoneReader;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * How often the register row that a letter is about is found by what else stands on it, and how long that takes.
 * {@code OUT.md ROWS LETTERS SEED}. Beside it the plain way: the row whose name stands in the letter, taken where there is one.
 */
public final class RowBench {
    private static final String STREAM = "{\"jalon\":1,\"stream\":\"s\",\"title\":\"S\",\"types\":[{\"type\":\"t\","
            + "\"fields\":[{\"field\":\"no\",\"finders\":[{\"by\":\"register\",\"register\":\"people\",\"take\":\"no\"}]}]}]}";

    /** The plain way goes through all rows for each letter. */
    private static final int MOST_PLAIN = 200;

    private RowBench() {}

    private static final class Tally {
        int knowable;
        int right;
        int sure;
        int sureWrong;
        int plain;
        int plainRight;
        int unknowable;
        int unknowableSure;
    }

    public static void main(String[] args) throws Exception {
        int count = Integer.parseInt(args[1]);
        int letters = Integer.parseInt(args[2]);
        Random r = new Random(Long.parseLong(args[3]) * 1_000_003L);
        var people = new People(count, r);
        String csv = people.csv();
        Runtime.getRuntime().gc();
        long before = used();
        long began = System.nanoTime();
        Register register = Register.parse("people", new StringReader(csv));
        DocumentType type = Streams.parse(STREAM).types().get(0);
        register.search();
        double loaded = (System.nanoTime() - began) / 1e9;
        Runtime.getRuntime().gc();
        long megabytes = (used() - before) >> 20;
        var tally = new Tally();
        double[] ms = new double[letters];
        for (int i = 0; i < letters; i++) {
            Notes.Note note = new Notes(people, r).make();
            PageFacts page = page(note.lines());
            long from = System.nanoTime();
            FieldValue value = Indexer.index(
                            type,
                            new Document(List.of(page), Optional.empty()),
                            ZoneReader.NONE,
                            Map.of("people", register),
                            LocalDate.of(2026, 11, 1),
                            Map.of())
                    .get("no");
            ms[i] = (System.nanoTime() - from) / 1e6;
            add(tally, note, value, people);
        }
        Arrays.sort(ms);
        var table = new Table();
        table.title("Rows found by what stands on a letter", "what", "of", "share");
        table.row("can be known: right row first", tally.knowable, share(tally.right, tally.knowable));
        table.row("can be known: right by the plain way", tally.plain, share(tally.plainRight, tally.plain));
        table.row("called sure, of all", letters, share(tally.sure, letters));
        table.row("sure and wrong, of the sure", tally.sure, share(tally.sureWrong, tally.sure));
        table.row(
                "cannot be known or in no row: called sure",
                tally.unknowable,
                share(tally.unknowableSure, tally.unknowable));
        table.title("Time", "rows", "loading s", "memory MB", "look-up median ms", "look-up 95th percentile ms");
        table.row(count, loaded, megabytes, ms[letters / 2], ms[letters * 95 / 100]);
        System.out.println(table.text());
        Files.writeString(Path.of(args[0]), table.text());
    }

    private static long used() {
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static String share(int part, int all) {
        return String.format(java.util.Locale.ROOT, "%.4f", (double) part / Math.max(1, all));
    }

    private static void add(Tally tally, Notes.Note note, FieldValue value, People people) {
        String own = note.about() == null ? null : note.about().no();
        boolean sure = value.state() == FieldValue.State.SURE;
        boolean right = own != null && own.equals(value.value());
        tally.sure += sure ? 1 : 0;
        tally.sureWrong += sure && !right ? 1 : 0;
        if (note.knowable()) {
            tally.knowable++;
            tally.right += right ? 1 : 0;
            if (tally.plain < MOST_PLAIN) {
                tally.plain++;
                tally.plainRight += own.equals(plain(note, people)) ? 1 : 0;
            }
        } else {
            tally.unknowable++;
            tally.unknowableSure += sure ? 1 : 0;
        }
        if (System.getenv("SHOW") != null && (sure && !right || note.knowable() && !right)) {
            System.err.println((sure ? "SURE " : "") + value.value() + " for " + note.about() + " " + value.certainty()
                    + " " + value.rows().stream().limit(2).toList() + "\n  " + String.join("\n  ", note.lines()));
        }
    }

    private static String plain(Notes.Note note, People people) {
        String all = People.bare(String.join("\n", note.lines()));
        return people.all.stream()
                .filter(p -> all.contains(p.bareName()))
                .map(People.Person::no)
                .findFirst()
                .orElse(null);
    }

    private static PageFacts page(List<String> lines) {
        List<Word> words = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            double x = 20;
            for (String word : lines.get(i).split(" ")) {
                words.add(new Word(word, new Box(x, 20 + 8 * i, 2 * word.length(), 3), 0.95, i));
                x += 2 * word.length() + 1.5;
            }
        }
        var image = new ImageFacts(
                new ImageFacts.Size(210, 297),
                new ImageFacts.Density(200, true),
                new ImageFacts.Pose(0, 0),
                0.05,
                List.of(),
                List.of(),
                List.of(),
                null);
        return new PageFacts(1, "letter", 1, "00".repeat(32), image, List.of(), words);
    }
}
