package jalon.bench.paper;

import java.awt.Font;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A fixed form: a title, numbered or boxed lines with labels, tick boxes, a form's code at the foot. Lookalikes are one form
 * with one word, one box or its code changed.
 */
final class FormDesign {
    private final House house;
    private final long layout;
    private String title;
    private String code;
    private final List<String> labels = new ArrayList<>();
    private int extraBox = -1;
    private boolean framed;
    private String note;

    /** What makes a lookalike another form. */
    enum Change {
        TITLE,
        LABEL,
        TICK_BOX,
        FRAME,
        CODE,
        NOTE
    }

    FormDesign(House house, Random r) {
        this.house = house;
        this.layout = r.nextLong();
        Speech s = house.speech;
        title = s.any(s.acts(), r) + " " + s.any(s.things(), r);
        code = "F-" + House.digits(3, r) + (char) ('A' + r.nextInt(6));
        int n = 7 + r.nextInt(9);
        List<String> all = new ArrayList<>(s.labels());
        java.util.Collections.shuffle(all, r);
        labels.addAll(all.subList(0, n));
    }

    private FormDesign(FormDesign of) {
        house = of.house;
        layout = of.layout;
        title = of.title;
        code = of.code;
        labels.addAll(of.labels);
        extraBox = of.extraBox;
        framed = of.framed;
        note = of.note;
    }

    FormDesign changed(Change change, Random r) {
        var other = new FormDesign(this);
        Speech s = house.speech;
        switch (change) {
            case TITLE -> {
                while (other.title.equals(title)) {
                    other.title = r.nextBoolean()
                            ? s.any(s.acts(), r)
                                    + title.substring(
                                            title.indexOf(' ') < 0
                                                    ? 0
                                                    : act(title).length())
                            : act(title) + " " + s.any(s.things(), r);
                }
            }
            case LABEL -> {
                String fresh = s.any(s.labels(), r);
                while (labels.contains(fresh)) {
                    fresh = s.any(s.labels(), r);
                }
                other.labels.set(r.nextInt(labels.size()), fresh);
            }
            case TICK_BOX -> other.extraBox = r.nextInt(labels.size());
            case FRAME -> other.framed = true;
            case CODE -> other.code = "F-" + House.digits(3, r) + (char) ('A' + r.nextInt(6));
            case NOTE -> other.note = s.sentence(6, r);
        }
        return other;
    }

    private String act(String of) {
        return house.speech.acts().stream().filter(of::startsWith).findFirst().orElse("");
    }

    /** @param fill what is written into it; null for a blank one */
    Leaf page(Random fill) {
        Random r = new Random(layout);
        Leaf leaf = house.leaf();
        double right = 210 - house.left;
        double y = house.head(leaf) + 4;
        int style = r.nextInt(4);
        leaf.bold(house.left, y, 13 + r.nextInt(5), title);
        if (framed) {
            leaf.box(right - 34, y - 9, 34, 13);
        }
        y += 6;
        if (r.nextBoolean()) {
            leaf.text(house.left, y, 8, house.speech.sentence(9, r));
            y += 5;
        }
        if (note != null) {
            leaf.text(house.left, y, 9, note);
        }
        y += 7;
        double step = Math.min(19, (258 - y) / labels.size()) * (0.75 + 0.25 * r.nextDouble());
        boolean twoColumns = style == 3;
        double column = house.left + 40 + r.nextInt(25);
        for (int i = 0; i < labels.size(); i++) {
            boolean second = twoColumns && i % 2 == 1;
            double x = second ? 108 : house.left;
            double end = twoColumns && !second ? 104 : right;
            String label = labels.get(i);
            switch (style) {
                case 0 -> {
                    leaf.text(x, y, house.points, label);
                    leaf.rule(column, y + 1, end, y + 1);
                    value(leaf, fill, column + 2, y, end);
                }
                case 1 -> {
                    leaf.box(x, y - 6, end - x, step * 0.85);
                    leaf.text(x + 1.5, y - 3, 7, label);
                    value(leaf, fill, x + 3, y - 6 + step * 0.75, end);
                }
                case 2 -> {
                    leaf.text(x, y, house.points, (i + 1) + ". " + label + ":");
                    leaf.box(column, y - 5, end - column, 7);
                    value(leaf, fill, column + 2, y, end);
                }
                default -> {
                    leaf.text(x, y, 8, label);
                    leaf.box(x, y + 1.5, end - x, 7);
                    value(leaf, fill, x + 2, y + 6.5, end);
                }
            }
            if (i == extraBox) {
                // Beside the line, where nothing else is drawn.
                leaf.box(style == 0 ? right - 6 : right + 1.2, y - 4.6, 4.2, 4.2);
            }
            if (!twoColumns || second) {
                y += step;
            }
        }
        ticks(leaf, r, fill, Math.min(268, y + 6));
        leaf.text(house.left, 276, 7, code + "  " + house.name);
        return leaf;
    }

    /** A further side of the form: more lines, without the head. */
    Leaf later(int no, int count, Random fill) {
        Random r = new Random(layout + no);
        Speech s = house.speech;
        Leaf leaf = house.leaf();
        double y = 24;
        if (r.nextInt(3) == 0) {
            leaf.text(house.left, 14, 8, title);
        }
        for (int part = 0; part < 2 + r.nextInt(2); part++) {
            leaf.bold(house.left, y, house.points + 1, (char) ('A' + part + no) + "  " + s.any(s.labels(), r));
            y += 9;
            for (int i = 0; i < 3 + r.nextInt(4) && y < 262; i++) {
                leaf.text(house.left, y, house.points, s.any(s.labels(), r));
                leaf.box(house.left + 55, y - 5, 150 - 2 * house.left, 7);
                value(leaf, fill, house.left + 57, y, 200 - house.left);
                y += 10;
            }
            y += 6;
        }
        leaf.text(house.left, 276, 7, code + "  " + house.name);
        house.number(leaf, no, count);
        return leaf;
    }

    private void ticks(Leaf leaf, Random r, Random fill, double y) {
        int n = r.nextInt(4);
        double x = house.left;
        for (int i = 0; i < n; i++) {
            double at = x;
            leaf.box(at, y - 3.4, 4, 4);
            if (fill != null && fill.nextBoolean()) {
                leaf.draw(
                        pen -> pen.line(at + 0.6, y - 2.8, at + 3.4, y, 0.4).line(at + 3.4, y - 2.8, at + 0.6, y, 0.4));
            }
            x = leaf.text(at + 6, y, 8, house.speech.any(house.speech.labels(), r)) + 8;
        }
    }

    private void value(Leaf leaf, Random fill, double x, double y, double end) {
        if (fill == null || fill.nextInt(6) == 0) {
            return;
        }
        Speech s = house.speech;
        String text = switch (fill.nextInt(6)) {
            case 0 -> House.surname(fill) + " " + House.surname(fill);
            case 1 -> (1 + fill.nextInt(28)) + "." + (1 + fill.nextInt(12)) + "." + (1950 + fill.nextInt(75));
            case 2 -> House.digits(4 + fill.nextInt(6), fill);
            case 3 -> s.any(s.prose(), fill) + " " + s.any(s.prose(), fill);
            case 4 -> s.any(s.places(), fill);
            default -> House.surname(fill) + " " + (1 + fill.nextInt(99));
        };
        Font hand = house.hand;
        double points = 9.5;
        while (x + Leaf.width(hand, points, text) > end - 1 && points > 6) {
            points -= 0.5;
        }
        leaf.filled(hand, x, y, points, text);
    }
}
