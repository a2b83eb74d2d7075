package jalon.core.read;

import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.ArrayList;
import java.util.List;

/**
 * Words that lie under coloured ink, read once more without it and put in the place of what the page gave there, so that
 * every finder and search meets them. The words of a stamp itself stay where nothing stands under them.
 */
final class StampedWords {
    /** Smaller dots of colour cover no word. */
    private static final double LEAST_MM2 = 40;

    /** Print in colour, rather than stamps on print. */
    private static final double MOST_OF_A_PAGE = 0.25;

    private static final int MOST_PLACES = 12;

    /** Paper taken along at the sides, so that words that are only touched come whole. */
    private static final double SIDES_MM = 18;

    private static final double ABOVE_MM = 2;

    /** A word of the stamp or beside it that was read so well stays. */
    private static final double WELL_READ = 0.85;

    private StampedWords() {}

    /** @return the same page where there is no such ink, or nothing more to be read under it */
    static PageFacts read(Scan scan, PageFacts page, TextReader reader) {
        List<Box> places = places(page);
        List<Word> words = page.words();
        for (Box place : places) {
            words = reread(scan, page, place, words, reader);
        }
        return words == page.words() ? page : page.withWords(words);
    }

    private static List<Box> places(PageFacts page) {
        var image = page.image();
        List<Box> large = image.coloured().stream()
                .filter(b -> b.width() * b.height() >= LEAST_MM2)
                .toList();
        double covered = large.stream().mapToDouble(b -> b.width() * b.height()).sum();
        boolean printed = covered > MOST_OF_A_PAGE * image.widthMm() * image.heightMm();
        return printed || large.size() > MOST_PLACES ? List.of() : large;
    }

    private static List<Word> reread(Scan scan, PageFacts page, Box place, List<Word> words, TextReader reader) {
        var image = page.image();
        Box zone = new Box(
                        place.x() - SIDES_MM,
                        place.y() - ABOVE_MM,
                        place.width() + 2 * SIDES_MM,
                        place.height() + 2 * ABOVE_MM)
                .within(image.widthMm(), image.heightMm());
        List<Word> without = ReadZone.withoutInk(scan, page, zone, reader).stream()
                .filter(w -> !w.isUnread())
                .toList();
        List<Word> under = without.stream().filter(w -> place.overlaps(w.box())).toList();
        List<Word> before = words.stream().filter(w -> place.overlaps(w.box())).toList();
        // The page may have read the stamp's own words and nothing else, or little of all, and that well.
        boolean better = Line.meanOf(under) > Line.meanOf(before) || Line.lettersOf(under) > Line.lettersOf(before);
        if (under.isEmpty() || !better) {
            return words;
        }
        List<Word> kept = new ArrayList<>();
        int at = -1;
        for (Word w : words) {
            boolean covered = place.overlaps(w.box());
            if (covered && at < 0) {
                at = kept.size();
            }
            if (!covered
                    || w.certainty() > WELL_READ
                            && under.stream().noneMatch(u -> u.box().overlaps(w.box()))) {
                kept.add(w);
            }
        }
        int lines = words.stream().mapToInt(Word::line).max().orElse(0) + 1;
        // Beside the ink too, where the page had joined a word to what lies under it.
        List<Word> found = without.stream()
                .filter(w -> under.contains(w)
                        || kept.stream().noneMatch(k -> k.box().overlaps(w.box())))
                .toList();
        kept.addAll(
                at < 0 ? kept.size() : at,
                found.stream()
                        .map(u -> new Word(u.text(), u.box(), u.certainty(), lines + u.line()))
                        .toList());
        return List.copyOf(kept);
    }
}
