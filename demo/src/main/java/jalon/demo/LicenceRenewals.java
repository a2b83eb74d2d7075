package jalon.demo;

import java.awt.Color;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Mooring licence renewals of two to four pages behind patch 2 sheets, some with a coloured stamp. */
public final class LicenceRenewals {
    private static final String PATCH_2 = "WNWN";

    private static final String[] CONDITIONS = {
        "The licence holder keeps the mooring, its chains and its buoy in good order and has them lifted and",
        "examined by a diver approved by the harbour master at least once in every two years.",
        "A vessel other than the one named on the first page may not lie on the mooring for more than three nights.",
        "The harbour office may ask for a vessel to be moved for dredging, regattas or works on the quay walls.",
        "Dues fall due on the first day of the season. A licence for which dues are unpaid after sixty days ends.",
        "Fuel is taken on at the fuel berth only. Waste goes ashore into the containers on Lantern Quay.",
        "The holder tells the harbour office of any change of address, ownership or insurance within fourteen days.",
        "Lights and fenders are the holder's business. The office accepts no liability for storm or ice.",
    };

    private LicenceRenewals() {}

    public static List<PaperDocument> make(Harbour harbour, int documents, Random r) {
        List<PaperDocument> made = new ArrayList<>();
        for (int i = 0; i < documents; i++) {
            Vessel v = harbour.any(r);
            String number = String.format(Locale.ROOT, "ML-26-%05d", r.nextInt(100_000));
            LocalDate until = LocalDate.of(2027, 1 + r.nextInt(12), 28);
            String fee = String.format(Locale.ROOT, "%d.%02d", 180 + r.nextInt(900), r.nextInt(4) * 25);
            boolean stamped = i % 3 == 1;
            List<Sheet> pages = new ArrayList<>();
            long hand = r.nextLong();
            pages.add(pen -> first(pen, v, number, until, fee, stamped, new Random(hand)));
            int more = 1 + r.nextInt(3);
            for (int p = 0; p < more; p++) {
                int no = p + 2;
                pages.add(pen -> conditions(pen, number, no, more + 1));
            }
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put("licence", number);
            fields.put("vessel", v.registration());
            fields.put("owner", v.owner());
            fields.put("until", until.toString());
            fields.put("fee", fee);
            made.add(new PaperDocument("licence-renewal", List.of(LicenceRenewals::separator), pages, fields));
        }
        return made;
    }

    private static void separator(Pen pen) {
        pen.patch(25, 14, 160, PATCH_2);
        pen.bold(40, 120, 34, "New document");
        pen.text(40, 135, 14, "Separator sheet, patch 2. This edge first.");
        pen.text(40, 270, 10, "Port Merrow Harbour Office. Use again.");
    }

    private static void first(
            Pen pen, Vessel v, String number, LocalDate until, String fee, boolean stamped, Random hand) {
        pen.bold(20, 24, 11, "PORT MERROW HARBOUR OFFICE");
        pen.bold(20, 40, 19, "Renewal of a mooring licence");
        String[][] rows = {
            {"Licence number", number},
            {"Vessel", v.registration() + "  " + v.vessel()},
            {"Holder", v.owner()},
            {"Mooring", v.berth() + ", " + v.quay()},
            {"Valid until", until.getDayOfMonth() + "." + until.getMonthValue() + "." + until.getYear()},
            {"Fee paid", fee}
        };
        double y = 62;
        for (String[] row : rows) {
            pen.text(20, y, 11, row[0] + ":");
            pen.text(72, y, 12, row[1]);
            y += 12;
        }
        pen.text(
                20,
                150,
                10,
                "The licence named above is renewed on the conditions on the following pages, which are part of it.");
        pen.text(20, 156, 10, "It is personal to the holder and may not be passed on or let.");
        pen.signature(30, 196, hand);
        pen.line(20, 200, 90, 200, 0.3);
        pen.text(20, 205, 9, "For the harbour master");
        if (stamped) {
            pen.stamp(122, 180, -9, new Color(190, 30, 45), "RENEWED");
        }
        pen.text(20, 285, 8, "Page 1");
    }

    private static void conditions(Pen pen, String number, int page, int of) {
        pen.bold(20, 24, 12, "Conditions of the mooring licence");
        pen.text(150, 24, 9, number);
        double y = 40;
        for (int i = 0; i < 22; i++) {
            pen.text(
                    20,
                    y,
                    10,
                    (i % 2 == 0 ? (page * 11 + i / 2) + ". " : "    ") + CONDITIONS[(i + page) % CONDITIONS.length]);
            y += i % 2 == 0 ? 6 : 10;
        }
        pen.text(20, 285, 8, "Page " + page + " of " + of);
    }
}
