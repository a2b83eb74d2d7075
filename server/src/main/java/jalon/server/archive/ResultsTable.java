package jalon.server.archive;

import jalon.core.output.Spreadsheet;
import jalon.server.Times;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Found documents for a spreadsheet: one row a document, one column for each title of a field. */
final class ResultsTable {
    private static final List<String> FIRST = List.of("Type", "Batch", "Filed", "By", "Pages");

    private ResultsTable() {}

    static String of(List<FoundDocuments.Found> documents, Times times) {
        Set<String> titles = new LinkedHashSet<>();
        documents.forEach(d -> d.fields().forEach(f -> titles.add(f.title())));
        List<String> columns = new ArrayList<>(FIRST);
        columns.addAll(titles);
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(columns);
            for (FoundDocuments.Found d : documents) {
                csv.printRecord(row(d, titles, times));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<String> row(FoundDocuments.Found d, Set<String> titles, Times times) {
        Map<String, String> values = new HashMap<>();
        d.fields().forEach(f -> values.merge(f.title(), f.value() == null ? "" : f.value(), (a, b) -> a + "; " + b));
        List<String> row = new ArrayList<>(List.of(
                d.kind().title(),
                d.batch(),
                times.day(d.filedAt()).toString(),
                d.filedBy(),
                Integer.toString(d.extent().pageCount())));
        titles.forEach(title -> row.add(values.getOrDefault(title, "")));
        row.replaceAll(Spreadsheet::plain);
        return row;
    }
}
