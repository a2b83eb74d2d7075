package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.evidence.Evidence;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.read.PageFacts;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What became of a batch, page by page and document by document; its form is {@code docs/schemas/report.schema.json}. */
public record Report(
        List<Page> pages, List<Document> documents, Ledger ledger, List<Rejected> rejected, List<String> warnings) {

    public record Page(
            int no,
            String file,
            int filePage,
            String sha256,
            BatchView.Role role,
            Integer document,
            Image image,
            List<MarkFound> marks) {}

    public record Image(
            double widthMm,
            double heightMm,
            double dpi,
            double skewDegrees,
            int rotation,
            boolean blank,
            double inkShare,
            List<ImageFinding> findings) {}

    public record ImageFinding(String kind, double value, double limit, Box boxMm) {}

    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record MarkFound(Mark.Kind kind, String symbology, String value, Box boxMm, String how) {}

    public record Document(
            int no,
            List<Integer> pages,
            Stake stake,
            String type,
            double typeCertainty,
            String variant,
            Map<String, Object> fields,
            List<Delivery> deliveries) {}

    public record Stake(double certainty, List<Evidence> evidence) {}

    /** @param path below the output folder, with ending */
    public record Delivery(String destination, String path) {}

    /** A file, or a page of one, that could not be read. */
    public record Rejected(String file, String reason) {}

    /**
     * @param filed whether the documents were filed, so that their pages are no longer open
     * @param deliveries by document number
     */
    public static Report of(
            BatchView view,
            Map<Integer, PageFacts> facts,
            boolean filed,
            Map<Integer, List<Delivery>> deliveries,
            List<Rejected> rejected,
            List<String> warnings) {
        List<Page> pages =
                view.pages().stream().map(p -> page(p, facts.get(p.no()))).toList();
        List<Document> documents = view.documents().stream()
                .map(d -> document(d, deliveries.getOrDefault(d.no(), List.of())))
                .toList();
        Ledger l = view.ledger();
        int done = filed
                ? view.documents().stream()
                        .filter(d -> deliveries.containsKey(d.no()))
                        .mapToInt(d -> d.pages().size())
                        .sum()
                : 0;
        Ledger ledger = new Ledger(l.received(), done, l.blank(), l.separator(), l.setAside(), l.open() - done);
        return new Report(pages, documents, ledger, rejected, warnings);
    }

    private static Page page(BatchView.PageView view, PageFacts facts) {
        var i = facts.image();
        var image = new Image(
                tenths(i.widthMm()),
                tenths(i.heightMm()),
                tenths(i.dpi()),
                i.skewDegrees(),
                i.rotation(),
                view.role() == BatchView.Role.BLANK,
                Math.round(i.inkShare() * 1e6) / 1e6,
                view.image().findings().stream()
                        .map(f -> new ImageFinding(f.kind().json(), f.figure(), f.limit(), f.where()))
                        .toList());
        return new Page(
                view.no(),
                facts.file(),
                facts.filePage(),
                facts.sha256(),
                view.role(),
                view.document(),
                image,
                facts.marks().stream()
                        .map(m -> new MarkFound(m.kind(), m.symbology(), m.value(), m.box(), m.how()))
                        .toList());
    }

    private static Document document(BatchView.DocumentView d, List<Delivery> deliveries) {
        Map<String, Object> fields = new LinkedHashMap<>(d.fields());
        return new Document(
                d.no(),
                d.pages(),
                new Stake(d.stake().certainty(), d.stake().evidence()),
                d.type().type(),
                d.type().certainty(),
                null,
                fields,
                deliveries);
    }

    private static double tenths(double v) {
        return Math.round(v * 10) / 10.0;
    }
}
