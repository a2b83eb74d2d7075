package jalon.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Landing declarations, a form of one page, and insurance cover notes of two. */
final class ShortPaper {
    private static final String[] FISH = {"Cod", "Haddock", "Plaice", "Crab", "Lobster", "Mackerel"};

    private ShortPaper() {}

    static PaperDocument landing(Vessel v, Random r) {
        LocalDate day = LocalDate.of(2026, 1 + r.nextInt(10), 1 + r.nextInt(28));
        int[] kilos = new int[FISH.length];
        int total = 0;
        for (int i = 0; i < kilos.length; i++) {
            kilos[i] = r.nextInt(3) == 0 ? 0 : 20 + r.nextInt(400);
            total += kilos[i];
        }
        int all = total;
        long hand = r.nextLong();
        Sheet sheet = pen -> {
            pen.bold(20, 24, 11, "PORT MERROW FISH QUAY");
            pen.bold(20, 38, 19, "Declaration of landing");
            pen.text(20, 52, 10, "Vessel");
            pen.text(60, 52, 12, v.registration() + "  " + v.vessel());
            pen.text(20, 62, 10, "Landed on");
            pen.text(60, 62, 12, day.getDayOfMonth() + "." + day.getMonthValue() + "." + day.getYear());
            pen.box(20, 74, 160, 10 + 12 * FISH.length, 0.4);
            pen.line(20, 84, 180, 84, 0.4).line(120, 74, 120, 84 + 12 * FISH.length, 0.3);
            pen.bold(24, 81, 10, "Species");
            pen.bold(124, 81, 10, "Kilograms, gutted");
            for (int i = 0; i < FISH.length; i++) {
                pen.text(24, 92 + 12 * i, 11, FISH[i]);
                pen.text(130, 92 + 12 * i, 12, kilos[i] == 0 ? "-" : String.valueOf(kilos[i]));
            }
            pen.bold(24, 176, 11, "Total");
            pen.text(130, 176, 12, String.valueOf(all));
            pen.text(20, 200, 10, "I declare that all fish landed is named above.");
            pen.signature(28, 222, new Random(hand));
            pen.text(20, 232, 9, "Skipper");
            pen.text(20, 285, 8, "FQ-3");
        };
        return new PaperDocument(
                "landing",
                List.of(),
                List.of(sheet),
                Map.of("vessel", v.registration(), "landed", day.toString(), "total", String.valueOf(total)));
    }

    static PaperDocument cover(Vessel v, Random r) {
        String policy = String.format(Locale.ROOT, "%d-%06d", 3 + r.nextInt(6), r.nextInt(1_000_000));
        LocalDate from = LocalDate.of(2026, 1 + r.nextInt(10), 1);
        Sheet first = pen -> {
            pen.bold(120, 22, 16, "Saltmere Mutual");
            pen.text(120, 29, 9, "Boats and small craft since the great storm");
            pen.text(20, 45, 11, v.owner());
            pen.text(20, 51, 11, v.address());
            pen.text(20, 57, 11, "Telephone " + v.telephone());
            pen.bold(20, 78, 15, "Cover note");
            pen.text(20, 90, 11, "Policy " + policy + ", in force from " + from);
            pen.text(
                    20,
                    104,
                    11,
                    "We insure the pleasure craft of the person named above, length overall " + v.lengthM()
                            + " m, kept at");
            pen.text(
                    20,
                    111,
                    11,
                    v.quay() + ", against loss, damage and the claims of others. The craft is used between");
            pen.text(20, 118, 11, "April and October; it may be laid up ashore or afloat in the other months.");
            pen.text(20, 285, 8, "The terms of this cover are overleaf.");
        };
        Sheet terms = pen -> {
            pen.bold(20, 24, 10, "Terms");
            for (int i = 0; i < 14; i++) {
                pen.text(20, 36 + 14 * i, 9, (i + 1) + ".  " + TERMS[(i * 5 + 2) % TERMS.length]);
            }
        };
        return new PaperDocument(
                "cover-note",
                List.of(),
                List.of(first, terms),
                Map.of("vessel", v.registration(), "owner", v.owner(), "policy", policy, "from", from.toString()));
    }

    private static final String[] TERMS = {
        "Damage is told to us within seven days, before anything is mended but what keeps her afloat.",
        "Two hundred of each claim are borne by the insured; four hundred where nobody was on board.",
        "Racing is not covered but by a supplement that names the race and the crew.",
        "Gear stolen from an open deck is covered only where it was chained or bolted down.",
        "The cover ends when the craft is sold, and what was paid for the time after is given back.",
        "Wear, rot, worms and frost are nobody's fault and are not covered.",
    };
}
