package jalon.core.register;

import jalon.core.evidence.RowWeights;
import jalon.core.register.RowMatch.Compared;
import jalon.core.register.RowMatch.Level;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Finds the rows that a paper may be about by whatever stands on it: names, telephone numbers, streets, days and numbers, in
 * any order and place, nearly too. Keys bring the rows that may be meant, the rarest first; the best of them are compared
 * column by column, see {@link RowWeights}; and what speaks for each becomes a certainty beside that of all others and of no
 * row at all. Rows that the paper cannot tell apart share theirs.
 */
public final class RowSearch {
    private static final int COMPARED = 120;

    /** A row that shares less with the paper than this part of what the best one does is never the one that is meant. */
    private static final double WORTH_COMPARING = 0.4;

    /** A key that so many rows have tells nothing in a large register; in a small one all rows may have it. */
    private static final int MOST_ROWS = 2000;

    /** Rows that are added up before the rarest keys are thought to have brought all that matter. */
    private static final int ENOUGH_ROWS = 20_000;

    private static final int KEPT = 9;
    private static final double LEAST = 0.001;

    private final List<Map<String, String>> rows;
    private final List<ColumnSearch> columns = new ArrayList<>();
    private final RowIndex index;

    RowSearch(List<String> names, List<Map<String, String>> rows, Function<String, ColumnKind> kindOf) {
        this.rows = rows;
        Map<String, ColumnKind> kinds = new ConcurrentHashMap<>();
        // A large register is made ready in as many threads as there are processors.
        index = RowIndex.of(names.parallelStream()
                .map(name -> {
                    kinds.put(name, kindOf.apply(name));
                    return keys(name, kinds.get(name));
                })
                .toList());
        names.forEach(n -> columns.add(new ColumnSearch(n, kinds.get(n), index, Math.max(1, rows.size()))));
    }

    private RowIndex.Pairs keys(String column, ColumnKind kind) {
        var pairs = new RowIndex.Pairs();
        for (int i = 0; i < rows.size(); i++) {
            String value = rows.get(i).getOrDefault(column, "");
            if (!value.isBlank()) {
                int row = i;
                ColumnSearch.keys(column, kind, value).forEach(key -> pairs.add(key, row));
            }
        }
        return pairs;
    }

    /** What each column holds. */
    public Map<String, ColumnKind> kinds() {
        Map<String, ColumnKind> kinds = new TreeMap<>();
        columns.forEach(c -> kinds.put(c.column, c.kind));
        return kinds;
    }

    /**
     * @param may only rows that may be meant, by what is known already
     * @return the likeliest first; their certainties and that of no row at all make 1
     */
    public List<RowMatch> on(Paper paper, Predicate<Map<String, String>> may) {
        List<Candidate> candidates = candidates(paper).stream()
                .filter(row -> may.test(rows.get(row)))
                .map(row -> compared(row, paper))
                .sorted(Comparator.comparingDouble(Candidate::bits).reversed())
                .toList();
        double prior = RowWeights.IN_REGISTER / Math.max(1, rows.size());
        double none = 1 - RowWeights.IN_REGISTER;
        double all = none
                + candidates.stream()
                        .mapToDouble(c -> prior * Math.pow(2, c.bits))
                        .sum();
        return candidates.stream()
                .limit(KEPT)
                .map(c -> c.match(prior * Math.pow(2, c.bits) / all))
                .filter(m -> m.certainty() >= LEAST)
                .toList();
    }

    private record Candidate(Map<String, String> row, double bits, List<Compared> columns, boolean telling) {
        RowMatch match(double certainty) {
            return new RowMatch(row, certainty, telling, columns);
        }
    }

    private Candidate compared(int no, Paper paper) {
        Map<String, String> row = rows.get(no);
        List<Compared> found = new ArrayList<>();
        double bits = 0;
        int agree = 0;
        boolean own = false;
        boolean other = false;
        for (ColumnSearch column : columns) {
            var compared = column.compared(row.getOrDefault(column.column, ""), paper);
            if (compared.isEmpty()) {
                continue;
            }
            Compared c = compared.get();
            found.add(c);
            bits += c.bits();
            agree += c.level() == Level.ABSENT || column.kind == ColumnKind.TEXT ? 0 : 1;
            own |= c.level() == Level.SAME && column.kind == ColumnKind.NUMBER;
            // A family shares its last name, its telephone and its street.
            other |= c.level() != Level.SAME && column.kind == ColumnKind.NAME;
        }
        found.sort(Comparator.comparingDouble(Compared::bits).reversed());
        return new Candidate(row, bits, found, own || agree > 1 && !other);
    }

    /** Rows by summed rarity of the keys that they share with the paper. */
    private List<Integer> candidates(Paper paper) {
        List<Hit> hits = new ArrayList<>();
        for (ColumnSearch column : columns) {
            for (String key : column.probes(paper).toList()) {
                int[] found = index.rows(key, MOST_ROWS);
                if (found.length > 0) {
                    hits.add(new Hit(found, Math.log((rows.size() + 1.0) / found.length)));
                }
            }
        }
        hits.sort(Comparator.comparingInt(h -> h.rows.length));
        Map<Integer, Double> sums = new HashMap<>();
        int added = 0;
        for (Hit hit : hits) {
            for (int row : hit.rows) {
                sums.merge(row, hit.rarity, Double::sum);
            }
            added += hit.rows.length;
            if (added > ENOUGH_ROWS) {
                break;
            }
        }
        double best = sums.values().stream().mapToDouble(s -> s).max().orElse(0);
        return sums.entrySet().stream()
                .filter(sum -> sum.getValue() >= WORTH_COMPARING * best)
                .sorted(Map.Entry.<Integer, Double>comparingByValue().reversed())
                .limit(COMPARED)
                .map(Map.Entry::getKey)
                .toList();
    }

    private record Hit(int[] rows, double rarity) {}
}
