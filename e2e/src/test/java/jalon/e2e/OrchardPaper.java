package jalon.e2e;

import jalon.demo.Pen;
import jalon.demo.ScanFiles;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.function.BiFunction;

/** Paper of a fruit growers' union, which no stream of the demo knows: a form of one page, and letters of one or two. */
final class OrchardPaper {
    private static final String[] FRUIT = {"Amber pippin", "Long russet", "Winter quince", "Red costard"};
    private static final String[] PEOPLE = {"Odile Fenwarren", "Bram Tolliver", "Ysolde Carrow", "Hugh Penmark"};
    private static final int DPI = 200;
    private static final double LEFT = 24;

    /** A stack as it was fed, in one file. @param papers values of each by the title of its field, as an index has them */
    record Stack(Path file, List<Map<String, String>> papers) {}

    private OrchardPaper() {}

    static Stack slips(Path folder, int count, long seed) throws IOException {
        Random r = new Random(seed);
        return stack(folder, "slips.pdf", count, r, (values, i) -> form(values, r));
    }

    /** One letter in three goes on over the page. */
    static Stack letters(Path folder, int count, long seed) throws IOException {
        Random r = new Random(seed);
        return stack(folder, "letters.pdf", count, r, (values, i) -> letter(values, i % 3 == 1, r));
    }

    private static Stack stack(
            Path folder, String name, int count, Random r, BiFunction<Map<String, String>, Integer, List<Sheet>> paper)
            throws IOException {
        Files.createDirectories(folder);
        List<Map<String, String>> papers = new ArrayList<>();
        List<Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            papers.add(new LinkedHashMap<>());
            sheets.addAll(paper.apply(papers.get(i), i));
        }
        Path file = folder.resolve(name);
        ScanFiles.pdf(
                file,
                sheets.size(),
                n -> Scanner.scan(sheets.get(n), Scanner.Setting.feeder(Scanner.Mode.GREY, DPI, r), r));
        return new Stack(file, papers);
    }

    private static String grower(Random r) {
        return "HG-" + (10_000 + r.nextInt(90_000));
    }

    private static String slip(Random r) {
        return "S " + (1000 + r.nextInt(9000)) + "/26";
    }

    private static LocalDate day(Random r) {
        return LocalDate.of(2026, 6 + r.nextInt(5), 1 + r.nextInt(28));
    }

    private static String amount(Random r) {
        return (80 + r.nextInt(900)) + "." + (10 + r.nextInt(90));
    }

    private static List<Sheet> form(Map<String, String> values, Random r) {
        LocalDate day = day(r);
        String sum = amount(r);
        String[][] rows = {
            {"Grower number", grower(r)},
            {"Handed in on", DateTimeFormatter.ofPattern("dd/MM/yyyy").format(day)},
            {"Variety", FRUIT[r.nextInt(FRUIT.length)]},
            {"Crates", Integer.toString(3 + r.nextInt(90))},
            {"Sum to be paid", sum}
        };
        for (String[] row : rows) {
            values.put(row[0], row[1]);
        }
        values.put("Handed in on", day.toString());
        return List.of(pen -> {
            pen.bold(LEFT, 28, 17, "Crate slip");
            pen.text(LEFT, 36, 9, "Hillfold Growers' Union, Press House, Upper Hillfold");
            double y = 60;
            for (String[] row : rows) {
                pen.box(LEFT, y - 8, 150, 13, 0.3);
                pen.text(LEFT + 3, y, 10, row[0]);
                pen.text(LEFT + 62, y, 12, row[1]);
                y += 13;
            }
            pen.text(LEFT, y + 12, 9, "Crates are counted at the gate; what is bruised is weighed and paid as juice.");
            pen.text(LEFT, y + 18, 9, "Keep this slip until the union has paid.");
        });
    }

    /** A date as letters have it. */
    static String inWords(String day) {
        return DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK).format(LocalDate.parse(day));
    }

    private static List<Sheet> letter(Map<String, String> values, boolean two, Random r) {
        LocalDate day = day(r);
        LocalDate paid = day.minusDays(9);
        String grower = grower(r);
        String slip = slip(r);
        String sum = amount(r);
        String crates = Integer.toString(4 + r.nextInt(60));
        String phone = "0" + (411 + r.nextInt(9)) + " " + (20_000 + r.nextInt(70_000));
        String who = PEOPLE[r.nextInt(PEOPLE.length)];
        int turn = r.nextInt(2);
        double left = 20 + r.nextInt(10);
        double down = r.nextInt(26);
        values.put("Written", day.toString());
        values.put("Grower", grower);
        values.put("Slip", slip);
        values.put("Owed", sum);
        values.put("Telephone", phone);
        List<Sheet> pages = new ArrayList<>();
        pages.add(pen -> {
            pen.text(120, 24, 11, who);
            pen.text(120, 30, 11, "Telephone: " + phone);
            pen.text(120, 48, 11, inWords(day.toString()));
            pen.text(left, 60 + down, 11, "To the Growers' Union, Upper Hillfold");
            pen.text(left, 74 + down, 11, "Dear neighbours,");
            String[] lines = turn == 0
                    ? new String[] {
                        "on " + inWords(paid.toString()) + " I brought " + crates
                                + " crates to the press house and was given slip " + slip + ".",
                        "My number with the union is " + grower + ", as it has been since my father's time. The slip",
                        "says less than what was counted at the gate; by my own book the union owes me",
                        "a sum of " + sum + " more than it has paid. Please look into it before the winter."
                    }
                    : new String[] {
                        "thank you for the payment of " + inWords(paid.toString())
                                + ". It is not what was agreed. My grower",
                        "number is " + grower + " and the slip in question is " + slip + ", for " + crates + " crates.",
                        "We had settled on the better price, which makes a sum of " + sum + " still open.",
                        "I trust that this was a slip of the pen and nothing worse."
                    };
            write(pen, left, 88 + down, lines);
            write(pen, left, 146 + down, two ? "Please turn over." : "With kind regards");
        });
        if (two) {
            pages.add(pen -> {
                write(
                        pen,
                        left,
                        30,
                        "One thing more. The lane behind the press house has been under water since the rains, and",
                        "the carts sink to their axles. Some gravel would do, and a few of us would help to spread it.",
                        "I leave it to the union to say when.");
                write(pen, left, 70, "With kind regards", who);
            });
        }
        return pages;
    }

    private static void write(Pen pen, double left, double from, String... lines) {
        double y = from;
        for (String line : lines) {
            pen.text(left, y, 11, line);
            y += 7;
        }
    }
}
