package jalon.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Vessel survey certificates of two to three pages; each surveyor has a layout of his own. */
final class Surveys {
    private static final String[] FINDINGS = {
        "Hull sound to the hammer, plating of the turn of the bilge at nine tenths of its first thickness.",
        "Stern gland renewed. Shaft bearing within the limits of the maker.",
        "Skin fittings and hoses examined, two clips replaced, all valves move freely.",
        "Standing rigging of 2019, no broken strands; lower shrouds to be looked at again in two years.",
        "Gas locker drains overboard. Hose dated, regulator within its years of use.",
        "Bilge pumps tried under load, float switch of the forward one slow and replaced on the spot.",
        "Fire extinguishers weighed and tagged. Flares in date until the end of next season.",
        "Anchor, twenty metres of chain and forty of warp as listed. Bitter end made fast.",
    };

    private Surveys() {}

    static PaperDocument one(Vessel v, Random r) {
        String number = String.format(Locale.ROOT, "SC-%05d", 10_000 + r.nextInt(90_000));
        LocalDate day = LocalDate.of(2026, 1 + r.nextInt(10), 1 + r.nextInt(28));
        boolean overlund = r.nextBoolean();
        int pages = 2 + r.nextInt(2);
        long hand = r.nextLong();
        List<Sheet> sheets = new ArrayList<>();
        sheets.add(pen -> {
            if (overlund) {
                overlund(pen, v, number, day);
            } else {
                kestrin(pen, v, number, day);
            }
        });
        for (int p = 2; p <= pages; p++) {
            int page = p;
            sheets.add(pen -> findings(pen, v, number, page, pages, overlund, new Random(hand)));
        }
        return new PaperDocument(
                "survey",
                List.of(),
                sheets,
                Map.of("certificate", number, "vessel", v.registration(), "surveyed", day.toString()));
    }

    private static void overlund(Pen pen, Vessel v, String number, LocalDate day) {
        pen.bold(62, 24, 15, "Overlund & Daughters, Marine Surveyors");
        pen.line(20, 29, 190, 29, 0.6);
        pen.bold(55, 48, 22, "Certificate of survey");
        pen.text(82, 58, 11, number);
        String[][] rows = {
            {"Name of vessel", v.vessel()},
            {"Registration", v.registration()},
            {"Length overall", v.lengthM() + " m"},
            {"Owner", v.owner()},
            {"Surveyed on", day.toString()},
            {"Lying at", v.quay()}
        };
        double y = 78;
        for (String[] row : rows) {
            pen.text(30, y, 11, row[0]);
            pen.text(90, y, 12, row[1]);
            pen.line(88, y + 2, 180, y + 2, 0.2);
            y += 13;
        }
        pen.text(
                30,
                175,
                10.5,
                "The vessel was surveyed afloat and ashore. What was found stands on the pages that follow.");
        pen.text(95, 288, 8, "1");
    }

    private static void kestrin(Pen pen, Vessel v, String number, LocalDate day) {
        pen.box(15, 14, 180, 26, 0.8);
        pen.bold(20, 26, 13, "HALLEN KESTRIN");
        pen.text(20, 34, 9, "Surveyor of small craft   Cooper's Yard, Port Merrow");
        pen.bold(130, 26, 12, "SURVEY REPORT");
        pen.text(130, 34, 10, "No. " + number);
        pen.text(20, 60, 11, "At the request of " + v.owner() + " I have surveyed the craft");
        pen.bold(20, 70, 14, v.vessel() + "   " + v.registration());
        pen.text(
                20,
                80,
                11,
                "on " + day + " at " + v.quay() + ". Her length overall is " + v.lengthM()
                        + " m. This report is made for");
        pen.text(20, 87, 11, "insurance and is good for five years unless she takes the ground or is altered.");
        for (int i = 0; i < 4; i++) {
            pen.text(24, 108 + 11 * i, 10.5, (i + 1) + "   " + FINDINGS[(i + number.charAt(4)) % FINDINGS.length]);
        }
        pen.text(170, 288, 8, "sheet 1");
    }

    private static void findings(Pen pen, Vessel v, String number, int page, int of, boolean overlund, Random hand) {
        if (overlund) {
            pen.text(20, 20, 9, "Overlund & Daughters");
            pen.text(150, 20, 9, number);
            pen.line(20, 23, 190, 23, 0.3);
        } else {
            pen.text(20, 20, 9, "Report " + number + ", " + v.registration());
        }
        double y = 40;
        for (int i = 0; i < 9; i++) {
            pen.text(24, y, 10.5, ((page - 1) * 9 + i + 1) + "   " + FINDINGS[(i * page + 3) % FINDINGS.length]);
            y += 13;
        }
        if (page == of) {
            pen.text(24, y + 20, 11, overlund ? "For Overlund & Daughters" : "H. Kestrin");
            pen.signature(28, y + 40, hand);
        }
        pen.text(overlund ? 95 : 170, 288, 8, overlund ? String.valueOf(page) : "sheet " + page);
    }
}
