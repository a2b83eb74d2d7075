package jalon.core.run;

import jalon.core.image.Repair;
import jalon.core.name.Count;
import jalon.core.name.NameCounts;
import jalon.core.name.NameTemplate;
import jalon.core.name.SafeName;
import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Says where each document of a batch goes and under what name, before anything is written. */
public final class Filing {
    private static final Set<String> OWN_VALUES = Set.of("stream", "type", "batch", "no", "filed");

    /** What names can be made of beside these and a document's own values. */
    private static final Set<String> IN_NAMES =
            Set.of("group", "sender", "subject", "sent", "station", "operator", "received", "words");

    /** How many folders there are cannot be counted within one of them. */
    private static final Set<Count.Per> IN_FOLDERS = Set.of(Count.Per.DAY, Count.Per.STREAM);

    /** Who sent a batch by mail, in the addresses that are told of it. */
    private static final String SENDER = "sender";

    private Filing() {}

    /**
     * @param folders below the destination, safe names
     * @param name of the file without ending; it may still be numbered when it is taken
     * @param wish what a person wants of it, or null
     */
    public record Planned(int document, Destination destination, List<String> folders, String name, FilingWish wish) {
        public boolean isLeftOut() {
            return wish != null && wish.leftOut() != null;
        }

        /** Where it is to lie in its destination. */
        public FilingPlace.Spot spot() {
            return new FilingPlace.Spot(String.join("/", folders), name, destination.formats(), destination.taken());
        }

        public String path() {
            return folders.isEmpty() ? name : String.join("/", folders) + "/" + name;
        }
    }

    /**
     * What names are made of beside a document's values.
     *
     * @param batch number of the batch, @param about what is known of it beside its pages
     * @param pages what was seen on each, by number
     * @param day of the filing, where the installation stands
     */
    public record NamedBy(
            String batch,
            Map<Finder.Inherited.From, String> about,
            Map<Integer, PageFacts> pages,
            LocalDate day,
            NameCounts counts) {}

    /**
     * One entry for each document and destination; names that meet within the batch are numbered here, unless one is to be a
     * version of the other. A document has the same number of its day or its stream at all destinations.
     *
     * @param wishes of people; those for pages that begin no document mean nothing
     */
    public static List<Planned> plan(StreamDefinition stream, NamedBy by, BatchView view, List<FilingWish> wishes) {
        List<Planned> plan = new ArrayList<>();
        var names = new DocumentNames(stream, by, view);
        for (Destination destination : stream.destinations()) {
            Map<String, Integer> taken = new LinkedHashMap<>();
            for (BatchView.DocumentView document : view.documents()) {
                FilingWish wish = wishes.stream()
                        .filter(w -> w.page() == document.pages().get(0)
                                && w.destination().equals(destination.destination()))
                        .findFirst()
                        .orElse(null);
                List<String> path = wish == null || wish.path() == null ? List.of() : SafeName.path(wish.path());
                if (path.isEmpty()) {
                    path = names.path(destination, document);
                }
                List<String> folders = path.subList(0, path.size() - 1);
                String name = path.get(path.size() - 1);
                int times = taken.merge(
                        String.join("/", folders) + "/" + name.toLowerCase(java.util.Locale.ROOT), 1, Integer::sum);
                boolean own = times == 1 || destination.taken().isVersion();
                plan.add(
                        new Planned(document.no(), destination, folders, own ? name : name + " (" + times + ")", wish));
            }
        }
        return plan;
    }

    /** Names of those values of a document that cannot stand in its name at a destination as they are: what is unsafe is changed. */
    public static List<String> unsafe(
            StreamDefinition stream, NamedBy by, BatchView view, Destination destination, int document) {
        return new DocumentNames(stream, by, view)
                .unsafe(destination, view.documents().get(document - 1));
    }

    /**
     * What a destination is told of a document beside its files.
     *
     * @param day of the filing, where the installation stands
     * @return by name; those that come to nothing are left out
     */
    public static Map<String, String> properties(
            StreamDefinition stream, Destination destination, FiledDocument document, LocalDate day) {
        FiledDocument.Origin origin = document.origin();
        Map<String, String> values = values(stream, origin.type(), origin.batch(), origin.no(), day);
        values.putAll(document.fields());
        Map<String, String> properties = new LinkedHashMap<>();
        destination.properties().forEach((name, template) -> {
            String text = NameTemplate.parse(template).text(values).strip();
            if (!text.isEmpty()) {
                properties.put(name, text);
            }
        });
        return properties;
    }

