package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Certainty;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import jalon.core.stream.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Values of a form anywhere in the text. */
record ShapeFinder(Finder.ByShape wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
        Shape shape = wanted.like() == null ? null : Shape.of(wanted.like());
        Pattern pattern = shape == null ? Pattern.compile(wanted.pattern()) : shape.loosePattern();
        List<Reading> hits = new ArrayList<>();
        for (PageFacts page : search.document().pages(wanted.page())) {
            for (Line line : page.linesWithout(wanted.notOnLinesWith())) {
                String text = line.text();
                Matcher m = pattern.matcher(text);
                for (int from = 0; from <= text.length() && m.find(from); from = Math.max(m.end() - 1, from + 1)) {
                    int group = m.groupCount() > 0 ? 1 : 0;
                    List<Word> words = line.wordsAt(m.start(group), m.end(group));
                    if (!words.isEmpty()) {
                        hits.add(hit(m.group(group), words, page, shape));
                    }
                }
            }
        }
        if (shape != null) {
            // Values that have the form as they stand come before those that only look like it.
            hits.sort(Comparator.comparing(
                    (Reading r) -> !shape.fits(r.text()) || !r.doubts().isEmpty()));
        }
        return Found.of(chosenFirst(hits));
    }

    /** The hit that is asked for, then the others; none when there are not so many. */
    private List<Reading> chosenFirst(List<Reading> hits) {
        int at = wanted.hit() > 0 ? wanted.hit() - 1 : hits.size() + wanted.hit();
        if (at < 0 || at >= hits.size()) {
            return List.of();
        }
        List<Reading> ordered = new ArrayList<>(hits);
        ordered.add(0, ordered.remove(at));
        return ordered;
    }

    private static Reading hit(String text, List<Word> words, PageFacts page, Shape shape) {
        double certainty = Line.certaintyOf(words);
        Box box = Line.boxOf(words);
        if (shape == null || shape.fits(text)) {
            return Reading.of(text, certainty, page.no(), box, FoundBy.SHAPE);
        }
        String mended = LookalikeMend.mend(text, shape);
        List<Reason> doubts = List.of(Reason.Code.LOOKALIKES_MENDED.with(text, mended));
        return new Reading(
                mended, Certainty.lookalikesMended(certainty), page.no(), box, FoundBy.SHAPE, doubts, List.of(text));
    }
}
