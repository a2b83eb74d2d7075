package jalon.bench.paper;

import jalon.demo.Sheet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * Batches whose documents say themselves where they begin: by the numbers of their pages, by the number of their case, or by
 * a known form in front.
 */
public final class MarkedPaper {
    private static final Map<String, String> SHORT = Map.of(
            "en", "p.", "de", "S.", "fr", "p.", "es", "pág.", "it", "pag.", "nl", "blz.", "sv", "s.", "pl", "str.");

    private final Random r;
    private final List<House> houses = new ArrayList<>();
    private final List<Page> pages = new ArrayList<>();

    /** @param first whether a document begins with it */
    public record Page(Sheet sheet, boolean first) {}

    /** @param like form of the case's number, as a finder is told it; null where there is none */
    public record Batch(List<Page> pages, String like, List<Known> forms) {}

    /** Two papers of one form, filled in differently. */
    public record Known(String name, List<Sheet> papers) {}

    private MarkedPaper(Random r) {
        this.r = r;
        for (int i = 0; i < 3 + r.nextInt(3); i++) {
            House house = new House(r);
            while (house.numbers()) {
                house = new House(r);
            }
            houses.add(house);
        }
    }

    /** Each house numbers its pages in its own way; some say nothing on a first page. */
    public static Batch numbered(int least, Random r) {
        var paper = new MarkedPaper(r);
        int[] ways = paper.houses.stream().mapToInt(h -> r.nextInt(10)).toArray();
        while (paper.pages.size() < least) {
            int who = r.nextInt(paper.houses.size());
            House house = paper.houses.get(who);
            boolean silentFirst = ways[who] == 2 || ways[who] == 7;
            List<Leaf> leaves = paper.leaves(house, silentFirst ? 2 + r.nextInt(4) : 1 + r.nextInt(5));
            for (int i = 0; i < leaves.size(); i++) {
                if (i > 0 || !silentFirst) {
                    number(house, leaves.get(i), ways[who], i + 1, leaves.size());
                }
                paper.pages.add(new Page(leaves.get(i), i == 0));
            }
        }
        return new Batch(paper.pages, null, List.of());
    }

    private static void number(House house, Leaf leaf, int way, int no, int count) {
        String page = house.speech.page();
        String of = house.speech.of();
        String brief = SHORT.get(house.speech.locale().getLanguage());
        double right = 210 - house.left;
        switch (way) {
            case 0 -> leaf.centred(105, 290, 8, page + " " + no + " " + of + " " + count, false);
            case 1 -> leaf.right(right, 290, 8, page + " " + no + "/" + count);
            case 2 -> leaf.centred(105, 290, 9, "- " + no + " -", false);
            case 3 -> leaf.right(right, 290, 9, no + "/" + count);
            case 4 -> leaf.text(house.left, 290, 8, page + ": " + no + " " + of + " " + count);
            case 5 -> leaf.right(right, house.headroom(), 8, page + " " + no);
            case 6 -> leaf.right(right, house.headroom(), 8, "(" + no + " " + of + " " + count + ")");
            case 7 -> leaf.centred(105, house.headroom(), 9, "– " + no + " –", false);
            case 8 -> leaf.text(house.left, 290, 9, brief + " " + no);
            default -> leaf.centred(105, 290, 8, brief + " " + no + " / " + count, false);
        }
    }

    /** Each document has the number of its case at the head of most of its pages; neighbours differ in few digits. */
    public static Batch cased(int least, Random r) {
        var paper = new MarkedPaper(r);
        String like = List.of("99-9999-A", "AA 999999", "9999/99", "A99.999.9").get(r.nextInt(4));
        String word = List.of("Case", "Az.", "Dossier", "N/Ref.", "Zaak").get(r.nextInt(5));
        String number = made(like, r);
        Set<String> had = new HashSet<>();
        while (paper.pages.size() < least) {
            // A case that comes back after another is asked about and not cut at: that is another question.
            do {
                number = r.nextBoolean() ? neighbour(number, r) : made(like, r);
            } while (!had.add(number));
            House house = paper.houses.get(r.nextInt(paper.houses.size()));
            List<Leaf> leaves = paper.leaves(house, 1 + r.nextInt(5));
            for (int i = 0; i < leaves.size(); i++) {
                if (i == 0 || r.nextInt(6) > 0) {
                    leaves.get(i).right(210 - house.left, house.headroom(), 10, word + " " + number);
                }
                paper.pages.add(new Page(leaves.get(i), i == 0));
            }
        }
        return new Batch(paper.pages, like, List.of());
    }

    private static String made(String like, Random r) {
        StringBuilder out = new StringBuilder();
        for (char c : like.toCharArray()) {
            out.append(c == '9' ? (char) ('0' + r.nextInt(10)) : c == 'A' ? (char) ('A' + r.nextInt(26)) : c);
        }
        return out.toString();
    }

    private static String neighbour(String number, Random r) {
        StringBuilder out = new StringBuilder(number);
        int at = r.nextInt(number.length());
        while (!Character.isDigit(number.charAt(at))) {
            at = r.nextInt(number.length());
        }
        out.setCharAt(at, (char) ('0' + (number.charAt(at) - '0' + 1 + r.nextInt(9)) % 10));
        return out.toString();
    }

    /** Known forms, each with papers of any kind pinned behind it, other forms of the same house among them. */
    public static Batch behindForms(int least, Random r) {
        var paper = new MarkedPaper(r);
        List<FormDesign> known = new ArrayList<>();
        List<FormDesign> others = new ArrayList<>();
        List<Known> forms = new ArrayList<>();
        for (House house : paper.houses) {
            var design = new FormDesign(house, r);
            known.add(design);
            others.add(new FormDesign(house, r));
            forms.add(
                    new Known("form-" + forms.size(), List.of(design.page(new Random(r.nextLong())), design.page(r))));
        }
        while (paper.pages.size() < least) {
            paper.pages.add(new Page(known.get(r.nextInt(known.size())).page(r), true));
            int pinned = r.nextInt(4);
            for (int i = 0; i < pinned; i++) {
                int who = r.nextInt(paper.houses.size());
                List<Leaf> leaves = r.nextInt(4) == 0
                        ? List.of(others.get(who).page(r))
                        : paper.leaves(paper.houses.get(who), 1 + r.nextInt(2));
                leaves.forEach(leaf -> paper.pages.add(new Page(leaf, false)));
            }
        }
        return new Batch(paper.pages, null, forms);
    }

    private List<Leaf> leaves(House house, int count) {
        return switch (r.nextInt(4)) {
            case 0 -> new TablePages(house, r, r.nextBoolean()).pages(count);
            case 1 -> new ParagraphPages(house, r, r.nextBoolean()).pages(count);
            default -> new LetterPages(house, r).pages(count);
        };
    }
}
