package jalon.core.propose;

import jalon.core.index.FieldValue;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import jalon.core.words.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * How what stands in a box that a person drew can be found on other papers of its kind: by a label, by its form, or by its place. Each
 * way is tried on all of them by the very finder that will read them.
 */
final class WaysToFind {
    /** What is left out has its usual value. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private static final int MOST_LABEL_WORDS = 4;
    private static final int MOST_NEAR_WORDS = 3;

    /** Above and below the box where it lies now. */
    private static final double BAND_MM = 25;

    private final PageFacts page;
    private final Box drawn;
    private final List<Word> inside;
    private final DrawnBox.DrawnPlace place;
    private final List<List<PageFacts>> papers;
    private final LocalDate today;
    private final List<PageRows.Row> rows;

    /** That the value in the box is an example of; none where it has no digit. */
    private final List<Map<String, Object>> forms;

    /**
     * @param drawn on the upright page, @param inside words that it holds, @param place of it as a zone has it
     * @param papers of its kind, the one that the page is of first
     */
    WaysToFind(
            PageFacts page,
            Box drawn,
            List<Word> inside,
            DrawnBox.DrawnPlace place,
            List<List<PageFacts>> papers,
            LocalDate today) {
        this.page = page;
        this.drawn = drawn;
        this.inside = inside;
        this.place = place;
        this.papers = papers;
        this.today = today;
        this.rows = PageRows.of(page).rows();
        this.forms = WrittenForm.of(Line.textOf(inside).replaceAll("^[\\s(]+|[\\s.,;:)]+$", ""), today);
    }

    /** @param title what the value may be called, or null */
    private record Candidate(DrawnBox.How how, String title, Map<String, Object> finder, Predicate<FieldValue> right) {}

    /** The best of each, the best first; a label comes before a form, and a form before a place, that are as good. */
    List<DrawnBox.WayToFind> all() {
        List<Candidate> candidates = new ArrayList<>(byLabel());
        candidates.addAll(byForm());
        candidates.add(new Candidate(
                DrawnBox.How.PLACE, null, finder("zone", Map.of("boxMm", place.boxMm()), false), v -> true));
        Map<DrawnBox.How, DrawnBox.WayToFind> best = new EnumMap<>(DrawnBox.How.class);
        for (Candidate candidate : candidates) {
            way(candidate, tried(candidate))
                    .ifPresent(way -> best.merge(way.how(), way, (a, b) -> b.clear() > a.clear() ? b : a));
        }
        return best.values().stream()
                .sorted(Comparator.comparingInt(way -> -way.clear()))
                .toList();
    }

    /** What it finds on each paper, by itself. */
    private List<FieldValue> tried(Candidate candidate) {
        Finder finder = JSON.convertValue(candidate.finder(), Finder.class);
        Field field = Field.of("value", null, List.of(finder));
        DocumentType type =
                new DocumentType("sample", null, null, null, false, false, null, null, layout(), List.of(field));
        return papers.stream()
                .map(paper -> Samples.read(type, paper, today).get("value"))
                .toList();
    }

    private StreamDefinition.Layout layout() {
        return new StreamDefinition.Layout(place.anchors().stream()
                .map(a -> new StreamDefinition.Anchor(a.text(), a.boxMm(), null))
                .toList());
    }

    /** @return nothing where it does not find on this paper what was drawn; a place can always be meant */
    private Optional<DrawnBox.WayToFind> way(Candidate candidate, List<FieldValue> read) {
        List<FieldValue> found = read.stream()
                .filter(v -> v.value() != null && !v.value().isBlank())
                .toList();
        boolean right = found.stream()
                .anyMatch(v -> v.page() == page.no() && candidate.right().test(v));
        if (!right && candidate.how() != DrawnBox.How.PLACE) {
            return Optional.empty();
        }
        int clear = (int) found.stream()
                .filter(v -> v.candidates().isEmpty() && isLikeIt(v.value()))
                .count();
        List<String> values = found.stream().map(FieldValue::value).toList();
        ValueKind.Told kind =
                values.isEmpty() ? new ValueKind.Told(Field.Kind.TEXT, Map.of(), false) : ValueKind.of(values, today);
        Map<String, Object> part = new LinkedHashMap<>();
        if (kind.kind() != Field.Kind.TEXT) {
            part.put("kind", Words.name(kind.kind()));
        }
        part.put("finders", List.of(candidate.finder()));
        part.putAll(kind.parts());
        return Optional.of(
                new DrawnBox.WayToFind(candidate.how(), candidate.title(), part, clear, papers.size(), values));
    }

