package jalon.core.propose;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Boxes to tick that papers of one kind have: small frames with words beside them, the same words on most papers. Those in a row or a
 * column that belong together make one field, with a choice for each box.
 */
final class TickIdeas {
    /** Larger frames hold writing. */
    private static final double LARGEST_MM = 8;

    /** Frames are square, or nearly. */
    private static final double SQUARE = 1.35;

    /** The words of a box begin so near to it. */
    private static final double BESIDE_MM = 6;

    /** A gap as wide within a line parts the words of a box from what stands behind. */
    private static final double GAP_MM = 7;

    /** On so many papers the words of a box stand, and on so many its frame is seen: a tick that runs over it hides it. */
    private static final double ENOUGH = 0.6;

    private static final double SEEN = 0.25;

    /** Papers are fed so far off each other. */
    private static final double FEED_MM = 12;

    private static final double ONE_ROW_MM = 2.5;
    private static final double ONE_COLUMN_MM = 2;
    private static final double NEXT_ROW_MM = 14;
    private static final double NEXT_IN_ROW_MM = 75;
    private static final int MOST_WORDS = 8;
    private static final int LONGEST = 60;

    private final String type;
    private final List<List<PageFacts>> documents;
    private final Set<String> names;
    private final Map<PageFacts, List<Ticked>> boxes = new LinkedHashMap<>();

    /** @param names of fields that are taken already */
    TickIdeas(String type, List<List<PageFacts>> documents, Set<String> names) {
        this.type = type;
        this.documents = documents;
        this.names = names;
        List<PageFacts> firsts = documents.stream().map(d -> d.get(0)).toList();
        List<String> texts = firsts.stream()
                .flatMap(p -> boxes(p).stream())
                .map(Ticked::text)
                .distinct()
                .sorted(Comparator.comparingInt(String::length))
                .toList();
        firsts.forEach(
                p -> boxes.put(p, boxes(p).stream().map(b -> b.shortest(texts)).toList()));
    }

    /** A frame on a page made straight, with what stands beside it. @param word the first one of that */
    private record Ticked(Box box, String text, Box word) {
        String plain() {
            return Phrase.plain(text);
        }

        /** Where the next frame is hidden its words are taken along: what stands there on other papers is all there is. */
        Ticked shortest(List<String> texts) {
            return texts.stream()
                    .filter(t -> (text + " ").startsWith(t + " "))
                    .findFirst()
                    .map(t -> new Ticked(box, t, word))
                    .orElse(this);
        }

        /** The same on a page where its first word stands elsewhere. */
        Ticked beside(Box other) {
            var moved = new Box(
                    box.x() + other.x() - word.x(),
                    box.y() + other.centreY() - word.centreY(),
                    box.width(),
                    box.height());
            return new Ticked(moved, text, other);
        }
    }

    /**
     * Fields of boxes, and the printed words by which their places are found on other papers.
     *
     * @param fields none where the papers have no boxes to tick
     */
    record Found(List<Proposal> fields, List<DrawnBox.Anchor> anchors) {}

    /** @param values where values stand, by page: what is written there is no print */
    Found all(Map<Integer, List<Box>> values) {
        List<PageFacts> firsts = documents.stream().map(d -> d.get(0)).toList();
        Map<String, Ticked> known = new LinkedHashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        for (PageFacts page : firsts) {
            Set<String> here = new HashSet<>();
            for (Ticked box : boxes.get(page)) {
                known.putIfAbsent(box.plain(), box);
                if (here.add(box.plain())) {
                    seen.merge(box.plain(), 1, Integer::sum);
                }
            }
        }
        double often = Math.max(firsts.size() > 1 ? 2 : 1, SEEN * firsts.size());
        known.values().removeIf(box -> seen.get(box.plain()) < often || printed(box) < ENOUGH * firsts.size());
        if (known.isEmpty()) {
            return new Found(List.of(), List.of());
        }
        PageFacts best = firsts.stream()
                .max(Comparator.comparingInt(p -> on(p, known.values()).size()))
                .orElseThrow();
        List<Proposal> fields = groups(on(best, known.values())).stream()
                .map(g -> field(g, best))
                .toList();
        return new Found(fields, DrawnBox.anchors(best, values.getOrDefault(best.no(), List.of())));
    }

    /** On how many papers the words of a box stand about where they did. */
    private int printed(Ticked box) {
        return (int)
                documents.stream().filter(d -> at(d.get(0), box).isPresent()).count();
    }

    private static Optional<Box> at(PageFacts page, Ticked box) {
        Box near = box.word().grown(FEED_MM);
        return Phrase.of(box.text())
                .find(page.straight().words(), near)
                .map(hit -> hit.words().get(0).box());
    }

    /** These on a page: as their frames are seen there, and where a tick hides one beside its words. */
    private List<Ticked> on(PageFacts page, Collection<Ticked> known) {
        List<Ticked> seen = boxes.get(page);
        List<Ticked> all = new ArrayList<>();
        for (Ticked box : known) {
            Optional<Ticked> its =
                    seen.stream().filter(b -> b.plain().equals(box.plain())).findFirst();
            if (its.isPresent()) {
                all.add(its.get());
            } else {
                at(page, box).ifPresent(word -> all.add(box.beside(word)));
            }
        }
        return all;
    }

