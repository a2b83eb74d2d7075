package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.read.PageTilt;
import jalon.core.read.Phrase;
import jalon.core.stream.Finder;
import jalon.core.stream.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Values of a form anywhere in the text. */
record ShapeFinder(Finder.ByShape wanted) implements FieldFinder {
    /** With more than one in so many characters mended, something else was read that only looks like it. */
    private static final int CHARACTERS_A_MEND = 3;

    /** Between two words of a line there is as much as a third of their height; between columns much more. */
    private static final double MOST_APART = 1;

    private static final double NEXT_LINE_MM = 6;

    /** Beyond this nothing is near. */
    private static final double NEAR_MM = 45;

    private static final double CLEARLY_FURTHER = 1.5;

    /** The next two lines are near, no further ones. */
    private static final double DOWN_COUNTS = 6;

    private static final double AS_NEAR_MM = 2;

    /**
     * A value of the form.
     *
     * @param far from the printed words that it should stand near to, mm; 0 where none are asked for
     */
    private record Hit(Reading reading, double far) {}

    /**
     * Print that is looked through.
     *
     * @param row that it begins in
     * @param ends where its first line ends in it; what is found must go on behind that
     */
    private record Place(Line line, PageRows.Row row, int ends) {
        boolean holds(int from, int to) {
            return ends == 0 || from < ends && to > ends;
        }
    }

    @Override
    public Found find(Search search) {
        Shape shape = wanted.like() == null ? null : Shape.of(wanted.like());
        Pattern pattern = shape == null ? Pattern.compile(wanted.pattern()) : shape.loosePattern();
        List<Hit> hits = new ArrayList<>();
        for (PageFacts page : search.document().pages(wanted.page())) {
            hits.addAll(on(page, search.document().rows(page), shape, pattern));
        }
        List<Reading> readings =
                wanted.near().isEmpty() ? hits.stream().map(Hit::reading).toList() : nearest(hits);
        return Found.of(wanted.hit() == null ? exactFirst(readings, shape) : asked(readings));
    }

    private List<Hit> on(PageFacts page, PageRows rows, Shape shape, Pattern pattern) {
        Labels forbidden = Labels.of(wanted.notOnLinesWith());
        List<Box> near = near(rows);
        List<Hit> hits = new ArrayList<>();
        for (Place place : places(rows)) {
            String text = place.line().text();
            Matcher m = pattern.matcher(text);
            int group = m.groupCount() > 0 ? 1 : 0;
            // The blank behind one value may be the blank before the next.
            for (int from = 0; from <= text.length() && m.find(from); from = Math.max(m.end(group), from + 1)) {
                List<Word> words = place.line().wordsAt(m.start(group), m.end(group));
                if (words.isEmpty()
                        || !place.holds(m.start(group), m.end(group))
                        || !inPlace(words, page)
                        || forbidden.govern(words, place.row(), rows)) {
                    continue;
                }
                Reading hit = hit(m.group(group), words, page, shape, pattern, place.ends() > 0);
                if (hit != null) {
                    Box box = Line.boxOf(words);
                    hits.add(new Hit(
                            hit,
                            near.stream()
                                    .mapToDouble(label -> box.distanceTo(label, DOWN_COUNTS))
                                    .min()
                                    .orElse(Double.MAX_VALUE)));
                }
            }
        }
        return hits;
    }

    /** The rows, and where it is asked for each cell with the one that goes on below it. */
    private List<Place> places(PageRows rows) {
        List<Place> places = new ArrayList<>();
        for (PageRows.Row row : rows.rows()) {
            places.add(new Place(row.whole(), row, 0));
            if (wanted.overLines()) {
                for (Line cell : row.cells()) {
                    rows.next(row, cell.box(), 1, NEXT_LINE_MM).ifPresent(below -> {
                        List<Word> both = new ArrayList<>(cell.words());
                        both.addAll(below.words());
                        places.add(new Place(new Line(both), row, cell.text().length()));
                    });
                }
            }
        }
        return places;
    }

    private boolean inPlace(List<Word> words, PageFacts page) {
        return wanted.where() == null
                || wanted.where().holdsCentreOf(PageTilt.of(page).toStraight(Line.boxOf(words)));
    }

    /** Where the words stand that a value should be near to. */
    private List<Box> near(PageRows rows) {
        return wanted.near().stream()
                .map(Phrase::of)
                .flatMap(phrase -> rows.rows().stream()
                        .flatMap(row -> row.cells().stream())
                        .flatMap(cell -> phrase.find(cell.words()).stream()))
                .map(Phrase.Hit::box)
                .toList();
    }

    /** The nearest first; what is clearly further off is not meant. */
    private static List<Reading> nearest(List<Hit> hits) {
        List<Hit> ordered = hits.stream()
                .filter(hit -> hit.far() < NEAR_MM)
                .sorted(Comparator.comparingDouble(Hit::far))
                .toList();
        return ordered.stream()
                .filter(hit -> hit.far() <= CLEARLY_FURTHER * ordered.get(0).far() + AS_NEAR_MM)
                .map(Hit::reading)
                .toList();
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
    private static Reading hit(
            String text, List<Word> words, PageFacts page, Shape shape, Pattern pattern, boolean overLines) {
        var read = Reading.of(text, Line.certaintyOf(words), page.no(), Line.boxOf(words), FoundBy.SHAPE)
                .again(new Reading.Again(
                        null,
                        overLines ? lines(words) : List.of(),
                        again -> within(Line.textOf(again), pattern, shape)));
        if (shape == null) {
            return read;
        }
        if (shape.fits(text)) {
            return orAnother(read, text, words, shape);
        }
        String mended = LookalikeMend.mend(text, shape);
        boolean tooMany = LookalikeMend.mends(text, mended) * CHARACTERS_A_MEND
                > mended.replace(" ", "").length();
        return tooMany || !shape.fits(mended) || !overLines && parted(words)
                ? null
                : orAnother(read.mended(mended, Reason.Code.LOOKALIKES_MENDED.with(text, mended)), text, words, shape);
    }

    /**
     * A value of no fixed length may be another one too: where letters may go on or digits begin, a zero is an O as well; and
     * a number that stands behind it may be no part of it.
     */
    private static Reading orAnother(Reading read, String asRead, List<Word> words, Shape shape) {
        if (shape.isFixed()) {
            return read;
        }
        String value = read.text();
        Stream<String> shorter = IntStream.range(1, words.size())
                .boxed()
                .flatMap(i -> Stream.of(Line.textOf(words.subList(0, i)), Line.textOf(words.subList(i, words.size()))))
                .map(text -> LookalikeMend.mend(text, shape));
        Stream<String> otherwise =
                LookalikeMend.ways(asRead, shape).stream().filter(way -> LookalikeMend.mends(value, way) == 1);
        return Stream.concat(shorter, otherwise)
                .filter(other -> !other.equals(value) && shape.fits(other))
                .findFirst()
                .map(other -> read.alternative(other).doubted(Reason.Code.FORM_TWO_WAYS.with(value, other)))
                .orElse(read);
    }

    /** The boxes of its words on each line. */
    private static List<Box> lines(List<Word> words) {
        return words.stream()
                .collect(Collectors.groupingBy(Word::line, TreeMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(Line::boxOf)
                .toList();
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
            return Line.value(text);
        }
        String found = m.group(m.groupCount() > 0 ? 1 : 0);
        return Line.value(shape == null ? found : LookalikeMend.mend(found, shape));
    }
}
