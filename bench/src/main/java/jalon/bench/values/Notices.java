package jalon.bench.values;

import jalon.bench.values.Tongue.Says;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Notices of a layout of their own each: blocks in any order and at any margin, with a file number of no fixed length among
 * lookalikes of the sender's, an order number near its words, an address of several lines, a date on any side of its label,
 * a name above the line that says so, and a case number that the end of a line may part.
 */
final class Notices {
    private static final List<String> STREETS = List.of(
            "Weir Lane", "Sluice Row", "Tollhouse Street", "Unter den Erlen", "Quai du Phare", "Via del Mulino");

    private final Worlds world;

    Notices(Worlds world) {
        this.world = world;
    }

    Made make(Hand hand) {
        var writing = new Writing(hand, new Ground(hand.any(world.faces())), hand.any(Tongue.ALL));
        List<Runnable> blocks = new ArrayList<>(List.of(
                writing::fileNumber, writing::order, writing::address, writing::dated, writing::prose, writing::noise));
        Collections.shuffle(blocks, hand.random());
        blocks.forEach(Runnable::run);
        writing.signature();
        for (String field : List.of("file", "order", "holder", "dated", "signed", "case")) {
            if (hand.oneIn(30)) {
                writing.page.blot(field, hand.random());
                writing.truth.lost(field);
            }
        }
        return new Made("notice", List.of(writing.page), writing.truth.map(), hand.oneIn(4));
    }

    /** One notice being written from the top down. */
    private static final class Writing {
        private final Hand hand;
        private final Ground page;
        private final Tongue tongue;
        private final Made.Truths truth = new Made.Truths();
        private final double points;
        private final double left;
        private final String colon;
        private double y;

        Writing(Hand hand, Ground page, Tongue tongue) {
            this.hand = hand;
            this.page = page;
            this.tongue = tongue;
            points = hand.between(9, 12);
            left = hand.between(16, 40);
            colon = hand.any(List.of(":", "", " :"));
            y = hand.between(20, 45);
        }

        private double line() {
            return points * 0.5;
        }

        private double label(double x, Says what) {
            return page.text(x, y, points, tongue.word(what) + colon) + hand.between(2, 3);
        }

        private String number() {
            return hand.like("A".repeat(2 + hand.upTo(3)) + hand.any(List.of("/", "-")) + "9".repeat(5 + hand.upTo(4)));
        }

        /** The sender's own of the same form stands beside or before it. */
        void fileNumber() {
            String file = number();
            truth.put("file", file);
            boolean own = hand.oneIn(2);
            if (own) {
                page.text(label(left, Says.OUR_REF), y, points, number());
                y += hand.oneIn(2) ? line() : 0;
            }
            double x = hand.oneIn(2) ? label(own ? left + 92 : left, Says.YOUR_REF) : own ? left + 92 : left;
            page.value("file", x, y, points, file);
            y += 3 * line();
        }

        void order() {
            String order = hand.like("9".repeat(6 + hand.upTo(3)));
            truth.put("order", order);
            page.text(left, y, points, "Tel. " + hand.like("99999999"));
            y += hand.between(12, 18);
            double x = label(hand.oneIn(2) ? left : 105, Says.CUSTOMER);
            page.value("order", x, y, points, order);
            y += hand.between(12, 18);
            page.text(left, y, points, tongue.word(Says.BANK) + " " + hand.like("9999999"));
            y += 3 * line();
        }

        void address() {
            List<String> lines = new ArrayList<>(List.of(
                    hand.any(tongue.names()),
                    hand.any(STREETS) + " " + (1 + hand.upTo(180)),
                    hand.like("A9 9AA ") + hand.any(List.of("Varnholt", "Brack Valley", "Ostrel"))));
            if (hand.oneIn(2)) {
                lines.add(1, hand.any(List.of("c/o Thane", "Pump House", "Flat 3")));
            }
            truth.put("holder", String.join(", ", lines));
            double x = label(left, Says.NAME);
            x = hand.oneIn(2) ? x : left + 55;
            for (int i = 0; i < lines.size(); i++) {
                page.value(i == 0 ? "holder" : "holder" + i, x, y, points, lines.get(i));
                y += line();
            }
            y += 3 * line();
        }

        void dated() {
            LocalDate day = hand.day(2023, 2025);
            truth.put("dated", day.toString());
            String text = hand.date(day, tongue);
            double x = hand.between(left, 95);
            double labelled = page.width(points, tongue.word(Says.DATE) + colon) + 3;
            switch (hand.upTo(4)) {
                case 0 -> page.value("dated", label(x, Says.DATE), y, points, text);
                case 1 -> {
                    label(x, Says.DATE);
                    y += line();
                    page.value("dated", x, y, points, text);
                }
                case 2 -> {
                    page.value("dated", x, y, points, text);
                    y += line();
                    label(x, Says.DATE);
                }
                default -> label(page.value("dated", x, y, points, text) + labelled / 20 + 2, Says.DATE);
            }
            y += 3 * line();
        }

        /** In one of four the case number is parted by the end of the line. */
        void prose() {
            String number = hand.like("9999.AAA.99999");
            truth.put("case", number);
            List<String> sentences = tongue.prose();
            page.text(left, y, points, sentences.get(0));
            y += line();
            if (hand.oneIn(4)) {
                int at = 4 + hand.upTo(5);
                String before = sentences
                                .get(1)
                                .substring(0, Math.min(40, sentences.get(1).length())) + " ";
                double x = page.text(left, y, points, before);
                page.value("case", x, y, points, number.substring(0, at));
                y += line();
                page.text(page.text(left, y, points, number.substring(at)) + 1.5, y, points, "(x)");
            } else {
                page.value("case", page.text(left, y, points, "(") + 1, y, points, number);
            }
            y += line();
            page.text(left, y, points, sentences.get(2));
            y += 3 * line();
        }

        /** What has nearly such forms and is none of it. */
        void noise() {
            page.text(
                    left,
                    y,
                    points,
                    tongue.word(Says.TAX) + " " + hand.like("A/9999") + "   " + hand.like("AAAAA-99999"));
            page.text(left + 85, y, points, hand.like("A-99999999"));
            y += 3 * line();
        }

        void signature() {
            String name = hand.any(tongue.names());
            truth.put("signed", name);
            double x = hand.between(left, 120);
            y = Math.max(y + 6, 240);
            page.value("signed", x, y, points, name);
            y += line() + 0.5;
            page.text(x, y, points - 1, "(" + hand.any(List.of("Signatory", "Signed for the board")) + ")");
        }
    }
}
