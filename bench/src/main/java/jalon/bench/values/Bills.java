package jalon.bench.values;

import jalon.bench.values.Tongue.Says;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Bills with a table, ruled or not, one page or two; the total on the last. */
final class Bills {
    private static final BigDecimal TAX = new BigDecimal("0.19");
    private final Worlds world;

    Bills(Worlds world) {
        this.world = world;
    }

    Made make(Hand hand) {
        Tongue t = hand.any(Tongue.ALL);
        var face = hand.any(world.faces());
        List<Ground> sides = new ArrayList<>();
        Ground page = new Ground(face);
        sides.add(page);
        var truth = new Made.Truths();
        double points = hand.between(9, 11.5);
        double left = hand.between(18, 26);
        LocalDate written = hand.day(2023, 2025);
        Worlds.Client client = hand.any(world.clients());
        page.text(left, 24, points + 4, hand.any(List.of("Ostrel & Thane", "Kellmark Pumps", "Halden Stores")));
        double y = 50;
        page.text(left, y, points, t.word(Says.CUSTOMER) + ":");
        page.value("client", left + 50, y, points, client.no());
        page.text(left, y + 6, points, t.word(Says.NAME) + ":");
        page.value("client-name", left + 50, y + 6, points, client.name());
        page.text(left, y + 12, points, t.word(Says.DATE) + ":");
        page.value("written", left + 50, y + 12, points, hand.date(written, t));
        truth.put("client", client.no());
        truth.put("client-name", client.name());
        truth.put("written", written.toString());
        y += 30;
        boolean ruled = hand.oneIn(2);
        int rows = 3 + hand.upTo(6);
        boolean two = hand.oneIn(3);
        BigDecimal sum = BigDecimal.ZERO;
        for (int i = 0; i < rows; i++) {
            BigDecimal price = hand.money();
            sum = sum.add(price);
            page.text(
                    left,
                    y,
                    points,
                    hand.any(List.of("Pump seal", "Valve 3/4", "Gasket set", "Meter glass", "Pipe 20 mm")));
            page.text(left + 70, y, points, String.valueOf(1 + hand.upTo(9)));
            page.right(null, 185, y, points, hand.amount(price, t));
            if (ruled) {
                double at = y + 2;
                page.draw(pen -> pen.line(left, at, 186, at, 0.2));
            }
            y += 7;
            if (two && i == rows / 2) {
                page = new Ground(face);
                sides.add(page);
                y = 30;
            }
        }
        BigDecimal tax = sum.multiply(TAX).setScale(2, RoundingMode.HALF_UP);
        BigDecimal total = sum.add(tax);
        y += 4;
        double label = hand.oneIn(2) ? left : 110;
        page.text(label, y, points, t.word(Says.SUBTOTAL));
        page.right(null, 185, y, points, hand.amount(sum, t));
        page.text(label, y + 7, points, t.word(Says.TAX) + " 19 %");
        page.right(null, 185, y + 7, points, hand.amount(tax, t));
        String currency = hand.any(List.of("", "EUR ", "€ "));
        page.text(label, y + 14, points, t.word(Says.TOTAL) + (hand.oneIn(2) ? ":" : ""));
        page.right("total", 185, y + 14, points, currency + hand.amount(total, t));
        truth.put("total", total.toPlainString());
        page.text(left, y + 28, points, t.word(Says.DUE) + " " + hand.date(written.plusDays(14), t));
        for (String field : List.of("client", "client-name", "written")) {
            if (hand.oneIn(25)) {
                sides.get(0).blot(field, hand.random());
                truth.lost(field);
            }
        }
        if (hand.oneIn(25)) {
            page.blot("total", hand.random());
            truth.lost("total");
        }
        return new Made("bill", sides, truth.map(), false);
    }
}
