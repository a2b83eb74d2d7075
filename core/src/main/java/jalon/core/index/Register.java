package jalon.core.index;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A list of the organisation's own records, looked up by exact value; case and blanks at the ends do not count. */
public final class Register {
    private final String name;
    private final List<String> columns;
    private final List<Map<String, String>> rows;
    private final List<String> faults;
    private final Map<String, Map<String, Map<String, String>>> byColumn = new HashMap<>();

    private Register(String name, List<String> columns, List<Map<String, String>> rows, List<String> faults) {
        this.name = name;
        this.columns = columns;
        this.rows = rows;
        this.faults = faults;
    }

    /**
     * Reads a CSV (RFC 4180) whose first line names the columns. Lines that do not have as many values as columns are
     * left out and told in {@link #faults}.
     */
    public static Register parse(String name, Reader csv) {
        List<Map<String, String>> rows = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<String> columns = List.of();
        try (CSVParser parser = format.parse(csv)) {
            columns = parser.getHeaderNames();
            var records = parser.iterator();
            while (records.hasNext()) {
                CSVRecord record = records.next();
                if (record.isConsistent()) {
                    rows.add(Map.copyOf(record.toMap()));
                } else {
                    faults.add("register " + name + ", line " + parser.getCurrentLineNumber() + ": " + record.size()
                            + " values for " + columns.size() + " columns; the line is left out");
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            faults.add("register " + name + ", after " + rows.size() + " good lines: " + e.getMessage()
                    + "; the rest is left out");
        }
        return new Register(name, columns, rows, faults);
    }

    public String name() {
        return name;
    }

    public List<String> columns() {
        return columns;
    }

    public List<Map<String, String>> rows() {
        return rows;
    }

    public List<String> faults() {
        return faults;
    }

    /** The first row whose column has this value. */
    public synchronized Optional<Map<String, String>> find(String column, String value) {
        Map<String, Map<String, String>> index = byColumn.computeIfAbsent(column, c -> {
            Map<String, Map<String, String>> made = new HashMap<>();
            for (Map<String, String> row : rows) {
                made.putIfAbsent(key(row.getOrDefault(c, "")), row);
            }
            return made;
        });
        String key = key(value);
        return key.isEmpty() ? Optional.empty() : Optional.ofNullable(index.get(key));
    }

    private static String key(String value) {
        return value.strip().toUpperCase(Locale.ROOT);
    }
}
