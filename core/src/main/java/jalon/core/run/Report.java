package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.index.FieldValue;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Unread;
import jalon.core.read.PageFacts;
import jalon.core.stream.StakeRule;
import jalon.core.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What became of a batch, page by page and document by document; its form is {@code docs/schemas/report.schema.json}. */
public record Report(
        List<Page> pages,
        List<Document> documents,
        List<Group> groups,
        List<Place> doubtfulPlaces,
        Ledger ledger,
        List<Rejected> rejected,
        List<String> warnings) {

    public record Page(
            int no,
            @JsonUnwrapped Received received,
            BatchView.Role role,
            Integer document,
            Image image,
            List<MarkFound> marks,
            @JsonInclude(JsonInclude.Include.NON_NULL) Reason flag) {}

    public record Received(String file, int filePage, String sha256) {}

    public record Image(
            @JsonUnwrapped Size size,
            double skewDegrees,
            int rotation,
            boolean blank,
            double inkShare,
            List<ImageFinding> findings) {}

    public record Size(double widthMm, double heightMm, double dpi) {}

    public record ImageFinding(String kind, double value, double limit, Box boxMm) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record MarkFound(
            Mark.Kind kind, String symbology, String value, Box boxMm, String how, Mark.Direction direction) {
        static MarkFound of(Mark m) {
            Mark.Direction d = m.direction();
            String how = d == null ? null : Words.of("patchDirection", d.by(), Map.of("mm", Long.toString(d.edgeMm())));
            return new MarkFound(m.kind(), m.symbology(), m.value(), m.box(), how, d);
        }
    }

    /** @param page the page or dropped sheet that it begins with, @param opens whether a batch begins with it too */
    public record Group(int no, int page, StakeRule.Opens opens, Map<String, Value> fields) {}

    public record Document(
            int no,
            List<Integer> pages,
            Integer group,
            Stake stake,
            @JsonUnwrapped Type sorted,
            Map<String, Value> fields,
            List<Delivery> deliveries) {}

    /**
     * @param variant the layout that the first page has, or null where none is known
     * @param guesses the most likely first
     */
    public record Type(String type, double typeCertainty, boolean typeDoubtful, String variant, List<Guess> guesses) {}

    public record Guess(String type, double certainty) {}

    public record Stake(double certainty, boolean doubtful, List<Seen> evidence) {}

    /** A page before which a stake may be missing. @param certainty that a document begins with it */
    public record Place(int page, double certainty, List<Seen> evidence) {}

    /** Evidence with its words beside its code. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Seen(Evidence.Rule rule, int page, Box box, String text, Reason why, double score) {
        static Seen of(Evidence e) {
            return new Seen(e.rule(), e.page(), e.box(), e.why().words(), e.why(), e.score());
        }
    }

    /** A field's value with the words for its reasons beside their codes. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Value(
            String value,
            FieldValue.State state,
            double certainty,
            @JsonUnwrapped FieldValue.Source source,
            @JsonUnwrapped Reasons doubts,
            List<String> candidates,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<FoundRow> rows,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<FieldValue.AlsoFound> alsoFound,
            String by) {
        static Value of(FieldValue v) {
            return new Value(
                    v.value(),
                    v.state(),
                    v.certainty(),
                    v.source(),
                    Reasons.of(v.reasons()),
                    v.candidates(),
                    v.rows().stream().map(FoundRow::of).toList(),
                    v.alsoFound(),
                    v.by());
        }
    }

    /** @param why the same as {@code reasons}, as codes */
    public record Reasons(List<String> reasons, List<Reason> why) {
        static Reasons of(List<Reason> why) {
            return new Reasons(why.stream().map(Reason::words).toList(), why);
        }
    }

    /** A register row that may be meant; see {@link FieldValue.RowFound}. */
    public record FoundRow(
            String value, double certainty, @JsonUnwrapped Reasons found) {
        static FoundRow of(FieldValue.RowFound row) {
            return new FoundRow(row.value(), row.certainty(), Reasons.of(row.why()));
        }
    }

    /**
     * @param path below the output folder, with ending
     * @param sha256 of the file, in hex; null for one filed before this was kept, and likewise the bytes
     * @param identifier that it has at its place beside its path, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Delivery(String destination, String path, String sha256, Long bytes, String identifier) {}

    /**
     * A file, or a page of one, that could not be read, or a document that could not be filed.
     *
     * @param filePage page in the file, from 1; null when all of it is meant
     * @param why the same as {@code reason}, as a code; null for a document
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Rejected(String file, Integer filePage, String reason, Unread why) {
        public static Rejected of(String file, Integer filePage, Unread why) {
            return new Rejected(file, filePage, why.words(), why);
        }
    }

    /** @param deliveries by document number */
    public static Report of(
            BatchView view,
            Map<Integer, PageFacts> facts,
            Ledger ledger,
            Map<Integer, List<Delivery>> deliveries,
            List<Rejected> rejected,
            List<String> warnings) {
        List<Page> pages =
                view.pages().stream().map(p -> page(p, facts.get(p.no()))).toList();
        List<Document> documents = view.documents().stream()
                .map(d -> document(d, deliveries.getOrDefault(d.no(), List.of())))
                .toList();
        List<Group> groups = view.groups().stream()
                .map(g -> new Group(g.no(), g.page(), g.opens(), values(g.fields())))
                .toList();
        List<Place> places = view.places().stream()
                .map(p -> new Place(
                        p.page(),
                        p.certainty(),
                        p.evidence().stream().map(Seen::of).toList()))
                .toList();
        return new Report(pages, documents, groups, places, ledger, rejected, warnings);
    }

    private static Page page(BatchView.PageView view, PageFacts facts) {
        var i = facts.image();
        var image = new Image(
                new Size(tenths(i.widthMm()), tenths(i.heightMm()), tenths(i.dpi())),
                i.skewDegrees(),
                i.rotation(),
                view.role() == BatchView.Role.BLANK,
                Math.round(i.inkShare() * 1e6) / 1e6,
                view.image().findings().stream()
                        .map(f -> new ImageFinding(f.kind().json(), f.figure(), f.limit(), f.where()))
                        .toList());
        return new Page(
                view.no(),
                new Received(facts.file(), facts.filePage(), facts.sha256()),
                view.role(),
                view.document(),
                image,
                facts.marks().stream().map(MarkFound::of).toList(),
                view.flag() == null ? null : view.flag().why());
    }

    private static Document document(BatchView.DocumentView d, List<Delivery> deliveries) {
        return new Document(
                d.no(),
                d.pages(),
                d.group(),
                new Stake(
                        d.stake().certainty(),
                        d.stake().doubtful(),
                        d.stake().evidence().stream().map(Seen::of).toList()),
                new Type(
                        d.type().type(),
                        d.type().certainty(),
                        d.type().doubtful(),
                        d.type().variant(),
                        d.type().guesses().stream()
                                .map(g -> new Guess(g.type(), g.certainty()))
                                .toList()),
                values(d.fields()),
                deliveries);
    }

    private static Map<String, Value> values(Map<String, FieldValue> fields) {
        Map<String, Value> values = new LinkedHashMap<>();
        fields.forEach((name, value) -> values.put(name, Value.of(value)));
        return values;
    }

    private static double tenths(double v) {
        return Math.round(v * 10) / 10.0;
    }
}
