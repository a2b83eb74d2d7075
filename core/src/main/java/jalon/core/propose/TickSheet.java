package jalon.core.propose;

import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A page made straight, with the small frames on it that have words beside them.
 *
 * @param words on the straight page, @param boxes those whose frames are seen there
 */
record TickSheet(PageFacts page, List<Word> words, List<Ticked> boxes) {
    /** Larger frames hold writing. */
    private static final double LARGEST_MM = 8;

    /** Frames are square, or nearly. */
    private static final double SQUARE = 1.35;

    /** The words of a box begin so near to it. */
    private static final double BESIDE_MM = 6;

    /** A gap as wide within a line parts the words of a box from what stands behind. */
    private static final double GAP_MM = 7;

    static final double ONE_ROW_MM = 2.5;
    static final double NEXT_ROW_MM = 14;
    private static final int MOST_WORDS = 8;
    private static final int LONGEST = 60;

    /** A frame on a page made straight, with what stands beside it. @param word the first one of that */
    record Ticked(Box box, String text, Box word) {
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

    static TickSheet of(PageFacts page) {
        List<Word> words = page.straight().words();
        List<Box> frames = frames(page.image().layout());
        List<Ticked> boxes = new ArrayList<>();
        for (Box frame : frames) {
            List<Word> its = beside(frame, frames, words);
            String text = Line.textOf(its).strip();
            if (text.chars().anyMatch(Character::isLetter) && text.length() <= LONGEST) {
                boxes.add(new Ticked(frame, text, its.get(0).box()));
            }
        }
        return new TickSheet(page, words, boxes);
    }

    /** The same with what stands beside each box cut off where other papers have less. @param texts the shortest first */
    TickSheet shortest(List<String> texts) {
        return new TickSheet(
                page, words, boxes.stream().map(b -> b.shortest(texts)).toList());
    }

    /** What stands beside a frame; empty for nothing. @param frame on the page made straight */
    static String beside(PageFacts page, Box frame) {
        return Line.textOf(beside(
                        frame, frames(page.image().layout()), page.straight().words()))
                .strip();
    }

    /** Frames that may be boxes to tick, on the page made straight. @param layout null for none */
    static List<Box> frames(PageLayout layout) {
        return layout == null
                ? List.of()
                : layout.boxes().stream()
                        .filter(b -> Math.max(b.width(), b.height()) <= LARGEST_MM
                                && Math.max(b.width(), b.height()) <= SQUARE * Math.min(b.width(), b.height()))
                        .toList();
    }

    /** Where the first word of a box stands here, if its words stand about where they do on its own page. */
    Optional<Box> at(Ticked box) {
        return Phrase.of(box.text())
                .find(words, box.word().grown(Samples.FED_APART_MM))
                .map(hit -> hit.words().get(0).box());
    }

    /** These as they are here: by their frames where those are seen, and where a tick hides one beside its words. */
    List<Ticked> on(Collection<Ticked> known) {
        List<Ticked> all = new ArrayList<>();
        for (Ticked box : known) {
            boxes.stream()
                    .filter(b -> b.plain().equals(box.plain()))
                    .findFirst()
                    .or(() -> at(box).map(box::beside))
                    .ifPresent(all::add);
        }
        return all;
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

    /** What stands to the left of the first box on its line; else the line above it; else its own words. */
    String headOf(List<Ticked> group) {
        Box first = group.get(0).box();
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
