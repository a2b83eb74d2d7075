package jalon.bench.paper;

import com.google.zxing.BarcodeFormat;
import jalon.demo.Sheet;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * One kind of paper as a stream is made for: labels with values on first pages, other pages behind them, and one way in which a
 * stack of it says where papers begin. What stands where is known.
 */
public final class LabelledPaper {
    private static final List<String> SHAPES =
            List.of("AA-9999", "9999/99", "A99999", "99-999-A", "AAA 99.999", "9999999");

    /** What a value is. */
    public enum Kind {
        DATE,
        AMOUNT,
        CODE,
        NUMBER,
        NAME,
        TEXT,
        TIME
    }

    /** How papers of a stack are told from each other. */
    public enum Way {
        PATCH_SHEET,
        WORD_SHEET,
        BARCODE_SHEET,
        BARCODE_ON_FIRST,
        NUMBERED,
        CASE_NUMBER,
        HEADING,
        ONE_PAGE_EACH
    }

    /** @param shape of a code */
    public record Label(String text, Kind kind, String shape) {}

    /** @param first whether a document begins with it, @param sheet whether it is a separator, @param values by label */
    public record Page(Sheet print, boolean first, boolean sheet, Map<String, String> values) {}

    private final House house;
    private final Way way;
    private final String title;
    private final int style;
    private final int dates;
    private final String between;
    private final String caseWord;
    private final String caseShape;
    private final List<Label> labels = new ArrayList<>();

    /** Of a row of boxes to tick; empty where the papers have none. What it is made of leaves the rest of a kind as it is. */
    private final List<String> options = new ArrayList<>();

    private final String asked;
    private final double boxMm;

    public LabelledPaper(Way way, Random r) {
        this.way = way;
        Speech speech = Speech.ALL.stream()
                .filter(s -> LABELS.containsKey(s.locale().getLanguage()))
                .toList()
                .get(r.nextInt(LABELS.size()));
        House made = new House(speech, r);
        while (made.numbers()) {
            made = new House(speech, r);
        }
        house = made;
        title = speech.any(speech.acts(), r) + " " + speech.any(speech.things(), r);
        style = r.nextInt(6);
        dates = r.nextInt(4);
        between = speech.any(speech.columns(), r) + " " + speech.any(speech.things(), r);
        caseWord = List.of("Ref.", "Az.", "Dossier", "N°").get(r.nextInt(4));
        caseShape = SHAPES.get(r.nextInt(SHAPES.size()));
        List<String[]> all = new ArrayList<>();
        for (String label : LABELS.get(speech.locale().getLanguage()).split("\\|")) {
            all.add(label.split("="));
        }
        Collections.shuffle(all, r);
        for (String[] label : all.subList(0, 5 + r.nextInt(3))) {
            labels.add(new Label(label[0], Kind.valueOf(label[1]), SHAPES.get(r.nextInt(SHAPES.size()))));
        }
        var own = new Random(
                31L * title.hashCode() + between.hashCode() + labels.toString().hashCode());
        asked = speech.any(speech.things(), own) + " " + speech.any(speech.places(), own);
        boxMm = 3.4 + own.nextInt(18) / 10.0;
        for (int i = own.nextInt(3) == 0 ? 9 : 0; i < 3 && options.size() < 3; i++) {
            String option = speech.any(speech.places(), own);
            if (!options.contains(option)) {
                options.add(option);
            }
        }
    }

    /** What boxes to tick stand for, from left to right. */
    public List<String> options() {
        return options;
    }

    /** Name of the reading model of its language. */
    public String model() {
        return house.speech.locale().getISO3Language();
    }

    public List<Label> labels() {
        return labels;
    }

    /** What stands before the number that papers are told apart by, where they are. */
    public String caseWord() {
        return caseWord;
    }

    public String what() {
        return way + " " + house.speech.locale().getLanguage() + " style " + style;
    }

