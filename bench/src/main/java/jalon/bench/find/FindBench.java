package jalon.bench.find;

import jalon.bench.Table;
import jalon.find.Answer;
import jalon.find.Search;
import jalon.find.SearchIndex;
import jalon.find.SearchLine;
import jalon.find.Seen;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * How long finding takes among many documents: a page of results with the counts beside them, for each sort of thing that
 * people ask. Beside it the database's own full text, with as many documents as that is asked with in the same run.
 *
 * <p>Arguments: where the table goes, documents, documents for the database, its address, seed.
 */
public final class FindBench {
    private static final int EACH = 40;
    private static final int A_PAGE = 50;
    private static final double NANOS = 1e6;

    private FindBench() {}

    private interface Asked {
        int ask(String line) throws IOException, SQLException;
    }

    /** @param middle and @param slow in milliseconds: at the 50th and the 95th percentile */
    private record Took(double middle, double slow, double found) {}

    public static void main(String[] args) throws Exception {
        int documents = Integer.parseInt(args[1]);
        int few = Integer.parseInt(args[2]);
        FiledPapers papers = new FiledPapers(Long.parseLong(args[4]));
        Table table = new Table();
        table.title("Filling", "what", "documents", "documents a second", "MB");
        Map<String, Took> tables = new LinkedHashMap<>();
        try (FullTextTables database = new FullTextTables(args[3])) {
            long from = System.nanoTime();
            database.fill(papers, few);
            table.row("database", few, rate(few, from), "");
            papers.asked(few, EACH).forEach((sort, lines) -> tables.put(sort, took(lines, database::search)));
        }
        Map<String, Took> small = index(papers, few, table);
        Map<String, Took> large = index(papers, documents, table);
        table.title(
                "A page of results with counts, in ms",
                "asked",
                "database, " + few + ": middle",
                "95 %",
                "index, " + few + ": middle",
                "95 %",
                "ratio at 95 %",
                "index, " + documents + ": middle",
                "95 %",
                "found");
        large.forEach((sort, took) -> {
            Took before = tables.get(sort);
            Took same = small.get(sort);
            boolean can = before != null && before.found() >= 0;
            table.row(
                    sort,
                    can ? before.middle() : "-",
                    can ? before.slow() : "-",
                    same.middle(),
                    same.slow(),
                    can ? same.slow() / before.slow() : "-",
                    took.middle(),
                    took.slow(),
                    (int) took.found());
        });
        Files.writeString(Path.of(args[0]), table.text());
        System.out.println(table.text());
    }

    private static Map<String, Took> index(FiledPapers papers, int documents, Table table) throws IOException {
        Path folder = Files.createTempDirectory("find-bench");
        try (SearchIndex index = SearchIndex.open(folder, ZoneOffset.UTC)) {
            long from = System.nanoTime();
            for (int id = 1; id <= documents; id++) {
                index.put(papers.document(id));
            }
            index.keep(documents);
            index.refresh();
            table.row("index", documents, rate(documents, from), megabytes(folder));
            Map<String, String> names = new HashMap<>();
            index.fields().forEach(f -> names.put(f, f));
            Map<String, Took> all = new LinkedHashMap<>();
            papers.asked(documents, EACH)
                    .forEach((sort, lines) -> all.put(sort, took(lines, line -> {
                        Answer found = index.search(
                                new Search(SearchLine.of(line, names), Seen.ALL, Search.Sort.NEWEST, 0, A_PAGE));
                        return found.total();
                    })));
            all.put(
                    "suggestions",
                    took(
                            papers.asked(documents, EACH).get("part of a field"),
                            line -> index.known(index.fields(), line.substring(6), Seen.ALL, 8)
                                    .size()));
            Seen some = (stream, type) -> stream.equals("s3") ? Seen.How.NOT : Seen.How.OPEN;
            all.put(
                    "a frequent word, by one who may not see all",
                    took(
                            papers.asked(documents, EACH).get("a frequent word"),
                            line -> index.search(
                                            new Search(SearchLine.of(line, names), some, Search.Sort.NEWEST, 0, A_PAGE))
                                    .total()));
            all.put(
                    "the search after one is filed",
                    took(papers.asked(documents, EACH).get("two words"), line -> {
                        index.put(papers.document(documents));
                        index.refresh();
                        return index.search(
                                        new Search(SearchLine.of(line, names), Seen.ALL, Search.Sort.NEWEST, 0, A_PAGE))
                                .total();
                    }));
            return all;
        } finally {
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file : files.toList()) {
                    Files.delete(file);
                }
            }
            Files.delete(folder);
        }
    }

    private static Took took(List<String> lines, Asked asked) {
        double[] millis = new double[lines.size()];
        double found = 0;
        try {
            // What is asked first in a day has nothing in memory yet; each line is asked once all the same.
            asked.ask(lines.get(0));
            for (int i = 0; i < millis.length; i++) {
                long from = System.nanoTime();
                found += asked.ask(lines.get(i));
                millis[i] = (System.nanoTime() - from) / NANOS;
            }
        } catch (IOException | SQLException e) {
            throw new IllegalStateException(e);
        }
        Arrays.sort(millis);
        return new Took(
                millis[millis.length / 2], millis[(int) Math.round((millis.length - 1) * 0.95)], found / lines.size());
    }

    private static double rate(int documents, long from) {
        return documents / ((System.nanoTime() - from) / 1e9);
    }

    private static long megabytes(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.mapToLong(f -> f.toFile().length()).sum() >> 20;
        }
    }
}
