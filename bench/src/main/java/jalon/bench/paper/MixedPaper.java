package jalon.bench.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Documents of mixed kinds and lengths as an office gets them: letters, bills and statements with tables over several pages,
 * forms of one and two pages, contracts with numbered paragraphs, certificates, notes.
 */
public final class MixedPaper {
    /** Kinds of paper. */
    enum Kind {
        LETTER,
        LETTER_AGAIN,
        BILL,
        STATEMENT,
        FORM,
        LONG_FORM,
        CONTRACT,
        CERTIFICATE,
        NOTE,
        MINUTES
    }

    /**
     * @param sender which of the batch's
     * @param narrow whether it is on A5
     */
    public record Document(int sender, String kind, List<? extends jalon.demo.Sheet> pages, boolean narrow) {}

    private final List<House> houses = new ArrayList<>();
    private final Map<House, FormDesign> forms = new HashMap<>();
    private final Map<House, FormDesign> longForms = new HashMap<>();

    /** What lies in one batch: mostly of one language and from few senders, several documents of whom may follow each other. */
    public MixedPaper(Random r) {
        boolean oneLanguage = r.nextInt(5) > 0;
        Speech speech = Speech.ALL.get(r.nextInt(Speech.ALL.size()));
        int senders = 2 + r.nextInt(5);
        for (int i = 0; i < senders; i++) {
            houses.add(oneLanguage ? new House(speech, r) : new House(r));
        }
    }

    public Document document(Random r) {
        int sender = r.nextInt(houses.size());
        return document(sender, Kind.values()[r.nextInt(Kind.values().length)], r);
    }

    /** From now on each sender has one form of each kind, of which every paper is one: so they can be known by samples. */
    public MixedPaper withForms(Random r) {
        for (House house : houses) {
            forms.put(house, new FormDesign(house, r));
            longForms.put(house, new FormDesign(house, r));
        }
        return this;
    }

    /** Another of the same kind and sender. */
    public Document like(Document other, Random r) {
        return document(other.sender, Kind.valueOf(other.kind), r);
    }

    private Document document(int sender, Kind kind, Random r) {
        House house = houses.get(sender);
        List<Leaf> pages = switch (kind) {
            case LETTER, LETTER_AGAIN -> new LetterPages(house, r).pages(length(r, 1, 4));
            case BILL -> new TablePages(house, r, true).pages(length(r, 1, 4));
            case STATEMENT -> new TablePages(house, r, false).pages(length(r, 1, 5));
            case FORM -> List.of(form(forms, house, r).page(r));
            case LONG_FORM -> longForm(form(longForms, house, r), r);
            case CONTRACT -> new ParagraphPages(house, r, true).pages(length(r, 2, 6));
            case MINUTES -> new ParagraphPages(house, r, false).pages(length(r, 1, 4));
            case CERTIFICATE -> List.of(certificate(house, r));
            case NOTE -> List.of(note(house, r));
        };
        return new Document(sender, kind.name(), pages, kind == Kind.NOTE && r.nextBoolean());
    }

    private static int length(Random r, int least, int most) {
        return least + r.nextInt(most - least + 1);
    }

    private static FormDesign form(Map<House, FormDesign> known, House house, Random r) {
        FormDesign own = known.get(house);
        return own == null ? new FormDesign(house, r) : own;
    }

    private static List<Leaf> longForm(FormDesign design, Random r) {
        List<Leaf> pages = new ArrayList<>();
        pages.add(design.page(r));
        int more = 1 + r.nextInt(2);
        for (int i = 2; i <= more + 1; i++) {
            pages.add(design.later(i, more + 1, r));
        }
        return pages;
    }

    private static Leaf certificate(House house, Random r) {
        Speech s = house.speech;
        Leaf leaf = house.leaf();
        leaf.draw(pen -> pen.box(10, 10, 190, 277, 1.2).box(13, 13, 184, 271, 0.4));
        leaf.centred(105, 50, 14, house.name, true);
        leaf.centred(105, 80, 26, s.any(s.acts(), r).split(" ")[0], true);
        double y = 110;
        for (int i = 0; i < 4 + r.nextInt(4); i++) {
            leaf.centred(105, y, 12, s.sentence(5 + r.nextInt(5), r), false);
            y += 9;
        }
        leaf.text(35, 240, 10, s.any(s.places(), r) + ", " + (1 + r.nextInt(28)) + "." + (1 + r.nextInt(12)) + ".2025");
        long ink = r.nextLong();
        leaf.draw(pen -> pen.signature(130, 240, new Random(ink)));
        return leaf;
    }

    private static Leaf note(House house, Random r) {
        Speech s = house.speech;
        Leaf leaf = house.leaf();
        double y = 20 + r.nextInt(15);
        leaf.bold(house.left, y, 14, s.any(s.subjects(), r));
        y += 14;
        for (int i = 0; i < 3 + r.nextInt(6); i++) {
            leaf.text(house.left, y, 11, s.sentence(4 + r.nextInt(4), r));
            y += 8;
        }
        leaf.text(house.left, y + 6, 11, House.surname(r));
        return leaf;
    }
}
