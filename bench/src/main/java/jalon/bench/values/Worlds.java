package jalon.bench.values;

import jalon.bench.values.Tongue.Says;
import jalon.core.register.Register;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.awt.Font;
import java.awt.GraphicsEnvironment;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The organisation that gets the paper: its stream, its registers, and the typefaces that its senders have. */
final class Worlds {
    private static final List<String> FACES = List.of(
            "Liberation Sans",
            "Liberation Serif",
            "Liberation Mono",
            "DejaVu Sans",
            "DejaVu Serif",
            "TeX Gyre Pagella",
            "TeX Gyre Heros",
            "TeX Gyre Bonum",
            "TeX Gyre Cursor",
            "Carlito",
            "Caladea");

    private final List<Client> clients = new ArrayList<>();
    private final List<String> members = new ArrayList<>();
    private final List<Font> faces = new ArrayList<>();

    record Client(String no, String name) {}

    Worlds(long seed) {
        Hand hand = new Hand(seed);
        Set<String> numbers = new TreeSet<>();
        // A third of all numbers of four digits: dense, so that a misread one is often somebody else's.
        while (numbers.size() < 3000) {
            numbers.add(hand.like("9999"));
        }
        List<String> names =
                Tongue.ALL.stream().flatMap(t -> t.names().stream()).toList();
        numbers.forEach(n -> clients.add(new Client(
                n, hand.any(names).split(" ")[0] + " " + hand.any(names).split(" ")[1])));
        Set<String> sparse = new LinkedHashSet<>();
        while (sparse.size() < 240) {
            sparse.add(hand.like("A-9999"));
        }
        members.addAll(sparse);
        Set<String> installed =
                Set.of(GraphicsEnvironment.getLocalGraphicsEnvironment().getAvailableFontFamilyNames());
        FACES.stream().filter(installed::contains).forEach(f -> faces.add(new Font(f, Font.PLAIN, 1)));
        if (faces.isEmpty()) {
            faces.add(new Font(Font.SANS_SERIF, Font.PLAIN, 1));
        }
    }

    List<Client> clients() {
        return clients;
    }

    List<String> members() {
        return members;
    }

    List<Font> faces() {
        return faces;
    }

    Map<String, Register> registers() {
        String rows = clients.stream().map(c -> c.no() + "," + c.name() + "\n").collect(Collectors.joining());
        return Map.of(
                "clients", Register.parse("clients", new StringReader("no,name\n" + rows)),
                "members", Register.parse("members", new StringReader("no\n" + String.join("\n", members) + "\n")));
    }

    private static String labels(Says what) {
        return Tongue.ALL.stream()
                .map(t -> "\"" + t.word(what) + "\"")
                .distinct()
                .collect(Collectors.joining(","));
    }

    private static String field(String name, String kind, String finders, String rest) {
        return "{\"field\":\"" + name + "\",\"kind\":\"" + kind + "\",\"required\":true,\"finders\":[" + finders + "]"
                + rest + "}";
    }

    private static String label(Says what, String more) {
        return "{\"by\":\"label\",\"labels\":[" + labels(what) + "]" + more + "}";
    }

    private static String shape(String like, String more) {
        return "{\"by\":\"shape\",\"like\":\"" + like + "\"" + more + "}";
    }

    private static String not(Says... what) {
        return ",\"notOnLinesWith\":["
                + List.of(what).stream().map(Worlds::labels).collect(Collectors.joining(",")) + "]";
    }

    private static final String DATED = ",\"checks\":[{\"check\":\"date\",\"yearsBack\":8}]";
    private static final String CLIENT =
            ",\"checks\":[{\"check\":\"like\",\"like\":\"9999\"},{\"check\":\"inRegister\",\"register\":\"clients\",\"column\":\"no\"}]";

    private static String form(String type, String must, double dx, double step) {
        String[] labels = {"Applicant", "Client", "Area", "Meter", "Reading", "Charge", "Remarks"};
        StringBuilder anchors = new StringBuilder();
        for (int i = 0; i < labels.length; i++) {
            anchors.append(i == 0 ? "" : ",")
                    .append("{\"text\":\"%s\",\"boxMm\":[%s,%s,14,2.8]}"
                            .formatted(labels[i], 20.2 + dx, 50 + i * step - 2.6));
        }
        anchors.append(",{\"text\":\"Signature\",\"boxMm\":[%s,237.4,15,2.8]}".formatted(20.2 + dx));
        anchors.append(",{\"text\":\"Received\",\"boxMm\":[%s,237.4,15,2.8]}".formatted(130.2 + dx));
        return "{\"type\":\"" + type + "\",\"words\":{\"must\":[\"" + must + "\"]},\"layout\":{\"anchors\":[" + anchors
                + "]},\"fields\":["
                + String.join(
                        ",",
                        field("applicant", "text", zone(dx, 0, step, null), ""),
                        field("client", "text", zone(dx, 1, step, "digits"), CLIENT),
                        field(
                                "area",
                                "text",
                                zone(dx, 2, step, "capitalsAndDigits"),
                                ",\"checks\":[{\"check\":\"like\",\"like\":\"AAA-99\"}]"),
                        field("meter", "number", zone(dx, 3, step, "digits"), ""),
                        field("taken", "date", zone(dx, 4, step, null), DATED),
                        field("charge", "amount", zone(dx, 5, step, null), ""))
                + "]}";
    }

