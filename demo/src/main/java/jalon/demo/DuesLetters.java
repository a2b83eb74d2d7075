package jalon.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Free letters about harbour dues: the registration and the amount anywhere, a birth date to be passed over. */
public final class DuesLetters {
    private static final String[] MONTHS = {
        "January",
        "February",
        "March",
        "April",
        "May",
        "June",
        "July",
        "August",
        "September",
        "October",
        "November",
        "December"
    };

    private DuesLetters() {}

    public static List<PaperDocument> make(Harbour harbour, int documents, Random r) {
        List<PaperDocument> made = new ArrayList<>();
        for (int i = 0; i < documents; i++) {
            Vessel v = harbour.any(r);
            LocalDate date = LocalDate.of(2026, 1 + r.nextInt(10), 1 + r.nextInt(28));
            String amount = String.format(Locale.ROOT, "%d.%02d", 90 + r.nextInt(700), r.nextInt(100));
            boolean two = r.nextInt(3) == 0;
            int form = r.nextInt(3);
            List<Sheet> pages = new ArrayList<>();
            long hand = r.nextLong();
            // People mix up the digits of their own registration; the register does not know what they wrote.
            String written = i % 4 == 2 ? Mistakes.swapped(v.registration()) : v.registration();
            pages.add(pen -> letter(pen, v, written, date, amount, form, two, new Random(hand)));
            if (two) {
                pages.add(pen -> second(pen, v, new Random(hand)));
            }
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put("vessel", v.registration());
            fields.put("owner", v.owner());
            fields.put("written", date.toString());
            fields.put("amount", amount);
            made.add(new PaperDocument("dues-letter", List.of(), pages, fields));
        }
        return made;
    }

    private static void letter(
            Pen pen, Vessel v, String registration, LocalDate date, String amount, int form, boolean two, Random hand) {
        double left = form == 1 ? 115 : 22;
        pen.text(left, 25, 11, v.owner());
        pen.text(left, 31, 11, v.address());
        pen.text(left, 37, 11, "Tel. " + v.telephone());
        pen.text(22, 58, 11, "Port Merrow Harbour Office, Lantern Quay");
        pen.text(
                22,
                72,
                11,
                "Written on " + date.getDayOfMonth() + " " + MONTHS[date.getMonthValue() - 1] + " " + date.getYear());
        pen.text(22, 88, 11, "Dear Harbour Master,");
        String[][] bodies = {
            {
                "I write about the harbour dues for my vessel " + v.vessel() + ", " + registration + ", which lies",
                "at " + v.quay() + ". The account sent to me in spring asks for the full season, yet the boat",
                "was ashore for repairs until the end of May and did not use the berth at all.",
                "I have worked the sum out again and come to an amount of " + amount + " which I have paid today.",
                "I should be glad to have it confirmed that nothing more is owed for this year."
            },
            {
                "thank you for your reminder. My boat, registered as " + registration + ", has been sold to my",
                "brother, who keeps her on the same mooring. Please send the accounts to him from now on.",
                "So that no dues stay open I enclose the amount of " + amount + " for the months up to the sale.",
                "The insurance has been told, and the survey of last autumn goes to the new owner with the papers."
            },
            {
                "the dues for " + v.vessel() + " seem to have been charged twice. One account names the registration",
                registration + ", the other only the berth " + v.berth() + "; both are meant for the same boat. I have",
                "paid one of them, an amount of " + amount + ", by transfer on the day it came, and ask you to strike",
                "out the other. If I am mistaken please telephone, best in the evening after the boats are in."
            }
        };
        double y = 102;
        for (String line : bodies[form]) {
            pen.text(22, y, 11, line);
            y += 7;
        }
        pen.text(22, y + 8, 11, "For your records: I was born on 14 March 1961 and have held a mooring since 1998.");
        if (two) {
            pen.text(22, y + 24, 11, "Please turn over.");
        } else {
            pen.text(22, y + 26, 11, "Yours faithfully");
            pen.signature(24, y + 42, hand);
            pen.text(22, y + 54, 11, v.owner());
        }
    }

    private static void second(Pen pen, Vessel v, Random hand) {
        pen.text(
                22,
                30,
                11,
                "There is one more thing. The ladder at " + v.quay() + " has lost its two lowest rungs, and at");
        pen.text(
                22,
                37,
                11,
                "low water it is no longer safe to climb. Several of us have asked for it to be mended before");
        pen.text(22, 44, 11, "the season, and we would be grateful for a word on when this may happen.");
        pen.text(22, 64, 11, "Yours faithfully");
        pen.signature(24, 80, hand);
        pen.text(22, 92, 11, v.owner());
    }
}