    private static List<Ticked> boxes(PageFacts page) {
        PageLayout layout = page.image().layout();
        if (layout == null) {
            return List.of();
        }
        List<Word> words = page.straight().words();
        List<Box> frames = frames(layout);
        List<Ticked> boxes = new ArrayList<>();
        for (Box frame : frames) {
            List<Word> its = beside(frame, frames, words);
            String text = Line.textOf(its).strip();
            if (text.chars().anyMatch(Character::isLetter) && text.length() <= LONGEST) {
                boxes.add(new Ticked(frame, text, its.get(0).box()));
            }
        }
        return boxes;
    }

    /** What stands beside a frame of a page; empty for nothing. @param frame on the page made straight */
    static String beside(PageFacts page, Box frame) {
        return Line.textOf(beside(
                        frame, frames(page.image().layout()), page.straight().words()))
                .strip();
    }

    private static List<Box> frames(PageLayout layout) {
        return layout.boxes().stream()
                .filter(b -> Math.max(b.width(), b.height()) <= LARGEST_MM
                        && Math.max(b.width(), b.height()) <= SQUARE * Math.min(b.width(), b.height()))
                .toList();
    }

    /** What stands to its right on its line, up to a gap or the next frame. */
    private static List<Word> beside(Box frame, List<Box> frames, List<Word> words) {
        double middle = frame.centreY();
        double end = frames.stream()
                .filter(f -> f.x() > frame.right() && Math.abs(f.centreY() - middle) <= ONE_ROW_MM)
                .mapToDouble(Box::x)
                .min()
                .orElse(Double.MAX_VALUE);
        List<Word> line = words.stream()
                .filter(w -> w.box().centreX() > frame.right()
                        && w.box().centreX() < end
                        && w.box().y() < middle
                        && w.box().bottom() > middle)
                .sorted(Comparator.comparingDouble(w -> w.box().x()))
                .toList();
        List<Word> text = new ArrayList<>();
        double at = frame.right();
        for (Word w : line) {
            if (w.box().x() - at > (text.isEmpty() ? BESIDE_MM : GAP_MM) || text.size() == MOST_WORDS) {
                break;
            }
            at = w.box().right();
            // The engine sees a frame as a letter or two now and then.
            if (!text.isEmpty() || w.text().chars().anyMatch(Character::isLetterOrDigit)) {
                text.add(w);
            }
        }
        return text;
    }

    /** Boxes of one row, or of one column, that follow each other closely. */
    private static List<List<Ticked>> groups(List<Ticked> boxes) {
        List<Ticked> left = new ArrayList<>(boxes);
        left.sort(Comparator.comparingDouble((Ticked b) -> Math.round(b.box().centreY() / ONE_ROW_MM))
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
                    ? Math.abs(down) <= ONE_ROW_MM && right > 0 && right <= NEXT_IN_ROW_MM
                    : Math.abs(right) <= ONE_COLUMN_MM && down > 0 && down <= NEXT_ROW_MM;
            if (follows && group.stream().noneMatch(g -> g.plain().equals(next.plain()))) {
                group.add(next);
                last = next;
            }
        }
        return group;
    }

    private Proposal field(List<Ticked> group, PageFacts page) {
        boolean alone = group.size() == 1;
        String title = alone ? group.get(0).text() : headOf(group, page);
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
        PageTilt tilt = PageTilt.of(page);
        int papers = group.stream().mapToInt(this::printed).min().orElse(0);
        return new Proposal(
                Proposal.What.FIELD,
                type,
                field,
                Proposal.Why.Code.TICK_BOXES.with(
                        group.size(),
                        String.join(", ", group.stream().map(Ticked::text).toList()),
                        papers,
                        documents.size()),
                group.stream()
                        .map(b -> new Proposal.Spotted(page.no(), tilt.fromStraight(b.box()), b.text()))
                        .toList());
    }

    /** What stands to the left of the first box on its line; else the line above it; else its own words. */
    private static String headOf(List<Ticked> group, PageFacts page) {
        Box first = group.get(0).box();
        List<Word> words = page.straight().words();
        List<Word> before = words.stream()
                .filter(w -> w.box().right() <= first.x() + 1
                        && w.box().y() < first.centreY()
                        && w.box().bottom() > first.centreY())
                .sorted(Comparator.comparingDouble(w -> w.box().x()))
                .toList();
        if (isHead(before)) {
            return Line.textOf(before).replaceAll("[:.]+$", "").strip();
        }
        List<Word> above = words.stream()
                .filter(w -> w.box().bottom() <= first.y() + 1
                        && w.box().bottom() > first.y() - NEXT_ROW_MM
                        && w.box().x() >= first.x() - GAP_MM)
                .toList();
        double lowest = above.stream().mapToDouble(w -> w.box().centreY()).max().orElse(0);
        List<Word> line = above.stream()
                .filter(w -> Math.abs(w.box().centreY() - lowest) <= ONE_ROW_MM)
                .sorted(Comparator.comparingDouble(w -> w.box().x()))
                .toList();
        return isHead(line)
                ? Line.textOf(line).replaceAll("[:.]+$", "").strip()
                : String.join(" / ", group.stream().map(Ticked::text).limit(3).toList());
    }

    private static boolean isHead(List<Word> words) {
        String text = Line.textOf(words);
        return !words.isEmpty()
                && words.size() <= MOST_WORDS
                && text.length() <= LONGEST
                && text.chars().filter(Character::isLetter).count() > 2;
    }
}
