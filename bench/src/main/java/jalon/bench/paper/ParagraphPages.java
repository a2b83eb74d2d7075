package jalon.bench.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A contract or minutes: a title, numbered paragraphs with headings, signatures at the end. */
final class ParagraphPages {
    private final House house;
    private final Random r;
    private final boolean contract;

    ParagraphPages(House house, Random r, boolean contract) {
        this.house = house;
        this.r = r;
        this.contract = contract;
    }

    List<Leaf> pages(int count) {
        Speech s = house.speech;
        List<Leaf> pages = new ArrayList<>();
        String title = s.any(s.acts(), r) + " " + s.any(s.things(), r);
        boolean running = r.nextInt(3) == 0;
        double line = house.points * Leaf.MM_PER_POINT * 1.4;
        int paragraph = 1;
        for (int no = 1; no <= count; no++) {
            Leaf leaf = house.leaf();
            double y = 26;
            if (no == 1) {
                y = contract ? 34 : house.head(leaf) + 6;
                leaf.centred(105, y, 16 + r.nextInt(5), title, true);
                y += 10;
                if (r.nextBoolean()) {
                    leaf.centred(
                            105,
                            y,
                            house.points,
                            s.any(s.places(), r) + ", " + (1 + r.nextInt(28)) + "." + (1 + r.nextInt(12)) + ".2025",
                            false);
                }
                y += 12;
            } else if (running) {
                leaf.text(house.left, 13, 8, title);
                leaf.rule(house.left, 15, 210 - house.left, 15);
            }
            if (no > 1 && r.nextInt(6) == 0) {
                // An annex, with a heading as large as a title.
                leaf.bold(
                        house.left, y + 4, 13 + r.nextInt(5), s.any(s.labels(), r) + " " + (char) ('A' + r.nextInt(4)));
                y += 14;
            }
            boolean last = no == count;
            double bottom = last ? Math.min(250, y + 25 + r.nextInt(200)) : 266;
            boolean fresh = no == 1 || r.nextBoolean();
            while (y < bottom) {
                if (fresh) {
                    leaf.bold(
                            house.left,
                            y,
                            house.points + 1,
                            (contract ? "§ " : "") + paragraph++ + (contract ? " " : ". ") + s.any(s.labels(), r));
                    y += 1.6 * line;
                }
                fresh = true;
                for (int i = 0; i < 3 + r.nextInt(7) && y < bottom; i++) {
                    leaf.text(house.left, y, house.points, fitting(leaf, s));
                    y += line;
                }
                y += 0.8 * line;
            }
            if (last) {
                y += 14;
                leaf.rule(house.left, y, house.left + 60, y);
                leaf.rule(120, y, 185, y);
                leaf.text(house.left, y + 4, 8, s.any(s.labels(), r));
                long ink = r.nextLong();
                double at = y;
                leaf.draw(pen -> pen.signature(125, at - 2, new Random(ink)));
            }
            house.number(leaf, no, count);
            pages.add(leaf);
        }
        return pages;
    }

    private String fitting(Leaf leaf, Speech s) {
        String text = s.sentence(12 + r.nextInt(4), r);
        double width = 210 - 2 * house.left;
        while (Leaf.width(leaf.face(), house.points, text) > width) {
            text = text.substring(0, text.lastIndexOf(' '));
        }
        return text;
    }
}
