package jalon.bench.paper;

import java.awt.Color;
import java.awt.Font;
import java.awt.GraphicsEnvironment;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Whoever has paper printed: its name, its typeface, its letterhead. */
final class House {
    private static final List<String> FACES = List.of(
            "Liberation Sans",
            "Liberation Serif",
            "DejaVu Sans",
            "DejaVu Serif",
            "TeX Gyre Pagella",
            "TeX Gyre Heros",
            "TeX Gyre Bonum",
            "Carlito",
            "Caladea",
            "Liberation Sans Narrow",
            "TeX Gyre Schola",
            "TeX Gyre Adventor");
    private static final List<String> HANDS =
            List.of("Liberation Mono", "DejaVu Sans Mono", "TeX Gyre Cursor", "Liberation Sans", "Carlito");
    private static final Set<String> INSTALLED =
            Set.of(GraphicsEnvironment.getLocalGraphicsEnvironment().getAvailableFontFamilyNames());
    private static final String[] FIRST = {
        "Ash", "Brim", "Corv", "Dunl", "Eld", "Fenw", "Garr", "Hale", "Isk", "Jarn", "Kell", "Lorn", "Mard", "Norv",
        "Osk", "Pell", "Quen", "Rusk", "Selv", "Tarn", "Ulm", "Verr", "Wick", "Yarr", "Zell"
    };
    private static final String[] LAST = {
        "ow", "ham", "stead", "ick", "ara", "eau", "berg", "ini", "sson", "wick", "ov", "ley", "aux", "enz", "ander"
    };
    private static final String[] WORK = {
        "Works",
        "Trust",
        "Board",
        "Verein",
        "Services",
        "& Sons",
        "GmbH",
        "S.A.",
        "Group",
        "Kommune",
        "Cooperative",
        "Institute",
        "Insurance",
        "Clinic",
        "Energy",
        "Transport",
        "Archive",
        "Council"
    };

    final Speech speech;
    final String name;
    final String address;
    final String contact;
    final Font face;
    final Font hand;
    final int letterhead;
    final int logo;
    final double left;
    final double points;
    final int numbering;
    final boolean footer;

    House(Random r) {
        this(Speech.ALL.get(r.nextInt(Speech.ALL.size())), r);
    }

    House(Speech speech, Random r) {
        this.speech = speech;
        name = surname(r) + " " + (r.nextBoolean() ? surname(r) + " " : "") + WORK[r.nextInt(WORK.length)];
        address = surname(r) + " " + (1 + r.nextInt(180)) + ", " + digits(5, r) + " " + speech.any(speech.places(), r);
        contact = "Tel. 0" + digits(3, r) + " " + digits(6, r) + "  "
                + surname(r).toLowerCase(speech.locale()) + "@post.example";
        face = face(FACES, r);
        hand = face(HANDS, r);
        letterhead = r.nextInt(5);
        logo = r.nextInt(6);
        left = 18 + 3 * r.nextInt(4);
        points = 9 + 0.5 * r.nextInt(6);
        numbering = r.nextInt(6);
        footer = r.nextBoolean();
    }

    private static Font face(List<String> among, Random r) {
        List<String> there = among.stream().filter(INSTALLED::contains).toList();
        return new Font(there.isEmpty() ? Font.SANS_SERIF : there.get(r.nextInt(there.size())), Font.PLAIN, 1);
    }

    static String surname(Random r) {
        return FIRST[r.nextInt(FIRST.length)] + LAST[r.nextInt(LAST.length)];
    }

    static String digits(int n, Random r) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < n; i++) {
            out.append(r.nextInt(10));
        }
        return out.toString();
    }

    Leaf leaf() {
        return new Leaf(face);
    }

    /** @return where the rest of the page begins */
    double head(Leaf leaf) {
        double x = letterhead == 1 ? 105 : left;
        switch (letterhead) {
            case 0 -> {
                mark(leaf, left, 12);
                leaf.bold(left + 22, 20, 15, name);
                leaf.text(left + 22, 26, 8, address);
                leaf.text(left + 22, 30, 8, contact);
            }
            case 1 -> {
                leaf.centred(x, 20, 17, name, true);
                leaf.centred(x, 26, 8, address + "  " + contact, false);
                leaf.rule(left, 30, 210 - left, 30);
            }
            case 2 -> {
                mark(leaf, 172, 10);
                leaf.bold(120, 32, 11, name);
                leaf.text(120, 37, 8, address);
                leaf.text(120, 41, 8, contact);
            }
            case 3 -> {
                leaf.draw(pen -> pen.fill(0, 8, 210, 2.5));
                leaf.text(left, 20, 20, name);
                leaf.text(left, 25.5, 7.5, address);
            }
            default -> {
                leaf.text(left, 16, 9, name + "  |  " + address);
                leaf.rule(left, 18, 210 - left, 18);
            }
        }
        if (footer) {
            leaf.rule(left, 280, 210 - left, 280);
            leaf.text(left, 284.5, 7, name + "  " + address + "  " + contact);
        }
        return letterhead == 2 ? 52 : letterhead == 4 ? 32 : 46;
    }

    /** Where there is room above everything else, for what another prints there. */
    double headroom() {
        return letterhead == 3 ? 6 : 9.5;
    }

    /** Whether its pages carry numbers. */
    boolean numbers() {
        return numbering < 3;
    }

    /** The number that a page gives itself, where the house has that. */
    void number(Leaf leaf, int no, int count) {
        switch (numbering) {
            case 0 -> leaf.centred(105, 290, 8, speech.page() + " " + no + " " + speech.of() + " " + count, false);
            case 1 -> {
                if (no > 1) {
                    leaf.centred(105, 290, 8, "- " + no + " -", false);
                }
            }
            case 2 -> {
                if (count > 1) {
                    leaf.right(210 - left, 290, 8, no + "/" + count);
                }
            }
            default -> {}
        }
    }

    private void mark(Leaf leaf, double x, double y) {
        Color ink = new Color(30 + 20 * logo, 60, 120 - 15 * logo);
        leaf.draw(pen -> {
            pen.ink(ink);
            switch (logo) {
                case 0 -> pen.fill(x, y, 16, 16);
                case 1 -> pen.box(x, y, 16, 16, 1.6).line(x, y + 16, x + 16, y, 1.6);
                case 2 -> pen.line(x, y + 16, x + 8, y, 2).line(x + 8, y, x + 16, y + 16, 2);
                case 3 -> pen.fill(x, y, 7, 16).fill(x + 9, y + 6, 7, 10);
                case 4 -> pen.box(x, y + 3, 16, 10, 1.2).fill(x + 4, y + 6, 8, 4);
                default -> pen.fill(x + 6, y, 4, 16).fill(x, y + 6, 16, 4);
            }
            pen.ink(Color.BLACK);
        });
    }
}
