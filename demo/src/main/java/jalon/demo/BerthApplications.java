package jalon.demo;

import com.google.zxing.BarcodeFormat;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** A fixed form behind a cover sheet whose Code 128 is the vessel's registration. */
public final class BerthApplications {
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

    private BerthApplications() {}

    public static List<PaperDocument> make(Harbour harbour, int documents, Random r) {
        List<PaperDocument> made = new ArrayList<>();
        for (int i = 0; i < documents; i++) {
            made.add(one(harbour.any(r), harbour.any(r), r, i));
        }
        return made;
    }

    private static PaperDocument one(Vessel v, Vessel wants, Random r, int i) {
        LocalDate applied = LocalDate.of(2026, 1 + r.nextInt(10), 1 + r.nextInt(28));
        String written = switch (r.nextInt(3)) {
            case 0 ->
                String.format(
                        Locale.ROOT,
                        "%02d/%02d/%d",
                        applied.getDayOfMonth(),
                        applied.getMonthValue(),
                        applied.getYear());
            case 1 -> applied.getDayOfMonth() + " " + MONTHS[applied.getMonthValue() - 1] + " " + applied.getYear();
            default -> applied.toString();
        };
        List<Sheet> pages = new ArrayList<>();
        long hand = r.nextLong();
        boolean undated = i % 5 == 3;
        boolean struck = i % 4 == 2;
        var boxes = new Ticks(new Random(hand + 1).nextInt(Ticks.KINDS.size()), i % 3 != 0, i % 9 == 4);
        pages.add(pen -> {
            form(pen, v, wants.berth(), undated ? "" : written, new Random(hand));
            boxes.draw(pen, new Random(hand + 2));
            if (struck) {
                Mistakes.scribble(pen, 72, 146, 24, new Random(hand));
            }
        });
        if (i % 4 == 1) {
            pages.add(pen -> sketch(pen, v));
        }
        if (i % 3 == 2) {
            pages.add(Sheet.BLANK);
        }
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("vessel", v.registration());
        fields.put("vessel-name", v.vessel());
        fields.put("owner", v.owner());
        fields.put("telephone", v.telephone());
        fields.put("length", v.lengthM());
        fields.put("berth", wants.berth());
        fields.put("applied", applied.toString());
        fields.put("kind", Ticks.KINDS.get(boxes.kind()));
        fields.put("insured", boxes.insured() ? "yes" : "no");
        return new PaperDocument("berth-application", List.of(pen -> cover(pen, v)), pages, fields);
    }

    /**
     * The boxes of the form and what the owner ticked.
     *
     * @param undone whether another kind was ticked first and struck out
     */
    private record Ticks(int kind, boolean insured, boolean undone) {
        static final List<String> KINDS = List.of("new", "renewal", "change");
        private static final double SIZE = 4;
        private static final double TOP = 172;

        private static double left(int kind) {
            return 71 + 30.0 * kind;
        }

        void draw(Pen pen, Random r) {
            pen.text(20, TOP + 3.2, 10, "This application is");
            for (int k = 0; k < KINDS.size(); k++) {
                pen.box(left(k), TOP, SIZE, SIZE, 0.25);
                pen.text(left(k) + 5.5, TOP + 3.2, 10, KINDS.get(k));
            }
            pen.box(left(3), TOP, SIZE, SIZE, 0.25).text(left(3) + 5.5, TOP + 3.2, 10, "insured");
            tick(pen, left(kind), r);
            if (undone) {
                double other = left((kind + 1) % KINDS.size());
                tick(pen, other, r);
                pen.line(other - 3, TOP + 2.2, other + 16, TOP + 1.8, 0.5);
            }
            if (insured) {
                tick(pen, left(3), r);
            }
        }

        private static void tick(Pen pen, double x, Random r) {
            if (r.nextInt(3) == 0) {
                pen.line(x - 0.3, TOP + 0.2, x + 4.4, TOP + 3.9, 0.5).line(x + 4.2, TOP - 0.4, x + 0.1, TOP + 4.2, 0.5);
            } else {
                pen.line(x + 0.5, TOP + 1.8, x + 1.7, TOP + 3.5, 0.5)
                        .line(x + 1.7, TOP + 3.5, x + 4.6 + r.nextDouble(), TOP - 0.8, 0.5);
            }
        }
    }

    private static void cover(Pen pen, Vessel v) {
        pen.bold(25, 40, 26, "Berth application follows");
        pen.text(25, 52, 12, "Cover sheet, Port Merrow Harbour Office");
        pen.barcode(BarcodeFormat.CODE_128, 50, 70, 110, 24, v.registration());
        pen.text(88, 102, 13, v.registration());
        pen.text(25, 270, 10, "Put this sheet in front of the application. It is taken out after scanning.");
    }

    private static void form(Pen pen, Vessel v, String berth, String applied, Random hand) {
        pen.bold(20, 24, 11, "PORT MERROW HARBOUR OFFICE");
        pen.bold(20, 38, 20, "Application for a berth");
        pen.text(20, 46, 9, "Form HB-12, second edition. Write in capitals where you can. One form for each vessel.");
        String[][] rows = {
            {"Registration", v.registration()},
            {"Vessel name", v.vessel()},
            {"Owner", v.owner()},
            {"Telephone", v.telephone()},
            {"Address", v.address()},
            {"Length overall (m)", v.lengthM()},
            {"Berth wanted", berth},
            {"Applied on", applied}
        };
        double y = 58;
        for (String[] row : rows) {
            pen.text(20, y + 7, 10, row[0]);
            pen.box(70, y, 110, 10, 0.25);
            pen.text(73, y + 7.2, 13, row[1]);
            y += 14;
        }
        pen.text(
                20,
                184,
                9.5,
                "I apply for the berth named above for the coming season and accept the harbour by-laws. The dues are");
        pen.text(
                20,
                190,
                9.5,
                "payable within thirty days of allocation. A berth that stays empty for more than sixty days may be given");
        pen.text(
                20,
                196,
                9.5,
                "to the next applicant on the list. The harbour master decides on exchanges between quays.");
        pen.line(20, 235, 90, 235, 0.3);
        pen.text(20, 240, 9, "Signature of the owner");
        pen.signature(30, 230, hand);
        pen.text(20, 285, 8, "HB-12 ed. 2    Page 1");
    }

    private static void sketch(Pen pen, Vessel v) {
        pen.bold(20, 24, 13, "Sketch of the vessel and its fenders");
        pen.text(20, 34, 10, "To be kept with the application. Draught and freeboard as surveyed, lengths in metres.");
        pen.line(40, 150, 170, 150, 0.6)
                .line(40, 150, 60, 175, 0.6)
                .line(60, 175, 160, 175, 0.6)
                .line(160, 175, 170, 150, 0.6);
        pen.line(100, 150, 100, 80, 0.5).line(100, 84, 150, 145, 0.4);
        pen.text(80, 190, 11, "Length overall " + v.lengthM() + " m");
        pen.text(80, 200, 11, "Four fenders on each side, bow line doubled.");
    }
}
