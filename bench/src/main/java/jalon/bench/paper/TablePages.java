package jalon.bench.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A bill or a statement: a head, a table that goes on over pages, a sum on the last one. */
final class TablePages {
    private final House house;
    private final Random r;
    private final boolean bill;

    TablePages(House house, Random r, boolean bill) {
        this.house = house;
        this.r = r;
        this.bill = bill;
    }

    List<Leaf> pages(int count) {
        Speech s = house.speech;
        List<Leaf> pages = new ArrayList<>();
        String number = House.digits(6, r);
        String client = House.digits(5, r);
        List<String> columns = new ArrayList<>(s.columns());
        java.util.Collections.shuffle(columns, r);
        columns = columns.subList(0, 4);
        double[] at = {house.left, house.left + 28 + r.nextInt(10), 120, 165};
        boolean ruled = r.nextBoolean();
        boolean headAgain = r.nextInt(3) == 0;
        boolean carried = r.nextInt(3) == 0;
        double step = 5.5 + r.nextInt(3);
        for (int no = 1; no <= count; no++) {
            Leaf leaf = house.leaf();
            double y;
            if (no == 1 || headAgain) {
                y = house.head(leaf) + 5;
            } else {
                y = 18;
                if (house.letterhead % 2 == 0) {
                    leaf.text(house.left, 14, 8, house.name + "   " + number);
                }
            }
            if (no == 1) {
                leaf.text(house.left, y, house.points, House.surname(r) + " " + House.surname(r));
                leaf.text(house.left, y + 5, house.points, House.digits(5, r) + " " + s.any(s.places(), r));
                y += 18;
                leaf.bold(house.left, y, 13 + r.nextInt(4), s.any(bill ? s.subjects() : s.acts(), r) + " " + number);
                leaf.right(
                        210 - house.left, y, house.points, (1 + r.nextInt(28)) + "." + (1 + r.nextInt(12)) + ".2025");
                leaf.text(house.left, y + 6, house.points, s.any(s.labels(), r) + ": " + client);
                y += 16;
            } else if (headAgain) {
                leaf.text(house.left, y, house.points, number + "   " + client);
                y += 10;
            }
            for (int c = 0; c < 4; c++) {
                leaf.bold(at[c], y, house.points - 1, columns.get(c));
            }
            leaf.rule(house.left, y + 1.5, 210 - house.left, y + 1.5);
            y += 6;
            if (carried && no > 1) {
                leaf.text(at[1], y, house.points - 1, s.carried());
                leaf.right(210 - house.left, y, house.points - 1, amount());
                y += step;
            }
            boolean last = no == count;
            double bottom = last ? Math.min(262, y + 20 + r.nextInt(220)) : 262;
            while (y < bottom) {
                leaf.text(
                        at[0],
                        y,
                        house.points - 1,
                        bill ? String.valueOf(1 + r.nextInt(40)) : (1 + r.nextInt(28)) + ".03.");
                leaf.text(
                        at[1],
                        y,
                        house.points - 1,
                        s.any(s.prose(), r) + " " + s.any(s.prose(), r) + " " + s.any(s.things(), r));
                leaf.right(at[3] - 12, y, house.points - 1, amount());
                leaf.right(210 - house.left, y, house.points - 1, amount());
                if (ruled) {
                    leaf.rule(house.left, y + 1.4, 210 - house.left, y + 1.4);
                }
                y += step;
            }
            if (last) {
                leaf.bold(at[2], y + 4, house.points, columns.get(3));
                leaf.right(210 - house.left, y + 4, house.points, amount());
                if (r.nextBoolean()) {
                    leaf.text(house.left, y + 16, house.points - 1, s.sentence(9, r));
                }
            } else if (carried) {
                leaf.text(at[1], y, house.points - 1, s.carried());
                leaf.right(210 - house.left, y, house.points - 1, amount());
            }
            house.number(leaf, no, count);
            pages.add(leaf);
        }
        return pages;
    }

    private String amount() {
        return (1 + r.nextInt(900)) + "," + House.digits(2, r);
    }
}
