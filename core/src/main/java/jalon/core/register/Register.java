package jalon.core.register;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;
import org.apache.commons.lang3.StringUtils;

/** A list of the organisation's own records, looked up by exact value; case and blanks at the ends do not count. */
public final class Register {
    private static final String DIGITS = "0123456789";
    private static final int LONGEST_HEADER = 16_384;

    /** So many faults are told one by one; of a million bad lines nobody reads more. */
    private static final int MOST_FAULTS = 200;

    private static final String LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";

    private final String name;
    private final List<String> columns;
    private final List<Map<String, String>> rows;
    private final List<String> faults;
    private final Map<String, ColumnKind> kinds;
    private final Map<String, Column> byColumn = new HashMap<>();
    private RowSearch search;

    private Register(
            String name,
            List<String> columns,
            List<Map<String, String>> rows,
            List<String> faults,
            Map<String, ColumnKind> kinds) {
        this.kinds = Map.copyOf(kinds);
        this.name = name;
        this.columns = columns;
        this.rows = rows;
        this.faults = faults;
    }

    /** The rows in which all of these words stand somewhere, whatever their case; all rows for none. */
    public List<Map<String, String>> holding(String words) {
        String[] wanted = words.toLowerCase(Locale.ROOT).trim().split("\\s+");
        return rows.stream()
                .filter(row -> {
                    String all = String.join(" ", row.values()).toLowerCase(Locale.ROOT);
                    return Arrays.stream(wanted).allMatch(all::contains);
                })
                .toList();
    }

    /**
     * Reads a CSV (RFC 4180) whose first line names the columns; between values stands whatever of comma, semicolon and
     * tab stands most in that line. Lines that do not have as many values as columns are left out and told in
     * {@link #faults}.
     */
    public static Register parse(String name, Reader csv) {
        BufferedReader lines = new BufferedReader(csv);
        List<Map<String, String>> rows = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(lines))
                .setHeader()
                .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<String> columns = List.of();
        int bad = 0;
        try (CSVParser parser = format.parse(lines)) {
            columns = parser.getHeaderNames();
            var records = parser.iterator();
            while (records.hasNext()) {
                CSVRecord record = records.next();
                if (record.isConsistent()) {
                    rows.add(Map.copyOf(record.toMap()));
                } else if (++bad <= MOST_FAULTS) {
                    faults.add("register " + name + ", line " + parser.getCurrentLineNumber() + ": " + record.size()
                            + " values for " + columns.size() + " columns; the line is left out");
                }
            }
            if (bad > MOST_FAULTS) {
                faults.add("register " + name + ": " + (bad - MOST_FAULTS) + " more lines like these are left out");
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            faults.add("register " + name + ", after " + rows.size() + " good lines: " + e.getMessage()
                    + "; the rest is left out");
        }
        return new Register(name, columns, rows, faults, Map.of());
    }

    private static char delimiter(BufferedReader lines) {
        try {
            lines.mark(LONGEST_HEADER);
            char[] begins = new char[LONGEST_HEADER - 1];
            int read = Math.max(0, lines.read(begins));
            lines.reset();
            String first =
                    new String(begins, 0, read).lines().findFirst().orElse("").replaceAll("\"[^\"]*\"", "");
            return ",;\t"
                    .chars()
                    .mapToObj(c -> (char) c)
                    .max(Comparator.comparingLong((Character c) ->
                                    first.chars().filter(other -> other == c).count())
                            .thenComparing(c -> c == ',' ? 1 : 0))
                    .orElse(',');
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The same register, some of whose columns hold what people say rather than what their values look like. */
    public Register saying(Map<String, ColumnKind> byHand) {
        return byHand.isEmpty() ? this : new Register(name, columns, rows, faults, byHand);
    }

    /** What a column holds: as people say, else by its values. */
    public ColumnKind kind(String column) {
        ColumnKind said = kinds.get(column);
        return said == null ? ColumnKind.of(rows, column) : said;
    }

    /** Whether people said what a column holds. */
    public boolean isSaid(String column) {
        return kinds.containsKey(column);
    }

    /** How many different values a column has. */
    public int different(String column) {
        return column(column).byKey.size();
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

    /** Finds rows by whatever of them stands on a paper; made when it is first asked for. */
    public synchronized RowSearch search() {
        if (search == null) {
            search = new RowSearch(columns, rows, this::kind);
        }
        return search;
    }

    /** The rows whose column has this value. */
    public List<Map<String, String>> rows(String column, String value) {
        String key = key(value);
        return key.isEmpty() ? List.of() : column(column).byKey.getOrDefault(key, List.of());
    }

    /** The first row whose column has this value. */
    public Optional<Map<String, String>> find(String column, String value) {
        return rows(column, value).stream().findFirst();
    }

    /** How the register itself writes a value that differs in accents at most; nothing when it writes several so. */
    public Optional<String> spelling(String column, String value) {
        if (!rows(column, value).isEmpty()) {
            return Optional.of(value);
        }
        Set<String> spellings = column(column).byPlain.getOrDefault(plain(value), Set.of());
        return spellings.size() == 1 ? Optional.of(spellings.iterator().next()) : Optional.empty();
    }

    /**
     * Values of a column that differ from one in a single letter or digit.
     *
     * @param possible how many such values there could be
     * @param known those the register has
     */
    public record Neighbours(int possible, Set<String> known) {}

    public Neighbours neighbours(String column, String value) {
        String key = key(value);
        Set<String> known = new HashSet<>();
        int possible = 0;
        for (int i = 0; i < key.length(); i++) {
            char c = key.charAt(i);
            String others = Character.isDigit(c) ? DIGITS : Character.isLetter(c) ? LETTERS : "";
            for (int k = 0; k < others.length(); k++) {
                if (others.charAt(k) != c) {
                    possible++;
                    String near = key.substring(0, i) + others.charAt(k) + key.substring(i + 1);
                    if (column(column).byKey.containsKey(near)) {
                        known.add(near);
                    }
                }
            }
        }
        return new Neighbours(possible, known);
    }

    /** One column, to be looked up. */
    private static final class Column {
        private final Map<String, List<Map<String, String>>> byKey = new HashMap<>();
        private final Map<String, Set<String>> byPlain = new HashMap<>();
    }

    private synchronized Column column(String name) {
        return byColumn.computeIfAbsent(name, c -> {
            var column = new Column();
            for (Map<String, String> row : rows) {
                String value = row.getOrDefault(c, "");
                if (!value.isBlank()) {
                    column.byKey
                            .computeIfAbsent(key(value), k -> new ArrayList<>())
                            .add(row);
                    column.byPlain
                            .computeIfAbsent(plain(value), k -> new HashSet<>())
                            .add(value);
                }
            }
            return column;
        });
    }

    private static String key(String value) {
        return value.strip().toUpperCase(Locale.ROOT);
    }

    private static String plain(String value) {
        return key(StringUtils.stripAccents(value));
    }
}
