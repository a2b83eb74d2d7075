package jalon.core.output;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.stream.StakeRule;
import jalon.core.stream.StakeRule.ByPatch.Meaning;
import jalon.core.stream.StreamDefinition;
import jalon.core.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** The sheets by which a stream's own rules cut: what each has to carry is taken from the rules. */
public final class StreamSheets {
    /** What a sheet is for. */
    public enum Kind {
        @JsonProperty("header")
        HEADER,
        @JsonProperty("document")
        DOCUMENT,
        @JsonProperty("group")
        GROUP,
        @JsonProperty("batch")
        BATCH,
        @JsonProperty("gap")
        GAP,
        @JsonProperty("cover")
        COVER
    }

    /** Those that this stream would know. */
    public static List<Kind> known(StreamDefinition stream) {
        return Arrays.stream(Kind.values())
                .filter(kind -> switch (kind) {
                    case HEADER -> true;
                    case COVER -> covers(stream, List.of(), "", null).isPresent();
                    default -> sheet(stream, kind, 1).isPresent();
                })
                .toList();
    }

    /**
     * Sheets of one kind to be laid into stacks again and again.
     *
     * @return none when the stream would not know them; headers and covers say something of their own and are not among them
     */
    public static List<ControlSheet> copies(StreamDefinition stream, Kind kind, int copies) {
        return IntStream.rangeClosed(1, copies)
                .mapToObj(no -> sheet(stream, kind, no))
                .flatMap(Optional::stream)
                .toList();
    }

    /** @param no tells gaps in one batch apart; the others are all alike */
    private static Optional<ControlSheet> sheet(StreamDefinition stream, Kind kind, int no) {
        return switch (kind) {
            case DOCUMENT -> opening(stream, StakeRule.Opens.DOCUMENT);
            case GROUP -> opening(stream, StakeRule.Opens.GROUP);
            case BATCH -> opening(stream, StakeRule.Opens.BATCH);
            case GAP -> gap(stream, no);
            case HEADER, COVER -> Optional.empty();
        };
    }

    /** What stands on them for people. */
    private enum Print {
        DOCUMENT,
        GROUP,
        BATCH,
        PATCH,
        NOT_FILED,
        GAP,
        WRITE_HERE,
        TAKE_OUT,
        HEADER;

        String words(String part, String value) {
            return Words.of("sheet", this, Map.of(part, value));
        }

        String words() {
            return Words.of("sheet", this, Map.of());
        }
    }

    private static final String HEADER_PATCH = "T";

    private StreamSheets() {}

    /**
     * A sheet behind which a document, a group or the next batch begins.
     *
     * @return empty when the stream has no patch rule that says so
     */
    public static Optional<ControlSheet> opening(StreamDefinition stream, StakeRule.Opens what) {
        String title = switch (what) {
            case DOCUMENT -> Print.DOCUMENT.words();
            case GROUP -> Print.GROUP.words("title", stream.cut().groups().title());
            case BATCH -> Print.BATCH.words();
        };
        return patch(stream, what)
                .map(code -> ControlSheet.of(
                        title,
                        List.of(stream.title(), Print.PATCH.words("code", code), Print.NOT_FILED.words()),
                        code,
                        null));
    }

    /**
     * A sheet that says for which stream a stack is and how much follows, behind a patch code by which scanners and copiers
     * part their jobs.
     *
     * @param barcode see {@link jalon.core.split.BatchHeader}, and
     * @param counts in words; may be empty
     */
    public static ControlSheet header(StreamDefinition stream, String barcode, String counts) {
        return ControlSheet.of(stream.title(), List.of(counts, Print.HEADER.words()), HEADER_PATCH, barcode);
    }

    /**
     * A sheet that keeps the place of something still to come.
     *
     * @param no tells it from others, up to 9999
     * @return empty when the stream knows no such sheets
     */
    public static Optional<ControlSheet> gap(StreamDefinition stream, int no) {
        return Optional.ofNullable(stream.pages().placeholder())
                .map(like -> ControlSheet.of(
                        Print.GAP.words(),
                        List.of(stream.title(), Print.WRITE_HERE.words(), "", Print.TAKE_OUT.words()),
                        null,
                        ofShape(like, no)));
    }

    /** A value of the shape, its digits those of the number from the right and its letters A. */
    private static String ofShape(String like, int no) {
        var value = new StringBuilder(like);
        int left = no;
        for (int i = like.length() - 1; i >= 0; i--) {
            if (like.charAt(i) == '9') {
                value.setCharAt(i, (char) ('0' + left % 10));
                left /= 10;
            }
        }
        return value.toString();
    }

    /**
     * A cover sheet for each row of a register, behind which its document begins.
     *
     * @param column whose value the barcode says
     * @param named a column for people, or null
     * @return empty when the stream has neither a barcode rule nor a patch rule for documents
     */
    public static Optional<List<ControlSheet>> covers(
            StreamDefinition stream, List<Map<String, String>> rows, String column, String named) {
        Optional<StakeRule.ByBarcode> rule = stream.cut().rules().stream()
                .filter(StakeRule.ByBarcode.class::isInstance)
                .map(StakeRule.ByBarcode.class::cast)
                .findFirst();
        Optional<String> patch = patch(stream, StakeRule.Opens.DOCUMENT);
        if (rule.isEmpty() && patch.isEmpty()) {
            return Optional.empty();
        }
        double middle = rule.map(StakeRule.ByBarcode::where)
                .map(where -> where.centreY())
                .orElse(ControlSheet.USUAL_BARCODE_MM);
        List<ControlSheet> sheets = new ArrayList<>();
        for (Map<String, String> row : rows) {
            String value = row.getOrDefault(column, "");
            if (!value.isBlank()) {
                String title = named == null ? value : row.getOrDefault(named, value);
                // A barcode high on the sheet, where its rule wants it, leaves no room for more lines.
                List<String> lines = rule.isPresent() ? List.of() : List.of(stream.title(), Print.NOT_FILED.words());
                sheets.add(new ControlSheet(title, lines, patch.orElse(null), value, middle));
            }
        }
        return Optional.of(sheets);
    }

    private static Optional<String> patch(StreamDefinition stream, StakeRule.Opens what) {
        return stream.cut().rules().stream()
                .filter(StakeRule.ByPatch.class::isInstance)
                .flatMap(r -> ((StakeRule.ByPatch) r).codes().entrySet().stream())
                .filter(e -> e.getValue() == Meaning.of(what))
                .map(Map.Entry::getKey)
                .min(String::compareTo);
    }
}
