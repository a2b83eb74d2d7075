package jalon.core.output;

import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * What lies at a destination, a line for each document: CSV (RFC 4180) in UTF-8, safe to open in a spreadsheet. It grows with
 * what is filed; a column for each field that any of its documents has.
 */
public final class FilingList {
    private static final List<String> OWN = List.of("file", "stream", "type", "batch", "document", "pages", "filed");
    private static final CSVFormat FORM = CSVFormat.RFC4180;

    private FilingList() {}

    /**
     * A document that lies there.
     *
     * @param file where it lies, below the list's own folder
     * @param pages how many it has
     * @param filed on this day, where the installation stands
     * @param fields values by field name
     */
    public record Line(
            String file,
            String stream,
            String type,
            String batch,
            int document,
            int pages,
            LocalDate filed,
            Map<String, String> fields) {

        /** @param list where the list lies and @param path where the document does, both below the destination */
        public static Line of(String list, String path, FiledDocument document, LocalDate filed) {
            FiledDocument.Origin origin = document.origin();
            return new Line(
                    path.substring(list.lastIndexOf('/') + 1),
                    origin.stream(),
                    origin.type(),
                    origin.batch(),
                    origin.no(),
                    document.pages().size(),
                    filed,
                    document.fields());
        }
    }

    /**
     * Where the list lies that has a document, below the destination.
     *
     * @param folder of the document, below the destination; empty for the destination itself
     * @param filed the day of its filing
     */
    public static String path(Destination.Listed per, String folder, LocalDate filed) {
        return switch (per) {
            case FOLDER -> (folder.isEmpty() ? "" : folder + "/") + "list.csv";
            case DAY -> "list " + filed + ".csv";
        };
    }

    /** The same list under another name, where something else has its own; the first is number 1. */
    public static String numbered(String path, int number) {
        return number == 1 ? path : path.substring(0, path.length() - ".csv".length()) + " (" + number + ").csv";
    }

    /** @param lines in the order in which they are to stand */
    public static void write(List<Line> lines, OutputStream out) throws IOException {
        Set<String> fields = new LinkedHashSet<>();
        lines.forEach(line -> fields.addAll(line.fields().keySet()));
        var printer = new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), FORM);
        List<String> head = new ArrayList<>(OWN);
        head.addAll(fields);
        printer.printRecord(head);
        for (Line line : lines) {
            List<String> values = new ArrayList<>(List.of(
                    Spreadsheet.plain(line.file()),
                    line.stream(),
                    line.type(),
                    line.batch(),
                    Integer.toString(line.document()),
                    Integer.toString(line.pages()),
                    line.filed().toString()));
            fields.forEach(field -> values.add(Spreadsheet.plain(line.fields().getOrDefault(field, ""))));
            printer.printRecord(values);
        }
        printer.flush();
    }

    /**
     * What was written.
     *
     * @throws IOException where it is not such a list, or somebody made another of it
     */
    public static List<Line> read(Reader in) throws IOException {
        List<Line> lines = new ArrayList<>();
        List<String> head = null;
        try (CSVParser rows = FORM.parse(in)) {
            for (CSVRecord row : rows) {
                if (head == null) {
                    head = row.toList();
                    if (head.size() < OWN.size() || !head.subList(0, OWN.size()).equals(OWN)) {
                        throw new IOException("this is not a list of what is filed");
                    }
                } else {
                    lines.add(line(head, row));
                }
            }
        } catch (UncheckedIOException | IllegalArgumentException | DateTimeException e) {
            throw new IOException("the list of what is filed cannot be read: " + e.getMessage(), e);
        }
        return lines;
    }

    private static Line line(List<String> head, CSVRecord row) {
        if (row.size() != head.size()) {
            throw new IllegalArgumentException(
                    "line " + row.getRecordNumber() + " has not as many values as the first");
        }
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = OWN.size(); i < head.size(); i++) {
            if (!row.get(i).isEmpty()) {
                fields.put(head.get(i), row.get(i));
            }
        }
        return new Line(
                row.get(0),
                row.get(1),
                row.get(2),
                row.get(3),
                Integer.parseInt(row.get(4)),
                Integer.parseInt(row.get(5)),
                LocalDate.parse(row.get(6)),
                fields);
    }
}
