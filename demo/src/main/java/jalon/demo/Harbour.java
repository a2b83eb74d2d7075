package jalon.demo;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;

/** The made-up harbour of Port Merrow: its vessels and owners, always the same. */
public final class Harbour {
    private static final long SEED = 4821;
    private static final int VESSELS = 200;

    private static final List<String> FIRST = List.of(
            "Ewa", "Tomas", "Ines", "Marek", "Liv", "Oskar", "Nadia", "Piers", "Sanna", "Ruben", "Greta", "Amadi",
            "Jonas", "Mirela", "Callum", "Freya", "Idris", "Petra", "Anton", "Selma", "Viggo", "Oona", "Rafael",
            "Hedda", "Milos", "Tamsin");
    private static final List<String> LAST = List.of(
            "Lindqvist",
            "Tarrow",
            "Vane",
            "Marlowen",
            "Osterby",
            "Quillan",
            "Harrowgate",
            "Sorensby",
            "Dunmarsh",
            "Ravenel",
            "Petheric",
            "Kestrin",
            "Overlund",
            "Brackwater",
            "Ellingford",
            "Strandvik",
            "Morvaine",
            "Tidewell",
            "Ashcombe",
            "Fennimar",
            "Greyholm",
            "Saltmere",
            "Wexcombe",
            "Norrland");
    private static final List<String> NAME_A = List.of(
            "Grey",
            "Silver",
            "Northern",
            "Little",
            "Morning",
            "Bold",
            "Quiet",
            "Amber",
            "Salt",
            "Distant",
            "Early",
            "Bright");
    private static final List<String> NAME_B = List.of(
            "Petrel",
            "Tern",
            "Herring",
            "Lantern",
            "Venture",
            "Curlew",
            "Anchor",
            "Breeze",
            "Gannet",
            "Harbour",
            "Mackerel",
            "Promise");
    private static final List<String> STREETS = List.of(
            "Ropewalk",
            "Chandlers Row",
            "Kiln Lane",
            "Net Loft Yard",
            "Beacon Street",
            "Oyster Steps",
            "Pilot Hill",
            "Cooper Lane");
    private static final List<String> QUAYS = List.of("North Quay", "South Quay", "Inner Basin", "Lantern Quay");

    private final List<Vessel> vessels;

    private Harbour(List<Vessel> vessels) {
        this.vessels = vessels;
    }

    public static Harbour portMerrow() {
        Random r = new Random(SEED);
        Set<String> numbers = new HashSet<>();
        List<Vessel> vessels = new ArrayList<>();
        while (vessels.size() < VESSELS) {
            String number = String.format(Locale.ROOT, "%04d", 1000 + r.nextInt(8999));
            if (!numbers.add(number)) {
                continue;
            }
            char letter = "ABCDEFGHKLMNPRSTVWX".charAt(r.nextInt(19));
            int quay = r.nextInt(QUAYS.size());
            vessels.add(new Vessel(
                    "PM-" + number + "-" + letter,
                    pick(NAME_A, r) + " " + pick(NAME_B, r),
                    pick(FIRST, r) + " " + pick(LAST, r),
                    String.format(Locale.ROOT, "01%03d %06d", 600 + r.nextInt(90), r.nextInt(1_000_000)),
                    (1 + r.nextInt(80)) + " " + pick(STREETS, r) + ", Port Merrow",
                    QUAYS.get(quay),
                    (char) ('A' + quay) + "-" + String.format(Locale.ROOT, "%02d", 1 + r.nextInt(60)),
                    String.format(Locale.ROOT, "%.1f", 5 + r.nextInt(180) / 10.0)));
        }
        return new Harbour(List.copyOf(vessels));
    }

    public List<Vessel> vessels() {
        return vessels;
    }

    Vessel any(Random r) {
        return vessels.get(r.nextInt(vessels.size()));
    }

    /** The register as CSV (RFC 4180). */
    public String csv() {
        StringBuilder csv = new StringBuilder(String.join(",", Vessel.COLUMNS)).append("\r\n");
        for (Vessel v : vessels) {
            csv.append(String.join(
                            ",",
                            v.values().stream()
                                    .map(s -> s.contains(",") ? '"' + s + '"' : s)
                                    .toList()))
                    .append("\r\n");
        }
        return csv.toString();
    }

    static String pick(List<String> from, Random r) {
        return from.get(r.nextInt(from.size()));
    }
}
