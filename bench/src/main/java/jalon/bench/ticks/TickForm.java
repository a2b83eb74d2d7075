package jalon.bench.ticks;

import jalon.bench.paper.Leaf;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.stream.Streams;
import java.awt.Font;
import java.awt.geom.Ellipse2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** A form of a made-up office with boxes to tick: their size, line, shape, distance and side differ from form to form. */
final class TickForm {
    private static final String[][] WORDS = {
        {"Wohnung", "Antrag", "Haushalt", "Familie", "Einkommen", "Unterlagen", "vollständig", "Beihilfe", "Nachweis"},
        {"Logement", "Demande", "Famille", "Revenu", "Dossier", "complet", "Attestation", "Enfants", "Véhicule"},
        {"Dwelling", "Request", "Household", "Income", "Papers", "complete", "Evidence", "Children", "Vehicle"},
        {"Vivienda", "Solicitud", "Familia", "Ingresos", "Papeles", "completo", "Prueba", "Hijos", "Coche"}
    };

    enum Kind {
        /** One box by itself: yes or nothing. */
        LONE,
        ONE_OF,
        SEVERAL
    }

    record Place(double x, double y, String means) {}

    record Group(String name, Kind kind, List<Place> places) {}

    private final Font face;
    private final String[] words;
    final double size;
    private final double line;
    private final boolean ring;
    final List<Group> groups = new ArrayList<>();
    private final List<String> anchors = new ArrayList<>();
    private final List<Object[]> prints = new ArrayList<>();

    TickForm(Font face, Random r) {
        this.face = face;
        this.words = WORDS[r.nextInt(WORDS.length)];
        this.size = 2.8 + 3 * r.nextDouble();
        this.line = 0.15 + 0.4 * r.nextDouble();
        this.ring = r.nextInt(5) == 0;
        boolean labelLeft = r.nextInt(4) == 0;
        boolean across = r.nextBoolean();
        double points = 8 + 3 * r.nextDouble();
        print(22, 24, 15, words[0] + " " + words[1]);
        double y = 40;
        for (int g = 0; y < 250 && g < 12; g++) {
            Kind kind = Kind.values()[r.nextInt(3)];
            print(22, y, points, words[r.nextInt(words.length)] + " " + words[r.nextInt(words.length)] + " " + (g + 1));
            int boxes = kind == Kind.LONE ? 1 : 2 + r.nextInt(4);
            List<Place> places = new ArrayList<>();
            double pitch = Math.max(size + 1.4, points * 0.45) + 2 * r.nextDouble();
            double x = 80;
            for (int b = 0; b < boxes; b++) {
                String means = words[(g + b) % words.length];
                double wide = Leaf.width(face, points, means);
                if (across && x + wide + size + 4 > 200) {
                    break;
                }
                double gap = 1 + r.nextDouble();
                double boxX = labelLeft ? x + wide + gap : x;
                double textX = labelLeft ? x : x + size + gap;
                print(textX, y + size * 0.3, points, means);
                places.add(new Place(boxX, y - size * 0.55, means));
                if (across) {
                    x += wide + size + gap + 5 + 4 * r.nextDouble();
                } else {
                    y += pitch;
                }
            }
            y += across ? pitch + 4 : 4 + 3 * r.nextDouble();
            groups.add(new Group("g" + g, kind, places));
        }
        print(22, 275, points, words[2] + " " + words[3]);
        print(140, 275, points, words[4] + " " + words[5]);
    }

    private void print(double x, double y, double points, String text) {
        prints.add(new Object[] {x, y, points, text});
        double high = points * Leaf.MM_PER_POINT;
        anchors.add(String.format(
                Locale.ROOT,
                "{\"text\":\"%s\",\"boxMm\":[%.2f,%.2f,%.2f,%.2f]}",
                text,
                x,
                y - 0.72 * high,
                Leaf.width(face, points, text),
                0.72 * high));
    }

    Leaf blank() {
        Leaf leaf = new Leaf(face);
        prints.forEach(p -> leaf.text((double) p[0], (double) p[1], (double) p[2], (String) p[3]));
        groups.forEach(g -> g.places()
                .forEach(p -> leaf.draw(pen -> {
                    if (ring) {
                        pen.stroke(new Ellipse2D.Double(p.x(), p.y(), size, size), line);
                    } else {
                        pen.box(p.x(), p.y(), size, size, line);
                    }
                })));
        return leaf;
    }

    DocumentType type() throws Streams.InvalidStream {
        List<String> fields = new ArrayList<>();
        for (Group g : groups) {
            List<String> boxes = g.places().stream()
                    .map(p -> String.format(
                            Locale.ROOT,
                            "{\"boxMm\":[%.2f,%.2f,%.2f,%.2f],\"means\":\"%s\"}",
                            p.x(),
                            p.y(),
                            size,
                            size,
                            p.means()))
                    .toList();
            fields.add(
                    "{\"field\":\"%s\",\"several\":%s,\"finders\":[{\"by\":\"ticks\",\"none\":\"-\",\"boxes\":[%s]}]}"
                            .formatted(g.name(), g.kind() == Kind.SEVERAL, String.join(",", boxes)));
        }
        String json = """
                {"jalon":1,"stream":"ticks","title":"Ticks","types":[{"type":"form","title":"Form","layout":{"anchors":[%s]},"fields":[%s]}]}
                """.formatted(String.join(",", anchors), String.join(",", fields));
        return Streams.parse(json).types().get(0);
    }
}
