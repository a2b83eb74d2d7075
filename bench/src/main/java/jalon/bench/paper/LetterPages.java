package jalon.bench.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A free letter of so many pages; what is on it differs from letter to letter, the letterhead does not. */
final class LetterPages {
    private final House house;
    private final Random r;

    LetterPages(House house, Random r) {
        this.house = house;
        this.r = r;
    }

    List<Leaf> pages(int count) {
        Speech s = house.speech;
        List<Leaf> pages = new ArrayList<>();
        Leaf leaf = house.leaf();
        double y = house.head(leaf) + 6;
        double line = house.points * Leaf.MM_PER_POINT * 1.35;
        if (house.letterhead != 1) {
            leaf.text(house.left, y, house.points, House.surname(r) + " " + House.surname(r));
            leaf.text(house.left, y + line, house.points, House.surname(r) + " " + (1 + r.nextInt(90)));
            leaf.text(house.left, y + 2 * line, house.points, House.digits(5, r) + " " + s.any(s.places(), r));
            y += 5 * line;
        }
        String reference = House.surname(r).substring(0, 2).toUpperCase(s.locale()) + "/" + House.digits(5, r);
        leaf.right(
                210 - house.left,
                y,
                house.points,
                reference + "   " + (1 + r.nextInt(28)) + "." + (1 + r.nextInt(12)) + "." + (2020 + r.nextInt(6)));
        y += 2 * line;
        if (r.nextInt(4) > 0) {
            leaf.bold(house.left, y, house.points, s.any(s.subjects(), r));
            y += 2 * line;
        }
        if (r.nextInt(4) > 0) {
            leaf.text(house.left, y, house.points, s.any(s.greetings(), r) + ",");
            y += 2 * line;
        }
        for (int no = 1; no <= count; no++) {
            if (no > 1) {
                leaf = house.leaf();
                y = 24;
                y = follower(leaf, reference, y);
            }
            boolean last = no == count;
            double bottom = last ? y + (30 + r.nextInt(110)) : 268;
            bottom = Math.min(bottom, 235 + (last ? 0 : 33));
            y = prose(leaf, y, bottom, line);
            if (last) {
                y += 2 * line;
                leaf.text(house.left, y, house.points, s.any(s.closings(), r));
                double at = y;
                long ink = r.nextLong();
                leaf.draw(pen -> pen.signature(house.left, at + 10, new Random(ink)));
                leaf.text(house.left, y + 18, house.points, House.surname(r) + " " + House.surname(r));
            }
            house.number(leaf, no, count);
            pages.add(leaf);
        }
        return pages;
    }

    /** What stands at the head of a second page. */
    private double follower(Leaf leaf, String reference, double y) {
        switch (house.letterhead) {
            case 0, 3 -> {
                leaf.text(house.left, 14, 8, house.name);
                leaf.right(210 - house.left, 14, 8, reference);
                return y;
            }
            case 4 -> {
                leaf.text(house.left, 16, 9, house.name + "  |  " + house.address);
                leaf.rule(house.left, 18, 210 - house.left, 18);
                return y + 6;
            }
            default -> {
                return y - 2;
            }
        }
    }

    private double prose(Leaf leaf, double from, double bottom, double line) {
        Speech s = house.speech;
        double y = from;
        double width = 210 - 2 * house.left;
        StringBuilder row = new StringBuilder();
        int sentences = 0;
        List<String> words = new ArrayList<>();
        while (y < bottom) {
            if (words.isEmpty()) {
                words.addAll(List.of(s.sentence(7 + r.nextInt(14), r).split(" ")));
                sentences++;
                if (sentences % 5 == 0 && row.length() > 0) {
                    leaf.text(house.left, y, house.points, row.toString());
                    row.setLength(0);
                    y += 1.8 * line;
                }
            }
            String word = words.remove(0);
            if (Leaf.width(leaf.face(), house.points, row + " " + word) > width) {
                leaf.text(house.left, y, house.points, row.toString());
                row.setLength(0);
                y += line;
            }
            row.append(row.length() == 0 ? "" : " ").append(word);
        }
        if (row.length() > 0) {
            leaf.text(house.left, y, house.points, row.toString());
        }
        return y;
    }
}
