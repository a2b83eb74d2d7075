package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.image.Finding;
import jalon.core.image.Measure;
import jalon.core.image.Repair;
import jalon.core.index.FieldValue;
import jalon.core.index.FoundBy;
import jalon.core.page.Box;
import jalon.core.run.BatchView;
import jalon.core.stream.StakeRule;
import jalon.server.store.StoredJson;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a batch was when filing began, as it lies in the database. */
record StoredView(
        int format,
        List<StoredPage> pages,
        List<StoredDocument> documents,
        List<StoredGroup> groups,
        List<StoredGap> gaps,
        StoredCounts counts) {

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredPage(
            int no, BatchView.Role role, Integer document, String by, StoredImage image, StoredEvidence flag) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredImage(
            List<StoredFinding> findings,
            List<Repair> repairs,
            String repairedBy,
            String acceptedBy,
            Instant acceptedAt,
            String askedBecause,
            String askedBy) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredFinding(Measure kind, double figure, double limit, Box where) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredDocument(
            int no,
            List<Integer> pages,
            Integer separator,
            Integer group,
            StoredStake stake,
            StoredType type,
            Map<String, StoredValue> fields) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredStake(int page, double certainty, boolean doubtful, List<StoredEvidence> evidence, String by) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredType(
            String type,
            String variant,
            double certainty,
            boolean doubtful,
            List<StoredEvidence> evidence,
            String by) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredEvidence(Evidence.Rule rule, int page, Box box, StoredReason why, double score) {}

    record StoredReason(Reason.Code code, Map<String, String> with) {
        static StoredReason of(Reason r) {
            return new StoredReason(r.code(), r.with());
        }

        Reason reason() {
            return new Reason(code, with);
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredValue(
            String value,
            FieldValue.State state,
            double certainty,
            int page,
            Box boxMm,
            FoundBy finder,
            List<StoredReason> reasons,
            List<String> candidates,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<StoredRow> rows,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<StoredAlso> alsoFound,
            String by) {}

    /** What another finder found. */
    record StoredAlso(String value, int page, Box boxMm, FoundBy finder) {
        static StoredAlso of(FieldValue.AlsoFound also) {
            FieldValue.Source source = also.source();
            return new StoredAlso(also.value(), source.page(), source.boxMm(), source.finder());
        }

        FieldValue.AlsoFound also() {
            return new FieldValue.AlsoFound(value, new FieldValue.Source(page, boxMm, finder));
        }
    }

    /** A register row that may have been meant. */
    record StoredRow(String value, double certainty, List<StoredReason> why) {
        static StoredRow of(FieldValue.RowFound row) {
            return new StoredRow(row.value(), row.certainty(), storedReasons(row.why()));
        }

        FieldValue.RowFound row() {
            return new FieldValue.RowFound(value, certainty, reasons(why));
        }
    }

    private static List<StoredReason> storedReasons(List<Reason> reasons) {
        return reasons.stream().map(StoredReason::of).toList();
    }

    private static List<Reason> reasons(List<StoredReason> stored) {
        return stored.stream().map(StoredReason::reason).toList();
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredGroup(
            int no,
            int page,
            StakeRule.Opens opens,
            StoredEvidence evidence,
            String by,
            Map<String, StoredValue> fields) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredGap(int page, String note, boolean open, String waivedBecause, String by) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record StoredCounts(
            Integer expectedPages,
            int pages,
            Integer expectedDocuments,
            int documents,
            String acceptedBy,
            String because) {}

    static byte[] write(BatchView view) {
        BatchView.Counts c = view.counts();
        return StoredJson.write(new StoredView(
                StoredJson.FORMAT,
                view.pages().stream().map(StoredView::stored).toList(),
                view.documents().stream().map(StoredView::stored).toList(),
                view.groups().stream()
                        .map(g -> new StoredGroup(
                                g.no(),
                                g.page(),
                                g.opens(),
                                stored(List.of(g.evidence())).get(0),
                                g.by(),
                                stored(g.fields())))
                        .toList(),
                view.gaps().stream()
                        .map(g -> new StoredGap(g.page(), g.note(), g.open(), g.waivedBecause(), g.by()))
                        .toList(),
                c == null
                        ? null
                        : new StoredCounts(
                                c.expectedPages(),
                                c.pages(),
                                c.expectedDocuments(),
                                c.documents(),
                                c.acceptedBy(),
                                c.because())));
    }

    private static StoredPage stored(BatchView.PageView p) {
        BatchView.ImageView i = p.image();
        List<StoredFinding> findings = i.findings().stream()
                .map(f -> new StoredFinding(f.kind(), f.figure(), f.limit(), f.where()))
                .toList();
        return new StoredPage(
                p.no(),
                p.role(),
                p.document(),
                p.by(),
                new StoredImage(
                        findings,
                        i.repairs(),
                        i.repairedBy(),
                        i.acceptedBy(),
                        i.acceptedAt(),
                        i.askedBecause(),
                        i.askedBy()),
                p.flag() == null ? null : stored(List.of(p.flag())).get(0));
    }

    private static Map<String, StoredValue> stored(Map<String, FieldValue> values) {
        Map<String, StoredValue> fields = new LinkedHashMap<>();
        values.forEach((name, value) -> fields.put(name, stored(value)));
        return fields;
    }

    private static StoredDocument stored(BatchView.DocumentView d) {
        BatchView.StakeView s = d.stake();
        BatchView.TypeView t = d.type();
        return new StoredDocument(
                d.no(),
                d.pages(),
                d.separator(),
                d.group(),
                new StoredStake(s.page(), s.certainty(), s.doubtful(), stored(s.evidence()), s.by()),
                new StoredType(t.type(), t.variant(), t.certainty(), t.doubtful(), stored(t.evidence()), t.by()),
                stored(d.fields()));
    }

    private static List<StoredEvidence> stored(List<Evidence> evidence) {
        return evidence.stream()
                .map(e -> new StoredEvidence(e.rule(), e.page(), e.box(), StoredReason.of(e.why()), e.score()))
                .toList();
    }

    private static StoredValue stored(FieldValue v) {
        return new StoredValue(
                v.value(),
                v.state(),
                v.certainty(),
                v.page(),
                v.boxMm(),
                v.finder(),
                storedReasons(v.reasons()),
                v.candidates(),
                v.rows().stream().map(StoredRow::of).toList(),
                v.alsoFound().stream().map(StoredAlso::of).toList(),
                v.by());
    }

    static BatchView read(byte[] bytes) {
        return StoredJson.read(bytes, StoredView.class, StoredView::fromFirst).view();
    }

    private BatchView view() {
        return new BatchView(
                pages.stream().map(StoredView::page).toList(),
                documents.stream().map(StoredView::document).toList(),
                groups == null
                        ? List.of()
                        : groups.stream().map(StoredView::group).toList(),
                // Once filing has begun nobody asks any more.
                List.of(),
                gaps == null
                        ? List.of()
                        : gaps.stream()
                                .map(g -> new BatchView.Gap(g.page, g.note, g.open, g.waivedBecause, g.by))
                                .toList(),
                counts == null
                        ? null
                        : new BatchView.Counts(
                                counts.expectedPages,
                                counts.pages,
                                counts.expectedDocuments,
                                counts.documents,
                                counts.acceptedBy,
                                counts.because));
    }

    private static BatchView.PageView page(StoredPage p) {
        StoredImage i = p.image;
        return new BatchView.PageView(
                p.no,
                p.role,
                p.document,
                p.by,
                i == null
                        ? null
                        : new BatchView.ImageView(
                                i.findings == null
                                        ? List.of()
                                        : i.findings.stream()
                                                .map(f -> new Finding(f.kind, f.figure, f.limit, f.where))
                                                .toList(),
                                i.repairs,
                                i.repairedBy,
                                i.acceptedBy,
                                i.acceptedAt,
                                i.askedBecause,
                                i.askedBy),
                p.flag == null ? null : evidence(List.of(p.flag)).get(0));
    }

    private static BatchView.GroupView group(StoredGroup g) {
        return new BatchView.GroupView(
                g.no, g.page, g.opens, evidence(List.of(g.evidence)).get(0), g.by, values(g.fields));
    }

    private static Map<String, FieldValue> values(Map<String, StoredValue> stored) {
        Map<String, FieldValue> values = new LinkedHashMap<>();
        stored.forEach((name, value) -> values.put(name, value(value)));
        return values;
    }

    private static BatchView.DocumentView document(StoredDocument d) {
        StoredStake s = d.stake;
        StoredType t = d.type;
        return new BatchView.DocumentView(
                d.no,
                d.pages,
                d.separator,
                d.group,
                new BatchView.StakeView(s.page, s.certainty, s.doubtful, evidence(s.evidence), s.by),
                new BatchView.TypeView(
                        t.type, t.variant, null, t.certainty, t.doubtful, evidence(t.evidence), List.of(), t.by),
                values(d.fields));
    }

    private static List<Evidence> evidence(List<StoredEvidence> evidence) {
        return evidence.stream()
                .map(e -> new Evidence(e.rule, e.page, e.box, e.why.reason(), e.score))
                .toList();
    }

    private static FieldValue value(StoredValue v) {
        return new FieldValue(
                v.value,
                v.state,
                v.certainty,
                new FieldValue.Source(v.page, v.boxMm, v.finder),
                reasons(v.reasons),
                v.candidates,
                v.rows == null ? List.of() : v.rows.stream().map(StoredRow::row).toList(),
                v.alsoFound == null
                        ? List.of()
                        : v.alsoFound.stream().map(StoredAlso::also).toList(),
                v.by);
    }

    /** The first form had its reasons and evidence in words, which are kept as they were written. */
    private static void fromFirst(ObjectNode view) {
        for (JsonNode document : view.path("documents")) {
            for (String part : List.of("stake", "type")) {
                for (JsonNode evidence : document.path(part).path("evidence")) {
                    asWritten(
                            ((ObjectNode) evidence).putObject("why"),
                            evidence.path("text").asString(""));
                }
            }
            for (JsonNode value : document.path("fields")) {
                List<String> words = value.path("reasons")
                        .valueStream()
                        .map(JsonNode::asString)
                        .toList();
                ArrayNode reasons = ((ObjectNode) value).putArray("reasons");
                words.forEach(text -> asWritten(reasons.addObject(), text));
            }
        }
    }

    private static void asWritten(ObjectNode reason, String text) {
        reason.put("code", "asWritten").putObject("with").put("text", text);
    }
}
