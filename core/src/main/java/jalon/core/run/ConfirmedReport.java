package jalon.core.run;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a batch's {@code report.json} must say for it to be replayed: which pages came from which file, and what its documents and
 * values were when it was filed. Every {@link Report} says that and more.
 */
public record ConfirmedReport(List<Page> pages, List<Document> documents) {
    public ConfirmedReport {
        pages = List.copyOf(pages);
        documents = List.copyOf(documents);
    }

    /** @param file name of the file beside the report, @param filePage page in it, from 1 */
    public record Page(int no, String file, int filePage) {}

    /** @param fields all of its type */
    public record Document(List<Integer> pages, String type, Map<String, Value> fields) {
        private Replay.Confirmed confirmed() {
            Map<String, Replay.Confirmed.Value> values = new LinkedHashMap<>();
            fields.forEach((name, v) ->
                    values.put(name, new Replay.Confirmed.Value(v.value(), v.page() == null ? 0 : v.page())));
            return new Replay.Confirmed(pages, type, values);
        }
    }

    /** @param value null for none, @param page where it stands; 0 or null where that is on none */
    public record Value(String value, Integer page) {}

    /** @param filed the batch as it was filed */
    public static ConfirmedReport of(List<Page> pages, BatchView filed) {
        List<Document> documents = new ArrayList<>();
        for (Replay.Confirmed c : Replay.Confirmed.of(filed)) {
            Map<String, Value> fields = new LinkedHashMap<>();
            c.values().forEach((name, v) -> fields.put(name, new Value(v.text(), v.page())));
            documents.add(new Document(c.pages(), c.type(), fields));
        }
        return new ConfirmedReport(pages, documents);
    }

    public List<Replay.Confirmed> confirmed() {
        return documents.stream().map(Document::confirmed).toList();
    }
}