    private static String zone(double dx, int row, double step, String only) {
        return "{\"by\":\"zone\",\"boxMm\":[%s,%s,88,7.5]%s}"
                .formatted(71 + dx, 50 + row * step - 5.2, only == null ? "" : ",\"read\":{\"only\":\"" + only + "\"}");
    }

    StreamDefinition stream() throws Streams.InvalidStream {
        String letter = "{\"type\":\"letter\",\"default\":true,\"fields\":["
                + String.join(
                        ",",
                        field("reference", "text", label(Says.YOUR_REF, not(Says.OUR_REF)), ""),
                        field(
                                "written",
                                "date",
                                label(Says.DATE, ",\"page\":\"first\"" + not(Says.BORN, Says.DUE)) + ","
                                        + "{\"by\":\"shape\",\"pattern\":\"(\\\\d[\\\\pL\\\\d ./-]{6,30}\\\\d)\",\"page\":\"first\""
                                        + not(Says.BORN, Says.DUE, Says.OUR_REF, Says.YOUR_REF, Says.BANK) + "}",
                                DATED),
                        field(
                                "account",
                                "text",
                                "{\"by\":\"shape\",\"like\":\"99999-99\"" + not(Says.BANK) + "}",
                                ",\"checks\":[{\"check\":\"like\",\"like\":\"99999-99\"}]"),
                        field(
                                "member",
                                "text",
                                "{\"by\":\"shape\",\"like\":\"A-9999\"}",
                                ",\"checks\":[{\"check\":\"like\",\"like\":\"A-9999\"},{\"check\":\"inRegister\",\"register\":\"members\",\"column\":\"no\"}]"),
                        field("name", "text", label(Says.NAME, ""), ""))
                + "]}";
        String bill = "{\"type\":\"bill\",\"words\":{\"must\":[\"Gasket bill\"]},\"fields\":["
                + String.join(
                        ",",
                        field("client", "text", label(Says.CUSTOMER, ",\"page\":\"first\""), CLIENT),
                        field(
                                "client-name",
                                "text",
                                label(Says.NAME, ",\"page\":\"first\""),
                                ",\"checks\":[{\"check\":\"inRegister\",\"register\":\"clients\",\"column\":\"name\"}]"),
                        field(
                                "written",
                                "date",
                                label(Says.DATE, ",\"page\":\"first\"" + not(Says.BORN, Says.DUE)),
                                DATED),
                        field("total", "amount", label(Says.TOTAL, ",\"page\":\"last\"" + not(Says.SUBTOTAL)), ""))
                + "]}";
        String slip = "{\"type\":\"slip\",\"words\":{\"must\":[\"Delivery slip\"]},\"fields\":["
                + field("code", "text", "{\"by\":\"barcode\"}", "") + "]}";
        String notice = "{\"type\":\"notice\",\"words\":{\"must\":[\"Notice\"]},\"fields\":["
                + String.join(
                        ",",
                        field("file", "text", shape("A{2,4}[/-]9{5,8}", not(Says.OUR_REF)), ""),
                        field("order", "text", shape("9{6,8}", ",\"near\":[" + labels(Says.CUSTOMER) + "]"), ""),
                        field("holder", "address", label(Says.NAME, ""), ""),
                        field("dated", "date", label(Says.DATE, ",\"side\":\"nearest\""), DATED),
                        field("case", "text", shape("9{4}.AAA.9{5}", ",\"overLines\":true"), ""),
                        field(
                                "signed",
                                "name",
                                "{\"by\":\"label\",\"labels\":[\"Signatory\",\"Signed for the board\"],\"side\":\"above\"}",
                                ""))
                + "]}";
        return Streams.parse("{\"jalon\":1,\"stream\":\"values\",\"title\":\"Values\",\"types\":["
                + String.join(
                        ",",
                        letter,
                        bill,
                        slip,
                        notice,
                        form("connection", "Application for a connection", 0, 15),
                        form("meter", "Notice of a meter", 6, 12))
                + "]}");
    }
}
