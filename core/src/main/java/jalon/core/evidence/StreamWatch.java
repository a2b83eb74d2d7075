package jalon.core.evidence;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * How a stream does on the paper that it gets, as seen on what was filed: week by week, what doubts come from, which ways to find a
 * value are corrected, and which types have come to be read badly.
 *
 * @param weeks the oldest first
 * @param causes the commonest first
 * @param corrected the most often corrected first
 * @param drifting the worst first
 */
public record StreamWatch(
        List<WatchedWeek> weeks, List<DoubtCause> causes, List<CorrectedRule> corrected, List<DriftingType> drifting) {
    private static final int LATELY_DAYS = 14;

    /** Fewer documents may be read badly by chance. */
    private static final int FEWEST = 3;

    /** How many papers are shown of each. */
    private static final int SHOWN = 12;

    /** A document is read badly when so many of its values are in doubt or were corrected. */
    private static final double BADLY = 0.5;

    /** @param batch number of the batch, @param document its number in that */
    public record FiledDocument(String batch, int document) {}

    /**
     * What was made of one field of a filed document.
     *
     * @param finder by which way it was found
     * @param right whether the machine was right; null where nobody looked
     * @param reasons codes of what spoke against it; none where it was sure or nothing was to be found
     */
    public record Seen(
            FiledDocument where,
            String type,
            String field,
            String finder,
            LocalDate filedOn,
            boolean sure,
            Boolean right,
            List<String> reasons) {
        boolean doubted() {
            return !sure && !reasons.isEmpty();
        }

        boolean wrong() {
            return Boolean.FALSE.equals(right);
        }
    }

    /**
     * @param from its Monday
     * @param untouched documents of which no value was in doubt or corrected
     * @param sureWrong values that were sure and corrected
     */
    public record WatchedWeek(LocalDate from, int documents, int untouched, int values, int doubts, int sureWrong) {}

    /** @param needless how many of these doubts were right as they stood */
    public record DoubtCause(String reason, int doubts, int needless) {}

    /**
     * A way to find a value that people corrected.
     *
     * @param looked how many of its values a person looked at, @param wrong how many of these were corrected
     * @param sureWrong and were called sure
     * @param latest where it was corrected, the latest first
     */
    public record CorrectedRule(
            String type,
            String field,
            String finder,
            int looked,
            int wrong,
            int sureWrong,
            List<FiledDocument> latest) {}

    /**
     * A type of which more documents are read badly of late: a sender has a new layout, a form a new edition.
     *
     * @param badly of late, @param of so many
     * @param badlyBefore before, @param ofBefore of so many
     * @param latest those read badly, the latest first
     */
    public record DriftingType(
            String type, int badly, int of, int badlyBefore, int ofBefore, List<FiledDocument> latest) {}

    /** @param today the day up to which it is looked */
    public static StreamWatch of(List<Seen> seen, LocalDate today) {
        Map<FiledDocument, List<Seen>> documents = new HashMap<>();
        seen.forEach(s ->
                documents.computeIfAbsent(s.where(), w -> new ArrayList<>()).add(s));
        return new StreamWatch(weeks(documents), causes(seen), corrected(seen), drifting(documents, today));
    }

    private static List<WatchedWeek> weeks(Map<FiledDocument, List<Seen>> documents) {
        Map<LocalDate, List<List<Seen>>> weeks = documents.values().stream()
                .collect(Collectors.groupingBy(
                        d -> d.get(0).filedOn().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                        TreeMap::new,
                        Collectors.toList()));
        List<WatchedWeek> all = new ArrayList<>();
        weeks.forEach((from, its) -> {
            List<Seen> values = its.stream().flatMap(List::stream).toList();
            all.add(new WatchedWeek(
                    from,
                    its.size(),
                    (int) its.stream()
                            .filter(d -> d.stream().noneMatch(s -> s.doubted() || s.wrong()))
                            .count(),
                    values.size(),
                    (int) values.stream().filter(Seen::doubted).count(),
                    (int) values.stream().filter(s -> s.sure() && s.wrong()).count()));
        });
        return all;
    }

    private static List<DoubtCause> causes(List<Seen> seen) {
        Map<String, List<Seen>> byReason = new TreeMap<>();
        seen.stream()
                .filter(Seen::doubted)
                .forEach(s -> s.reasons().stream()
                        .distinct()
                        .forEach(reason -> byReason.computeIfAbsent(reason, r -> new ArrayList<>())
                                .add(s)));
        return byReason.entrySet().stream()
                .map(e -> new DoubtCause(e.getKey(), e.getValue().size(), (int) e.getValue().stream()
                        .filter(s -> Boolean.TRUE.equals(s.right()))
                        .count()))
                .sorted(Comparator.comparingInt(c -> -c.doubts()))
                .toList();
    }

    private static List<CorrectedRule> corrected(List<Seen> seen) {
        Function<Seen, List<String>> way = s -> List.of(s.type(), s.field(), s.finder());
        return seen.stream().collect(Collectors.groupingBy(way)).entrySet().stream()
                .map(e -> {
                    List<Seen> wrong = e.getValue().stream().filter(Seen::wrong).toList();
                    return new CorrectedRule(
                            e.getKey().get(0),
                            e.getKey().get(1),
                            e.getKey().get(2),
                            (int) e.getValue().stream()
                                    .filter(s -> s.right() != null)
                                    .count(),
                            wrong.size(),
                            (int) wrong.stream().filter(Seen::sure).count(),
                            latest(wrong));
                })
                .filter(c -> c.wrong() > 0)
                .sorted(Comparator.comparingInt(CorrectedRule::wrong)
                        .reversed()
                        .thenComparing(CorrectedRule::type)
                        .thenComparing(CorrectedRule::field))
                .toList();
    }

    private static List<FiledDocument> latest(List<Seen> seen) {
        return seen.stream()
                .sorted(Comparator.comparing(Seen::filedOn).reversed())
                .map(Seen::where)
                .distinct()
                .limit(SHOWN)
                .toList();
    }

    /** Types whose share of documents read badly lies, with 97.5 % confidence, above what it was before. */
    private static List<DriftingType> drifting(Map<FiledDocument, List<Seen>> documents, LocalDate today) {
        LocalDate since = today.minusDays(LATELY_DAYS);
        Map<String, List<List<Seen>>> byType = documents.values().stream()
                .collect(Collectors.groupingBy(d -> d.get(0).type()));
        List<DriftingType> drifts = new ArrayList<>();
        byType.forEach((type, its) -> {
            List<List<Seen>> lately =
                    its.stream().filter(d -> d.get(0).filedOn().isAfter(since)).toList();
            List<List<Seen>> badly = lately.stream().filter(StreamWatch::badly).toList();
            int ofBefore = its.size() - lately.size();
            int before = (int) its.stream().filter(StreamWatch::badly).count() - badly.size();
            double atLeast = 1 - Bounds.upper(lately.size() - badly.size(), lately.size());
            if (badly.size() >= FEWEST && ofBefore > 0 && atLeast > (double) before / ofBefore) {
                drifts.add(new DriftingType(
                        type,
                        badly.size(),
                        lately.size(),
                        before,
                        ofBefore,
                        latest(badly.stream().flatMap(List::stream).toList())));
            }
        });
        drifts.sort(Comparator.comparingDouble(d -> -(double) d.badly() / d.of()));
        return drifts;
    }

    private static boolean badly(List<Seen> document) {
        return document.stream().filter(s -> s.doubted() || s.wrong()).count() >= BADLY * document.size();
    }
}