    /**
     * Who is told that a batch is filed, and of which of its documents.
     *
     * @param sender of the mail that brought it, or null
     * @return numbers of documents by address, in the order of the stream
     */
    public static Map<String, List<Integer>> receivers(
            StreamDefinition stream, String batch, BatchView view, LocalDate day, String sender) {
        Map<String, List<Integer>> receivers = new LinkedHashMap<>();
        for (String template : stream.filing().report()) {
            NameTemplate address = NameTemplate.parse(template);
            for (BatchView.DocumentView document : view.documents()) {
                Map<String, String> values = values(stream, batch, document, day);
                values.put(SENDER, sender);
                String to = address.text(values).strip();
                List<Integer> its = receivers.computeIfAbsent(to, a -> new ArrayList<>());
                if (!its.contains(document.no())) {
                    its.add(document.no());
                }
            }
        }
        receivers.remove("");
        return receivers;
    }

    /** What is wrong with the stream's name templates, each with its JSON pointer; empty when nothing is. */
    public static List<Streams.Fault> faults(StreamDefinition stream) {
        Set<String> known = new HashSet<>(OWN_VALUES);
        stream.types().forEach(t -> t.fields().forEach(f -> known.add(f.field())));
        Set<String> inNames = new HashSet<>(known);
        inNames.addAll(IN_NAMES);
        List<Streams.Fault> faults = new ArrayList<>();
        for (int i = 0; i < stream.destinations().size(); i++) {
            Destination destination = stream.destinations().get(i);
            check(destination.folder(), "/destinations/" + i + "/folder", inNames, IN_FOLDERS, faults);
            check(destination.file(), "/destinations/" + i + "/file", inNames, EnumSet.allOf(Count.Per.class), faults);
            if (destination.list() != null && destination.to() == Destination.To.ARCHIVE) {
                faults.add(new Streams.Fault(
                        "/destinations/" + i + "/list",
                        "Jalon's archive has no list: what lies there is found by searching"));
            }
            String properties = "/destinations/" + i + "/properties/";
            destination
                    .properties()
                    .forEach((name, template) -> check(template, properties + name, known, Set.of(), faults));
        }
        Set<String> tellable = new HashSet<>(known);
        tellable.add(SENDER);
        for (int i = 0; i < stream.filing().report().size(); i++) {
            check(stream.filing().report().get(i), "/filing/report/" + i, tellable, Set.of(), faults);
        }
        return faults;
    }

    /** @param counted what may be counted in it */
    private static void check(
            String template, String pointer, Set<String> known, Set<Count.Per> counted, List<Streams.Fault> faults) {
        try {
            NameTemplate parsed = NameTemplate.parse(template);
            if (parsed.counts().stream().anyMatch(count -> !counted.contains(count.per()))) {
                faults.add(new Streams.Fault(
                        pointer,
                        counted.isEmpty()
                                ? "nothing is counted here, but in names of folders and files"
                                : "a folder's name can be counted per day or per stream"));
            }
            for (String name : parsed.names()) {
                if (!known.contains(name)) {
                    faults.add(
                            new Streams.Fault(pointer, "there is no field or value '" + name + "' to make a name of"));
                }
            }
        } catch (IllegalArgumentException e) {
            faults.add(new Streams.Fault(pointer, e.getMessage()));
        }
    }

    /** What names, properties and addresses are made of everywhere. */
    static Map<String, String> values(
            StreamDefinition stream, String batch, BatchView.DocumentView document, LocalDate day) {
        Map<String, String> values = values(stream, document.type().type(), batch, document.no(), day);
        values.putAll(fields(document));
        return values;
    }

    private static Map<String, String> values(
            StreamDefinition stream, String type, String batch, int no, LocalDate day) {
        Map<String, String> values = new LinkedHashMap<>();
        values.put("stream", stream.stream());
        // A document may go on what another stream filed, whose types this one does not have.
        values.put(
                "type",
                stream.type(type).map(StreamDefinition.DocumentType::title).orElse(type));
        values.put("batch", batch);
        values.put("no", Integer.toString(no));
        values.put("filed", day.toString());
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

    /** What is done to the images of these pages before they are filed, by page number; none for those filed as received. */
    public static Map<Integer, List<Repair>> recipes(StreamDefinition stream, BatchView view, List<Integer> pages) {
        Map<Integer, List<Repair>> recipes = new LinkedHashMap<>();
        if (stream.pages().repairFor().filing()) {
            view.pages().stream()
                    .filter(p -> pages.contains(p.no()) && !p.image().repairs().isEmpty())
                    .forEach(p -> recipes.put(p.no(), p.image().repairs()));
        }
        return recipes;
    }

    /** @param documentNo number of the document in the batch, from 1 */
    public static FiledDocument document(
            StreamDefinition stream,
            String batch,
            BatchView view,
            int documentNo,
            Map<Integer, PageFacts> pages,
            Instant at) {
        BatchView.DocumentView document = view.documents().get(documentNo - 1);
        String type = document.type().type();
        String title = stream.type(type).orElseThrow().title() + ", batch " + batch + ", document " + document.no();
        return new FiledDocument(
                title,
                new FiledDocument.Origin(stream.stream(), type, batch, document.no()),
                fields(document),
                document.pages().stream().map(pages::get).toList(),
                recipes(stream, view, document.pages()),
                at);
    }
}
