package jalon.core.propose;

import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Register columns that hold what was read. A value that stands somewhere in a column says little; one that stands in the row that
 * the paper's other values are in says that the column is meant.
 */
final class RegisterColumns {
    private static final double MOST = 0.75;
    private static final int FEWEST = 2;

    private final Map<String, Register> registers;

    /** Number of the document that a page belongs to. */
    private final Map<Integer, Integer> documents = new HashMap<>();

    RegisterColumns(Map<String, Register> registers, List<List<PageFacts>> documents) {
        this.registers = registers;
        for (int i = 0; i < documents.size(); i++) {
            int no = i;
            documents.get(i).forEach(page -> this.documents.put(page.no(), no));
        }
    }

    /** @param values by document */
    private record Column(Proposal field, Register register, String name, Map<Integer, String> values) {
        List<Map<String, String>> rows(int document) {
            return register.rows(name, values.getOrDefault(document, ""));
        }

        /** How many papers say by it which row they mean. */
        long telling() {
            return values.keySet().stream().filter(d -> rows(d).size() == 1).count();
        }

        /** Whether most papers that have both mean the same row by both. */
        boolean agrees(Column other) {
            List<Integer> both =
                    values.keySet().stream().filter(other.values::containsKey).toList();
            long same = both.stream()
                    .filter(d -> other.rows(d).stream().anyMatch(rows(d)::contains))
                    .count();
            return same >= MOST * both.size();
        }
    }

    /** The proposals, with a check where a column is meant. */
    List<Proposal> into(List<Proposal> proposals) {
        Map<Proposal, Column> meant = new HashMap<>();
        for (Register register : registers.values()) {
            List<Column> columns = proposals.stream()
                    .filter(p -> p.what() == Proposal.What.FIELD && !meant.containsKey(p))
                    .flatMap(p -> column(p, register).stream())
                    .toList();
            columns.stream()
                    .max(Comparator.comparingLong(Column::telling))
                    .ifPresent(key -> columns.stream()
                            .filter(c -> c == key || key.agrees(c))
                            .forEach(c -> meant.put(c.field(), c)));
        }
        return proposals.stream()
                .map(p -> meant.containsKey(p) ? checked(p, meant.get(p)) : p)
                .toList();
    }

    private Optional<Column> column(Proposal field, Register register) {
        Map<Integer, String> values = new TreeMap<>();
        field.seen().stream()
                .filter(s -> s.value() != null)
                .forEach(s -> values.putIfAbsent(documents.getOrDefault(s.page(), 0), s.value()));
        return register.columns().stream()
                .map(name -> new Column(field, register, name, values))
                .filter(c -> known(c) >= FEWEST && known(c) >= MOST * values.size())
                .max(Comparator.comparingLong(RegisterColumns::known));
    }

    private static long known(Column column) {
        return column.values().keySet().stream()
                .filter(d -> !column.rows(d).isEmpty())
                .count();
    }

    private static Proposal checked(Proposal field, Column column) {
        Map<String, Object> part = new LinkedHashMap<>(field.part());
        List<Object> checks = new ArrayList<>((List<?>) part.getOrDefault("checks", List.of()));
        checks.add(Map.of("check", "inRegister", "register", column.register().name(), "column", column.name()));
        part.put("checks", checks);
        return new Proposal(field.what(), field.type(), part, field.why(), field.seen());
    }
}
