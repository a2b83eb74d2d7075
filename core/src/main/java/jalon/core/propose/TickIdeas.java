package jalon.core.propose;

import jalon.core.page.Box;
import jalon.core.propose.TickSheet.Ticked;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Boxes to tick that papers of one kind have: small frames with words beside them, the same words on most papers. Those in a row or a
 * column that belong together make one field, with a choice for each box.
 */
final class TickIdeas {
    /** On so many papers the words of a box stand, and on so many its frame is seen: a tick that runs over it hides it. */
    private static final double ENOUGH = 0.6;

    private static final double SEEN = 0.25;

    private static final double ONE_COLUMN_MM = 2;
    private static final double NEXT_IN_ROW_MM = 75;

    private final String type;
    private final Set<String> names;
    private final List<TickSheet> sheets;

    /** @param names of fields that are taken already */
    TickIdeas(String type, List<List<PageFacts>> documents, Set<String> names) {
        this.type = type;
        this.names = names;
        List<TickSheet> firsts =
                documents.stream().map(d -> TickSheet.of(d.get(0))).toList();
        List<String> texts = firsts.stream()
                .flatMap(s -> s.boxes().stream())
                .map(Ticked::text)
                .distinct()
                .sorted(Comparator.comparingInt(String::length))
                .toList();
        sheets = firsts.stream().map(s -> s.shortest(texts)).toList();
    }

    /**
     * Fields of boxes, and the printed words by which their places are found on other papers.
     *
     * @param fields none where the papers have no boxes to tick
     */
    record Found(List<Proposal> fields, List<DrawnBox.Anchor> anchors) {}

    /** @param values where values stand, by page: what is written there is no print */
    Found all(Map<Integer, List<Box>> values) {
        Map<String, Ticked> known = new LinkedHashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        for (TickSheet sheet : sheets) {
            Set<String> here = new HashSet<>();
            for (Ticked box : sheet.boxes()) {
                known.putIfAbsent(box.plain(), box);
                if (here.add(box.plain())) {
                    seen.merge(box.plain(), 1, Integer::sum);
                }
            }
        }
        double often = Math.max(sheets.size() > 1 ? 2 : 1, SEEN * sheets.size());
        known.values().removeIf(box -> seen.get(box.plain()) < often || printed(box) < ENOUGH * sheets.size());
        if (known.isEmpty()) {
            return new Found(List.of(), List.of());
        }
        TickSheet best = sheets.stream()
                .max(Comparator.comparingInt(s -> s.on(known.values()).size()))
                .orElseThrow();
        List<Proposal> fields = groups(best.on(known.values())).stream()
                .map(g -> field(g, best))
                .toList();
        PageFacts page = best.page();
        return new Found(fields, DrawnBox.anchors(page, values.getOrDefault(page.no(), List.of())));
    }

    /** On how many papers the words of a box stand about where they did. */
    private int printed(Ticked box) {
        return (int) sheets.stream().filter(s -> s.at(box).isPresent()).count();
    }

    /** Boxes of one row, or of one column, that follow each other closely. */
    private static List<List<Ticked>> groups(List<Ticked> boxes) {
        List<Ticked> left = new ArrayList<>(boxes);
        left.sort(Comparator.comparingDouble((Ticked b) -> Math.round(b.box().centreY() / TickSheet.ONE_ROW_MM))
                .thenComparingDouble(b -> b.box().x()));
        List<List<Ticked>> groups = new ArrayList<>();
        while (!left.isEmpty()) {
            Ticked first = left.get(0);
            List<Ticked> row = following(first, left, true);
            List<Ticked> column = following(first, left, false);
            List<Ticked> group = row.size() >= column.size() ? row : column;
            groups.add(group);
            left.removeAll(group);
        }
        return groups;
    }

    private static List<Ticked> following(Ticked first, List<Ticked> boxes, boolean inRow) {
        List<Ticked> group = new ArrayList<>(List.of(first));
        Ticked last = first;
        List<Ticked> ordered = boxes.stream()
                .sorted(Comparator.comparingDouble(
                        b -> inRow ? b.box().x() : b.box().y()))
                .toList();
        for (Ticked next : ordered) {
            double right = next.box().x() - last.box().x();
            double down = next.box().y() - last.box().y();
            boolean follows = inRow
                    ? Math.abs(down) <= TickSheet.ONE_ROW_MM && right > 0 && right <= NEXT_IN_ROW_MM
                    : Math.abs(right) <= ONE_COLUMN_MM && down > 0 && down <= TickSheet.NEXT_ROW_MM;
            if (follows && group.stream().noneMatch(g -> g.plain().equals(next.plain()))) {
                group.add(next);
                last = next;
            }
        }
        return group;
    }

    private Proposal field(List<Ticked> group, TickSheet sheet) {
        boolean alone = group.size() == 1;
        String title = alone ? group.get(0).text() : sheet.headOf(group);
        Map<String, Object> field = new LinkedHashMap<>();
        field.put("field", FieldIdeas.free(title, names));
        field.put("title", Character.toUpperCase(title.charAt(0)) + title.substring(1));
        field.put("kind", alone ? "yesNo" : "choice");
        Map<String, Object> choices = new LinkedHashMap<>();
        List<Map<String, Object>> boxes = new ArrayList<>();
        for (Ticked one : group) {
            String means = alone ? "yes" : one.text();
            choices.put(means, List.of());
            boxes.add(Map.of("boxMm", one.box().toArray(), "means", means));
        }
        Map<String, Object> finder = new LinkedHashMap<>();
        finder.put("by", "ticks");
        finder.put("boxes", boxes);
        if (alone) {
            finder.put("none", "no");
        } else {
            field.put("choices", choices);
        }
        field.put("finders", List.of(finder));
        PageTilt tilt = PageTilt.of(sheet.page());
        int papers = group.stream().mapToInt(this::printed).min().orElse(0);
        return new Proposal(
                Proposal.What.FIELD,
                type,
                field,
                Proposal.Why.Code.TICK_BOXES.with(
                        group.size(),
                        String.join(", ", group.stream().map(Ticked::text).toList()),
                        papers,
                        sheets.size()),
                group.stream()
                        .map(b -> new Proposal.Spotted(sheet.page().no(), tilt.fromStraight(b.box()), b.text()))
                        .toList());
    }
}
