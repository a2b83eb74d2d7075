package jalon.core.run;

import jalon.core.index.FieldValue;
import jalon.core.name.Count;
import jalon.core.name.NameTemplate;
import jalon.core.name.SafeName;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Names that the documents of a batch get by the templates of their stream. */
final class DocumentNames {
    private static final int FIRST_WORDS = 6;

    private final StreamDefinition stream;
    private final Filing.NamedBy by;
    private final BatchView view;

    /** Numbers that documents have already, of their stream and their day: they are the same at all destinations. */
    private final Map<Integer, Map<Count.Per, Long>> shared = new HashMap<>();

    DocumentNames(StreamDefinition stream, Filing.NamedBy by, BatchView view) {
        this.stream = stream;
        this.by = by;
        this.view = view;
    }

    /** Folders and, last, the name of the file. */
    List<String> path(Destination destination, BatchView.DocumentView document) {
        Map<String, String> values = values(document);
        Map<Count.Per, Long> numbers = shared.computeIfAbsent(document.no(), no -> new EnumMap<>(Count.Per.class));
        List<String> path = new ArrayList<>(
                NameTemplate.parse(destination.folder()).fill(values, count -> number(count, numbers, "")));
        String folder = destination.destination() + "/" + String.join("/", path);
        List<String> names =
                NameTemplate.parse(destination.file()).fill(values, count -> number(count, numbers, folder));
        // The next destination has folders of its own.
        numbers.remove(Count.Per.FOLDER);
        path.add(String.join(" ", names.isEmpty() ? List.of("unnamed") : names));
        return path;
    }

    /** Names of values that cannot stand in it as they are. */
    List<String> unsafe(Destination destination, BatchView.DocumentView document) {
        Map<String, String> values = values(document);
        return Stream.of(destination.folder(), destination.file())
                .flatMap(template -> NameTemplate.parse(template).names().stream())
                .distinct()
                .filter(name -> values.get(name) != null && !SafeName.takes(values.get(name)))
                .toList();
    }

    private String number(Count count, Map<Count.Per, Long> numbers, String folder) {
        return count.of(numbers.computeIfAbsent(
                count.per(), per -> by.counts().next(stream.stream() + counted(per, folder))));
    }

    private String counted(Count.Per per, String folder) {
        return switch (per) {
            case STREAM -> "";
            case DAY -> " " + by.day();
            case FOLDER -> "/" + folder;
        };
    }

    private Map<String, String> values(BatchView.DocumentView document) {
        Map<String, String> values = new LinkedHashMap<>();
        values.put("sender", by.about().get(Finder.Inherited.From.SENDER));
        values.put("subject", by.about().get(Finder.Inherited.From.SUBJECT));
        values.put("sent", by.about().get(Finder.Inherited.From.SENT_ON));
        values.put("station", by.about().get(Finder.Inherited.From.STATION));
        values.put("operator", by.about().get(Finder.Inherited.From.OPERATOR));
        PageFacts first = by.pages().get(document.pages().get(0));
        if (first != null) {
            values.put("received", first.file().replaceFirst("\\.[^.]*$", ""));
            values.put("words", firstWords(first));
        }
        view.groups().stream()
                .filter(group -> Objects.equals(group.no(), document.group()))
                .findFirst()
                .ifPresent(group -> values.put("group", ofGroup(group)));
        // What a field of the stream is called goes before what is called so here.
        values.putAll(Filing.values(stream, by.batch(), document, by.day()));
        return values;
    }

    /** Of the first line that says something: with two words at least. */
    private static String firstWords(PageFacts page) {
        return page.lines().stream()
                .map(line -> line.text().strip())
                .filter(text -> text.matches(".*\\p{L}{2,}.*\\s.*\\p{L}{2,}.*"))
                .findFirst()
                .map(text ->
                        Arrays.stream(text.split("\\s+")).limit(FIRST_WORDS).collect(Collectors.joining(" ")))
                .orElse(null);
    }

    /** What stands first of its values, else its number. */
    private static String ofGroup(BatchView.GroupView group) {
        return group.fields().values().stream()
                .map(FieldValue::value)
                .filter(value -> value != null && !value.isBlank())
                .findFirst()
                .orElse(Integer.toString(group.no()));
    }
}
