package jalon.server.store;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.image.ImageFacts;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.PageLayout;
import jalon.core.image.Repair;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What was seen on a page, as it lies in the database. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record StoredFacts(
        int format,
        int no,
        String file,
        int filePage,
        String sha256,
        Image image,
        List<StoredMark> marks,
        List<StoredWord> words) {

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Image(
            double widthMm,
            double heightMm,
            double dpi,
            boolean dpiStated,
            double skewDegrees,
            int rotation,
            double inkShare,
            List<Figure> measured,
            List<Box> coloured,
            List<Repair> readThrough,
            Layout layout) {}

    record Layout(List<Box> rules, List<Box> boxes, String ink, int columns) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Figure(Measure what, double figure, Box where) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredMark(Mark.Kind kind, String symbology, String value, Box box, Direction direction, Double agreement) {}

    record Direction(Mark.KnownBy by, long edgeMm) {}

    record StoredWord(String text, Box box, double certainty, int line) {}

    public static byte[] write(PageFacts page) {
        ImageFacts i = page.image();
        return StoredJson.write(new StoredFacts(
                StoredJson.FORMAT,
                page.no(),
                page.file(),
                page.filePage(),
                page.sha256(),
                new Image(
                        i.widthMm(),
                        i.heightMm(),
                        i.dpi(),
                        i.density().stated(),
                        i.skewDegrees(),
                        i.rotation(),
                        i.inkShare(),
                        i.measured().stream()
                                .map(m -> new Figure(m.what(), m.figure(), m.where()))
                                .toList(),
                        i.coloured(),
                        i.readThrough(),
                        stored(i.layout())),
                page.marks().stream().map(StoredFacts::stored).toList(),
                page.words().stream()
                        .map(w -> new StoredWord(w.text(), w.box(), w.certainty(), w.line()))
                        .toList()));
    }

    private static Layout stored(PageLayout l) {
        return l == null ? null : new Layout(l.rules(), l.boxes(), l.ink(), l.columns());
    }

    private static PageLayout layout(Layout l) {
        return l == null ? null : new PageLayout(l.rules, l.boxes, l.ink, l.columns);
    }

    private static StoredMark stored(Mark m) {
        Direction direction = m.direction() == null
                ? null
                : new Direction(m.direction().by(), m.direction().edgeMm());
        return new StoredMark(m.kind(), m.symbology(), m.value(), m.box(), direction, m.agreement());
    }

    public static PageFacts read(byte[] bytes) {
        return StoredJson.read(bytes, StoredFacts.class, StoredFacts::fromFirst).facts();
    }

    private PageFacts facts() {
        return new PageFacts(
                no,
                file,
                filePage,
                sha256,
                new ImageFacts(
                        new ImageFacts.Size(image.widthMm, image.heightMm),
                        new ImageFacts.Density(image.dpi, image.dpiStated),
                        new ImageFacts.Pose(image.skewDegrees, image.rotation),
                        image.inkShare,
                        orNone(image.measured).stream()
                                .map(f -> new Measured(f.what, f.figure, f.where))
                                .toList(),
                        image.coloured,
                        image.readThrough,
                        layout(image.layout)),
                marks.stream().map(StoredFacts::mark).toList(),
                words.stream()
                        .map(w -> new Word(w.text, w.box, w.certainty, w.line))
                        .toList());
    }

    private static Mark mark(StoredMark m) {
        Mark.Direction direction = m.direction == null ? null : new Mark.Direction(m.direction.by, m.direction.edgeMm);
        return new Mark(m.kind, m.symbology, m.value, m.box, direction, m.agreement);
    }

    private static <T> List<T> orNone(List<T> list) {
        return list == null ? List.of() : list;
    }

    /** The first form said in words how a patch code's direction was known. */
    private static void fromFirst(ObjectNode facts) {
        for (JsonNode mark : facts.path("marks")) {
            if (mark.path("kind").asString().equals("patch")) {
                String how = mark.path("how").asString();
                Matcher edge = EDGE.matcher(how);
                ObjectNode direction = ((ObjectNode) mark).putObject("direction");
                direction.put("edgeMm", edge.find() ? Long.parseLong(edge.group(1)) : 0);
                direction.put("by", direction(how));
            }
        }
    }

    private static final Pattern EDGE = Pattern.compile("nearest edge, (\\d+) mm");

    private static String direction(String how) {
        if (how.startsWith("reads the same")) {
            return "eitherWay";
        }
        return how.contains("known from its print") ? "print" : how.contains("nearest edge") ? "edge" : "asReceived";
    }
}