    /** Whether a value is written as the one in the box; of words nobody can tell. */
    private boolean isLikeIt(String value) {
        return forms.isEmpty() || forms.stream().anyMatch(form -> WrittenForm.fits(form, value));
    }

    private boolean inBox(FieldValue value) {
        return value.boxMm() != null && drawn.holdsCentreOf(value.boxMm());
    }

    /** The box holds a label, or a value with one before it or above it. */
    private List<Candidate> byLabel() {
        List<Candidate> candidates = new ArrayList<>();
        label(candidates, Line.textOf(inside), "beside", v -> !inBox(v));
        label(candidates, Line.textOf(inside), "below", v -> !inBox(v));
        for (int n = 1; n <= MOST_LABEL_WORDS; n++) {
            label(candidates, Line.textOf(before(n)), "beside", this::inBox);
        }
        cellBefore().ifPresent(cell -> label(candidates, cell.text(), "beside", this::inBox));
        above().ifPresent(cell -> label(candidates, cell.text(), "below", this::inBox));
        return candidates;
    }

    private void label(List<Candidate> candidates, String text, String side, Predicate<FieldValue> right) {
        String label = text.replaceAll("[\\s:.,;_]+$", "");
        boolean words = label.chars().anyMatch(Character::isLetter)
                && label.chars().noneMatch(Character::isDigit)
                && label.split(" ").length <= MOST_LABEL_WORDS;
        if (words) {
            Map<String, Object> parts = new LinkedHashMap<>();
            parts.put("labels", List.of(label));
            if (!"beside".equals(side)) {
                parts.put("side", side);
            }
            candidates.add(new Candidate(DrawnBox.How.LABEL, label, finder("label", parts, true), right));
        }
    }

    /** The last words of its cell before it, as many as asked for; fewer where there are no more. */
    private List<Word> before(int most) {
        List<Word> cell = rows.stream()
                .flatMap(row -> row.cells().stream())
                .filter(c -> c.words().stream().anyMatch(inside::contains))
                .findFirst()
                .map(Line::words)
                .orElse(List.of());
        int first = 0;
        while (first < cell.size() && !inside.contains(cell.get(first))) {
            first++;
        }
        return cell.subList(Math.max(0, first - most), first);
    }

    private Optional<Line> cellBefore() {
        return rows.stream()
                .filter(row -> !row.cellsOf(inside).isEmpty())
                .findFirst()
                .flatMap(row -> row.cells().stream()
                        .filter(cell ->
                                cell.box().right() <= drawn.x() + cell.box().height())
                        .reduce((a, b) -> b));
    }

    private Optional<Line> above() {
        return rows.stream()
                .flatMap(row -> row.cells().stream())
                .filter(cell -> cell.box().centreY() < drawn.y()
                        && drawn.y() - cell.box().centreY() < BAND_MM / 2
                        && cell.box().x() < drawn.right()
                        && cell.box().right() > drawn.x())
                .reduce((a, b) -> b);
    }

    private List<Candidate> byForm() {
        List<Candidate> candidates = new ArrayList<>();
        for (Map<String, Object> form : forms) {
            candidates.add(form(form, Map.of()));
            for (int n = 1; n <= MOST_NEAR_WORDS; n++) {
                String near = Line.textOf(before(n)).replaceAll("[\\s:.,;]+$", "");
                if (before(n).size() == n && near.chars().noneMatch(Character::isDigit)) {
                    candidates.add(form(form, Map.of("near", List.of(near))));
                }
            }
            Box box = place.boxMm();
            Box band = new Box(
                    0,
                    Math.round(Math.max(0, box.y() - BAND_MM)),
                    Math.round(page.image().widthMm()),
                    Math.round(box.height() + 2 * BAND_MM));
            candidates.add(form(form, Map.of("where", band)));
        }
        return candidates;
    }

    private Candidate form(Map<String, Object> form, Map<String, Object> more) {
        Map<String, Object> parts = new LinkedHashMap<>(form);
        parts.putAll(more);
        return new Candidate(DrawnBox.How.FORM, null, finder("shape", parts, true), this::inBox);
    }

    private Map<String, Object> finder(String by, Map<String, Object> parts, boolean pageSaid) {
        Map<String, Object> finder = new LinkedHashMap<>();
        finder.put("by", by);
        finder.putAll(parts);
        List<PageFacts> its = papers.get(0);
        boolean first = its.get(0).no() == page.no();
        boolean last = its.size() > 1 && its.get(its.size() - 1).no() == page.no();
        boolean more = papers.stream().anyMatch(paper -> paper.size() > 1);
        if (last) {
            finder.put("page", "last");
        } else if (pageSaid && first && more) {
            finder.put("page", "first");
        }
        return finder;
    }
}
