package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.stream.Finder;
import jalon.core.stream.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Values of a form anywhere in the text. */
record ShapeFinder(Finder.ByShape wanted) implements FieldFinder {
    /** With more than one in so many characters mended, something else was read that only looks like it. */
    private static final int CHARACTERS_A_MEND = 3;

    /** Between two words of a line there is as much as a third of their height; between columns much more. */
    private static final double MOST_APART = 1;

    @Override
    public Found find(Search search) {
        Shape shape = wanted.like() == null ? null : Shape.of(wanted.like());
        Pattern pattern = shape == null ? Pattern.compile(wanted.pattern()) : shape.loosePattern();
        Labels forbidden = Labels.of(wanted.notOnLinesWith());
        List<Reading> hits = new ArrayList<>();
        for (PageFacts page : search.document().pages(wanted.page())) {
            PageRows rows = search.document().rows(page);
            for (PageRows.Row row : rows.rows()) {
                Line line = row.whole();
                Matcher m = pattern.matcher(line.text());
                int group = m.groupCount() > 0 ? 1 : 0;
                // The blank behind one value may be the blank before the next.
                for (int from = 0;
                        from <= line.text().length() && m.find(from);
                        from = Math.max(m.end(group), from + 1)) {
                    List<Word> words = line.wordsAt(m.start(group), m.end(group));
                    if (!words.isEmpty() && !forbidden.govern(words, row, rows)) {
                        Reading hit = hit(m.group(group), words, page, shape, pattern);
                        if (hit != null) {
                            hits.add(hit);
                        }
                    }
                }
            }
        }
        return Found.of(wanted.hit() == null ? exactFirst(hits, shape) : asked(hits));
    }

    /** Without a word of the stream's which is meant, what has the form as it stands comes before what looks like it. */
    private static List<Reading> exactFirst(List<Reading> hits, Shape shape) {
        List<Reading> ordered = new ArrayList<>(hits);
        if (shape != null) {
            ordered.sort(Comparator.comparing((Reading r) -> !r.doubts().isEmpty()));
        }
        return ordered;
    }

    /** The hit that is asked for, in the order on the pages; none when there are not so many. */
    private List<Reading> asked(List<Reading> hits) {
        int at = wanted.hit() > 0 ? wanted.hit() - 1 : hits.size() + wanted.hit();
        return at < 0 || at >= hits.size() ? List.of() : List.of(hits.get(at));
    }

    /** @return null when too little of it has the form */
    private static Reading hit(String text, List<Word> words, PageFacts page, Shape shape, Pattern pattern) {
        var read = Reading.of(text, Line.certaintyOf(words), page.no(), Line.boxOf(words), FoundBy.SHAPE)
                .again(new Reading.Again(null, again -> within(again, pattern, shape)));
        if (shape == null || shape.fits(text)) {
            return read;
        }
        String mended = LookalikeMend.mend(text, shape);
        String tight = text.replace(" ", "");
        String bare = mended.replace(" ", "");
        long mends = tight.length() != bare.length()
                ? Math.abs(tight.length() - bare.length())
                : IntStream.range(0, tight.length())
                        .filter(i -> tight.charAt(i) != bare.charAt(i))
                        .count();
        return mends * CHARACTERS_A_MEND > bare.length() || !shape.fits(mended) || parted(words)
                ? null
                : read.mended(mended, Reason.Code.LOOKALIKES_MENDED.with(text, mended));
    }

    /** Whether its words stand too far apart to be one that the engine parted. */
    private static boolean parted(List<Word> words) {
        for (int i = 1; i < words.size(); i++) {
            Box before = words.get(i - 1).box();
            Box box = words.get(i).box();
            if (box.x() - before.right() > MOST_APART * Math.max(before.height(), box.height())) {
                return true;
            }
        }
        return false;
    }

    /** What has the form in a text that was read again, which may hold its neighbours too. */
    private static String within(String text, Pattern pattern, Shape shape) {
        Matcher m = pattern.matcher(text);
        if (!m.find()) {
            return text;
        }
        String found = m.group(m.groupCount() > 0 ? 1 : 0);
        return shape == null ? found : LookalikeMend.mend(found, shape);
    }
}
