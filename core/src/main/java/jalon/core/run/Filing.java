package jalon.core.run;

import jalon.core.name.NameTemplate;
import jalon.core.output.FiledDocument;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Says where each document of a batch goes and under what name, before anything is written. */
public final class Filing {
    private Filing() {}

    /**
     * @param folders below the destination, safe names
     * @param name of the file without ending; it may still be numbered when it is taken
     */
    public record Planned(int document, Destination destination, List<String> folders, String name) {
        public String path() {
            return folders.isEmpty() ? name : String.join("/", folders) + "/" + name;
        }
    }

    /** One entry for each document and destination; names that meet within the batch are numbered here. */
    public static List<Planned> plan(StreamDefinition stream, String batch, BatchView view, Instant at) {
        List<Planned> plan = new ArrayList<>();
        for (Destination destination : stream.destinations()) {
            NameTemplate folder = NameTemplate.parse(destination.folder());
            NameTemplate file = NameTemplate.parse(destination.file());
            Map<String, Integer> taken = new LinkedHashMap<>();
            for (BatchView.DocumentView document : view.documents()) {
                Map<String, String> values = values(stream, batch, document, at);
                List<String> folders = folder.fill(values);
                List<String> names = file.fill(values);
                String name = String.join(" ", names.isEmpty() ? List.of("unnamed") : names);
                int times = taken.merge(
                        String.join("/", folders) + "/" + name.toLowerCase(java.util.Locale.ROOT), 1, Integer::sum);
                plan.add(new Planned(
                        document.no(), destination, folders, times == 1 ? name : name + " (" + times + ")"));
            }
        }
        return plan;
    }

    private static Map<String, String> values(
            StreamDefinition stream, String batch, BatchView.DocumentView document, Instant at) {
        Map<String, String> values = new LinkedHashMap<>();
        values.put("stream", stream.stream());
        values.put("type", stream.type(document.type().type()).orElseThrow().title());
        values.put("batch", batch);
        values.put("no", Integer.toString(document.no()));
        values.put("filed", LocalDate.ofInstant(at, ZoneOffset.UTC).toString());
        values.putAll(fields(document));
        return values;
    }

    /** The document's values, those it has none for left out. */
    public static Map<String, String> fields(BatchView.DocumentView document) {
        Map<String, String> values = new LinkedHashMap<>();
        document.fields().forEach((name, value) -> {
            if (value.value() != null && !value.value().isBlank()) {
                values.put(name, value.value());
            }
        });
        return values;
    }

    public static FiledDocument document(
            StreamDefinition stream,
            String batch,
            BatchView.DocumentView document,
            Map<Integer, PageFacts> pages,
            Instant at) {
        String type = document.type().type();
        String title = stream.type(type).orElseThrow().title() + ", batch " + batch + ", document " + document.no();
        return new FiledDocument(
                title,
                stream.stream(),
                type,
                batch,
                document.no(),
                fields(document),
                document.pages().stream().map(pages::get).toList(),
                at);
    }
}
