package jalon.bench.values;

import java.awt.Color;
import java.time.LocalDate;
import java.util.List;

/** Two printed forms of a water board, filled in by machine; zones lie where the boxes are. */
final class Forms {
    private final Worlds world;

    Forms(Worlds world) {
        this.world = world;
    }

    /** @param edition 0 or 1 */
    Made make(Hand hand, int edition) {
        Tongue t = hand.any(Tongue.ALL);
        Ground page = new Ground(hand.any(world.faces()));
        var truth = new Made.Truths();
        Worlds.Client client = hand.any(world.clients());
        String code = hand.like("AAA-99");
        String meter = hand.like("9999999");
        LocalDate read = hand.day(2020, 2025);
        var cost = hand.money();
        String name = hand.any(t.names());
        double dx = edition == 0 ? 0 : 6;
        double step = edition == 0 ? 15 : 12;
        Ground print = page;
        print.text(20 + dx, 25, 15, edition == 0 ? "Application for a connection" : "Notice of a meter");
        String[] labels = {"Applicant", "Client number", "Area code", "Meter number", "Reading taken", "Charge"};
        String[] values = {name, client.no(), code, meter, hand.date(read, t), hand.amount(cost, t)};
        String[] fields = {"applicant", "client", "area", "meter", "taken", "charge"};
        for (int i = 0; i < labels.length; i++) {
            double y = 50 + i * step;
            print.text(20 + dx, y, 10, labels[i]);
            page.draw(pen -> pen.box(70 + dx, y - 6, 90, 9, 0.25));
            page.value(fields[i], 73 + dx, y, 11, values[i]);
        }
        print.text(20 + dx, 50 + 6 * step, 10, "Remarks");
        print.text(20 + dx, 62 + 6 * step, 10, t.prose().get(0));
        print.text(20 + dx, 68 + 6 * step, 10, t.prose().get(1));
        print.text(20 + dx, 240, 10, "Signature of the applicant");
        print.text(130 + dx, 240, 10, "Received by the board");
        truth.put("applicant", name);
        truth.put("client", client.no());
        truth.put("area", code);
        truth.put("meter", meter);
        truth.put("taken", read.toString());
        truth.put("charge", cost.toPlainString());
        boolean colour = hand.oneIn(3);
        for (String field : fields) {
            if (hand.oneIn(25)) {
                page.blot(field, hand.random());
                truth.lost(field);
            } else if (colour && hand.oneIn(4)) {
                page.stamp(
                        field,
                        hand.any(List.of(new Color(190, 40, 50), new Color(40, 60, 160), new Color(30, 120, 60))),
                        hand.any(List.of("PAID", "COPY", "ENTERED")),
                        hand.random());
                truth.stamped(field);
            }
        }
        return new Made(edition == 0 ? "connection" : "meter", List.of(page), truth.map(), colour);
    }
}
