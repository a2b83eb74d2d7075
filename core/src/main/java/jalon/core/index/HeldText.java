package jalon.core.index;

import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageRows;
import jalon.core.read.PageTilt;
import jalon.core.stream.Field;
import jalon.core.stream.Finder;
import java.util.List;
import java.util.stream.Collectors;

/** The text of the words at a place, by how much stands there. */
record HeldText(Finder.Holds holds, PageTilt tilt) {
    /** Between the lines of a block. */
    private static final String NEXT_LINE = ", ";

    /** An address has several lines where nothing else is said. */
    static Finder.Holds meant(Finder.Holds said, Field field) {
        return said == null && field.kind() == Field.Kind.ADDRESS ? Finder.Holds.BLOCK : said;
    }

    String of(List<Word> words) {
        if (holds == Finder.Holds.BLOCK) {
            return PageRows.of(words, tilt).rows().stream()
                    .map(row -> Line.value(row.whole().text()).replaceAll(",$", ""))
                    .filter(line -> !line.isBlank())
                    .collect(Collectors.joining(NEXT_LINE));
        }
        String text = Line.value(Line.textOf(words));
        return holds == Finder.Holds.WORD ? text.replace(" ", "") : text;
    }
}