    /** So many papers, one behind the other. */
    public List<Page> stack(int papers, Random r) {
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < papers; i++) {
            sheet(r, i).forEach(s -> pages.add(new Page(s, false, true, Map.of())));
            int count = way == Way.ONE_PAGE_EACH ? 1 : 1 + r.nextInt(3);
            if (way == Way.NUMBERED && i == 0) {
                count = 2;
            }
            String its = value(new Label("", Kind.CODE, caseShape), r);
            Map<String, String> values = new LinkedHashMap<>();
            List<Leaf> leaves = new ArrayList<>(List.of(first(values, r)));
            leaves.addAll(more(count - 1, r));
            for (int n = 0; n < leaves.size(); n++) {
                Leaf leaf = leaves.get(n);
                if (way == Way.NUMBERED) {
                    leaf.centred(
                            105,
                            291,
                            8,
                            house.speech.page() + " " + (n + 1) + " " + house.speech.of() + " " + count,
                            false);
                } else if (way == Way.CASE_NUMBER) {
                    leaf.right(210 - house.left, house.headroom(), 10, caseWord + " " + its);
                }
                pages.add(new Page(leaf, n == 0, false, n == 0 ? values : Map.of()));
            }
        }
        return pages;
    }

    private List<Leaf> more(int count, Random r) {
        List<Leaf> leaves = new ArrayList<>();
        while (leaves.size() < count) {
            leaves.addAll(
                    r.nextBoolean()
                            ? new TablePages(house, r, false).pages(1)
                            : new ParagraphPages(house, r, false).pages(1));
        }
        return leaves.subList(0, count);
    }

    private List<Leaf> sheet(Random r, int no) {
        Leaf leaf = new Leaf(house.face);
        switch (way) {
            case PATCH_SHEET -> leaf.draw(pen -> pen.patch(35, 14, 120, "WNWN"));
            case WORD_SHEET -> leaf.centred(105, 120, 34, between, true);
            case BARCODE_SHEET ->
                leaf.draw(pen -> pen.barcode(BarcodeFormat.CODE_128, 60, 90, 80, 25, "SEP-" + (1000 + no)));
            default -> {
                return List.of();
            }
        }
        if (r.nextBoolean()) {
            leaf.text(30, 200, 11, house.name);
        }
        return List.of(leaf);
    }

    private Leaf first(Map<String, String> values, Random r) {
        Leaf leaf = house.leaf();
        double y = house.head(leaf) + 6;
        double right = 210 - house.left;
        leaf.bold(house.left, y, 15, title);
        if (way == Way.BARCODE_ON_FIRST) {
            String code = "D" + House.digits(7, r);
            leaf.draw(pen -> pen.barcode(BarcodeFormat.CODE_128, 140, 262, 50, 12, code));
        }
        y += 14;
        double column = house.left + 62;
        double step = style == 2 || style == 3 ? 15 : 10;
        for (int i = 0; i < labels.size(); i++) {
            Label label = labels.get(i);
            String value = value(label, r);
            values.put(label.text(), value);
            boolean second = style == 5 && i % 2 == 1;
            double x = second ? 110 : house.left;
            switch (style) {
                case 0 -> {
                    double end = leaf.text(x, y, house.points, label.text() + ":");
                    leaf.text(end + 2.2, y, house.points, value);
                }
                case 1 -> {
                    leaf.text(x, y, house.points, label.text());
                    leaf.rule(column, y + 1.2, right, y + 1.2);
                    leaf.filled(house.hand, column + 2, y, 10, value);
                }
                case 2 -> {
                    leaf.box(x, y - 5, right - x, 12.5);
                    leaf.text(x + 1.5, y - 1.5, 7.5, label.text());
                    leaf.filled(house.hand, x + 3, y + 5, 10, value);
                }
                case 3 -> {
                    leaf.text(x, y, 8, label.text());
                    leaf.filled(house.hand, x, y + 5.5, 10.5, value);
                }
                case 4 -> {
                    leaf.text(x, y, house.points, (i + 1) + ". " + label.text() + ":");
                    leaf.filled(house.hand, column + 6, y, 10, value);
                }
                default -> {
                    double end = leaf.text(x, y, house.points, label.text() + ":");
                    leaf.text(end + 2, y, house.points, value);
                }
            }
            y += style == 5 && !second && i + 1 < labels.size() ? 0 : step;
        }
        if (!options.isEmpty()) {
            ticks(leaf, y + 2, new Random(values.hashCode()));
            y += 12;
        }
        y += 8;
        double line = house.points * Leaf.MM_PER_POINT * 1.4;
        for (int i = 0; i < 3 + r.nextInt(6) && y < 255; i++) {
            leaf.text(house.left, y, house.points, house.speech.sentence(9, r));
            y += line;
        }
        return leaf;
    }

    private void ticks(Leaf leaf, double y, Random r) {
        double x = leaf.text(house.left, y, house.points, asked + ":") + 6;
        int ticked = r.nextInt(options.size() + 1);
        for (int i = 0; i < options.size(); i++) {
            double top = y - boxMm + 0.6;
            leaf.box(x, top, boxMm, boxMm);
            if (i == ticked) {
                leaf.rule(x + 0.7, top + 0.7, x + boxMm - 0.5, top + boxMm - 0.6);
                leaf.rule(x + 0.6, top + boxMm - 0.8, x + boxMm - 0.6, top + 0.6);
            }
            x = leaf.text(x + boxMm + 1.6, y, house.points, options.get(i)) + 7;
        }
    }

    private String value(Label label, Random r) {
        Locale locale = house.speech.locale();
        return switch (label.kind()) {
            case DATE -> {
                LocalDate day = LocalDate.of(2024 + r.nextInt(2), 1 + r.nextInt(12), 1 + r.nextInt(28));
                String form = List.of("dd.MM.yyyy", "d MMMM yyyy", "yyyy-MM-dd", "dd/MM/yyyy")
                        .get(dates);
                yield DateTimeFormatter.ofPattern(form, locale).format(day);
            }
            case AMOUNT -> {
                NumberFormat plain = NumberFormat.getNumberInstance(locale);
                plain.setMinimumFractionDigits(2);
                plain.setMaximumFractionDigits(2);
                yield plain.format(10 + r.nextInt(900_000) / 100.0)
                                .replace('\u00a0', ' ')
                                .replace('\u202f', ' ')
                        + (dates % 2 == 0 ? " EUR" : "");
            }
            case CODE -> made(label.shape(), r);
            case NUMBER -> Integer.toString(1 + r.nextInt(r.nextBoolean() ? 90 : 4000));
            case NAME -> House.surname(r) + " " + House.surname(r);
            case TEXT ->
                r.nextBoolean()
                        ? house.speech.any(house.speech.places(), r) + ", " + house.speech.any(house.speech.prose(), r)
                        : house.speech.any(house.speech.things(), r);
            case TIME -> String.format(Locale.ROOT, "%02d:%02d", 6 + r.nextInt(14), 5 * r.nextInt(12));
        };
    }

    private static String made(String like, Random r) {
        StringBuilder out = new StringBuilder();
        for (char c : like.toCharArray()) {
            out.append(c == '9' ? (char) ('0' + r.nextInt(10)) : c == 'A' ? (char) ('A' + r.nextInt(26)) : c);
        }
        return out.toString();
    }

    private static final Map<String, String> LABELS = Map.of(
            "en",
            "Date of notice=DATE|Valid until=DATE|Amount due=AMOUNT|Deposit=AMOUNT|File number=CODE|Plot no=CODE|Applicant=NAME|Witness=NAME|Place=TEXT|Purpose=TEXT|Persons=NUMBER|Opening hour=TIME",
            "de",
            "Datum=DATE|Gültig bis=DATE|Gesamtbetrag=AMOUNT|Kaution=AMOUNT|Aktenzeichen=CODE|Kundennummer=CODE|Antragsteller=NAME|Zeuge=NAME|Ort=TEXT|Zweck=TEXT|Anzahl=NUMBER|Beginn=TIME",
            "fr",
            "Date=DATE|Valable jusqu'au=DATE|Total à payer=AMOUNT|Caution=AMOUNT|Numéro de dossier=CODE|Parcelle=CODE|Demandeur=NAME|Témoin=NAME|Lieu=TEXT|Objet=TEXT|Nombre=NUMBER|Heure=TIME",
            "es",
            "Fecha=DATE|Válido hasta=DATE|Total a pagar=AMOUNT|Fianza=AMOUNT|Expediente=CODE|Parcela=CODE|Solicitante=NAME|Testigo=NAME|Lugar=TEXT|Motivo=TEXT|Cantidad=NUMBER|Hora=TIME",
            "nl",
            "Datum=DATE|Geldig tot=DATE|Totaal bedrag=AMOUNT|Borgsom=AMOUNT|Dossiernummer=CODE|Klantnummer=CODE|Aanvrager=NAME|Getuige=NAME|Plaats=TEXT|Reden=TEXT|Aantal=NUMBER|Aanvang=TIME");
}
