package jalon.bench.values;

import jalon.bench.values.Tongue.Says;
import java.awt.Color;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Free letters: references in a row, in a column, in a table with labels above, or in a sentence; the account's number
 * anywhere; the sender's own numbers beside; births and due dates to be passed over.
 */
final class Letters {
    private final Worlds world;

    Letters(Worlds world) {
        this.world = world;
    }

    Made make(Hand hand) {
        Tongue tongue = hand.any(Tongue.ALL);
        Ground page = new Ground(hand.any(world.faces()));
        var truth = new Made.Truths();
        double points = hand.between(9, 12);
        double left = hand.between(18, 28);
        String reference = hand.like(hand.any(List.of("AA-9999/99", "99999/AA", "AAA 9999", "A9-99999")));
        String ours = hand.like(hand.any(List.of("AA/99-999", "99.999-AA", "AAA-99")));
        LocalDate written = hand.day(2023, 2025);
        String account = hand.like("99999-99");
        String member = hand.any(world.members());
        String name = hand.any(tongue.names());
        double y = hand.between(20, 30);
        double senderX = hand.oneIn(2) ? left : 120;
        page.text(
                senderX,
                y,
                points,
                hand.any(List.of("Varnholt Water Board", "Brack Valley Library", "Ostrel & Thane")));
        page.text(senderX, y + 5, points, "Weir Lane " + (1 + hand.upTo(90)) + ", " + hand.like("A9 9AA"));
        page.text(senderX, y + 10, points, "Tel. " + hand.like("0999 999-99 99"));
        y += 28;
        y = references(page, hand, tongue, truth, left, y, points, reference, ours, written);
        y += 12;
        page.text(left, y, points, tongue.word(Says.NAME) + ":");
        page.value("name", left + page.width(points, tongue.word(Says.NAME) + ":  ") + 2, y, points, name);
        truth.put("name", name);
        y += 10;
        y = body(page, hand, tongue, truth, left, y, points, account, member);
        if (hand.oneIn(2)) {
            page.text(left, y, points, tongue.word(Says.BORN) + " " + hand.date(hand.day(1940, 2004), tongue));
            y += 6;
        }
        if (hand.oneIn(2)) {
            page.text(left, y, points, tongue.word(Says.DUE) + " " + hand.date(written.plusDays(30), tongue));
        }
        footer(page, hand, tongue, left);
        boolean colour = hand.oneIn(4);
        for (String field : List.of("reference", "written", "account", "member", "name")) {
            if (hand.oneIn(25)) {
                page.blot(field, hand.random());
                truth.lost(field);
            } else if (colour && hand.oneIn(4)) {
                page.stamp(
                        field,
                        hand.any(List.of(new Color(190, 40, 50), new Color(40, 60, 160))),
                        "SEEN",
                        hand.random());
                truth.stamped(field);
            }
        }
        return new Made("letter", List.of(page), truth.map(), colour);
    }

    private static double references(
            Ground page,
            Hand hand,
            Tongue t,
            Made.Truths truth,
            double left,
            double top,
            double points,
            String reference,
            String ours,
            LocalDate written) {
        String date = hand.date(written, t);
        boolean has = !hand.oneIn(15);
        truth.put("reference", has ? reference : null);
        truth.put("written", written.toString());
        String yours = t.word(Says.YOUR_REF);
        String own = t.word(Says.OUR_REF);
        double y = top;
        switch (hand.upTo(5)) {
            case 0 -> {
                double x = page.text(left, y, points, yours + ": ");
                x = has ? page.value("reference", x, y, points, reference) : x;
                x = page.text(Math.max(x + 8, left + 70), y, points, own + ": ") + 0.5;
                page.text(x, y, points, ours);
                y += 6;
                x = page.text(left, y, points, t.word(Says.DATE) + ": ");
                page.value("written", x, y, points, date);
            }
            case 1 -> {
                page.text(left, y, points, own + ":");
                page.text(left + 48, y, points, ours);
                y += 5.5;
                page.text(left, y, points, yours + ":");
                if (has) {
                    page.value("reference", left + 48, y, points, reference);
                }
                y += 5.5;
                page.text(left, y, points, t.word(Says.DATE) + ":");
                page.value("written", left + 48, y, points, date);
            }
            case 2 -> {
                // Labels in a row, their values below.
                double[] x = {left, left + 48, left + 100};
                int first = hand.upTo(2);
                page.text(x[first], y, points - 1, yours);
                page.text(x[1 - first], y, points - 1, own);
                page.text(x[2], y, points - 1, t.word(Says.DATE));
                y += 5;
                if (has) {
                    page.value("reference", x[first], y, points, reference);
                }
                page.text(x[1 - first], y, points, ours);
                page.value("written", x[2], y, points, date);
            }
            case 3 -> {
                page.right("written", 188, y, points, date);
                y += 8;
                double x = page.text(left, y, points, yours + " ");
                if (has) {
                    page.value("reference", x, y, points, reference);
                }
            }
            default -> {
                double x = page.text(left, y, points, "Varnholt, ");
                page.value("written", x, y, points, date);
                y += 9;
                page.text(left, y, points, own + " " + ours);
                y += 6;
                x = page.text(left, y, points, yours + ": ");
                if (has) {
                    page.value("reference", x, y, points, reference);
                }
            }
        }
        return y;
    }

    private static double body(
            Ground page,
            Hand hand,
            Tongue t,
            Made.Truths truth,
            double left,
            double top,
            double points,
            String account,
            String member) {
        double y = top;
        List<String> sentences = new ArrayList<>(t.prose());
        int at = hand.upTo(sentences.size());
        for (int i = 0; i < sentences.size(); i++) {
            page.text(left, y, points, sentences.get(i));
            y += points * 0.55;
            if (i == at) {
                double x = page.text(left, y, points, "(" + t.word(Says.CUSTOMER) + " ");
                x = page.value("account", x, y, points, account);
                x = page.text(x, y, points, ", ");
                x = page.value("member", x, y, points, member);
                page.text(x, y, points, ")");
                y += points * 0.55;
            }
        }
        truth.put("account", account);
        truth.put("member", member);
        return y + 6;
    }

    private static void footer(Ground page, Hand hand, Tongue t, double left) {
        double points = hand.between(7, 9);
        switch (hand.upTo(20)) {
            case 0, 3, 4, 7, 8, 9 -> page.text(left, 280, points, t.word(Says.BANK) + ": " + hand.like("99999-99"));
            case 1, 5, 6, 10, 11, 12 -> {
                page.text(left, 276, points, t.word(Says.BANK));
                page.text(left, 280, points, hand.like("99999-99"));
                page.text(left + 60, 276, points, "Tel.");
                page.text(left + 60, 280, points, hand.like("0999 999 999"));
            }
            // Another account in the text's own form, and nothing says which is meant.
            case 2 -> page.text(left, 270, points + 2, hand.like("99999-99"));
            default -> page.text(left, 280, points, "varnholt.example");
        }
    }
}
