package jalon.core.propose;

import jalon.core.page.Box;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.PageRows;
import jalon.core.read.Phrase;
import java.util.List;

/** What may be a heading: a few words without figures in the upper part of a page. */
final class Headings {
    private static final double UPPER = 0.45;
    private static final int LEAST_LETTERS = 4;

    private Headings() {}

    /** @param mostWords that one has */
    static List<Line> on(PageFacts page, int mostWords) {
        return PageRows.of(page).rows().stream()
                .flatMap(row -> row.cells().stream())
                .filter(cell -> cell.box().centreY() < UPPER * page.image().heightMm())
                .filter(cell -> cell.words().size() <= mostWords && !isValueWithLabel(cell))
                .filter(cell -> {
                    String plain = Phrase.plain(cell.text());
                    return plain.length() >= LEAST_LETTERS && plain.chars().allMatch(Character::isLetter);
                })
                .toList();
    }

    private static boolean isValueWithLabel(Line cell) {
        return cell.text().strip().indexOf(':') >= 0 && !cell.text().strip().endsWith(":");
    }

    /** Of its letters, in mm: a frame or a rule beside words does not make them large. */
    static double height(Line cell) {
        double[] heights = cell.words().stream()
                .filter(w -> w.text().codePoints().anyMatch(Character::isLetter))
                .mapToDouble(w -> w.box().height())
                .sorted()
                .toArray();
        return heights.length == 0 ? 0 : heights[heights.length / 2];
    }

    /** A part of a page in whole millimetres, as people would say it. */
    static Box around(Box part, PageFacts page) {
        Box on = part.within(page.image().widthMm(), page.image().heightMm());
        double x = Math.floor(on.x());
        double y = Math.floor(on.y());
        return new Box(x, y, Math.ceil(on.right()) - x, Math.ceil(on.bottom()) - y);
    }

    /** The part of a page that they stand in. */
    static Box where(PageFacts page) {
        return new Box(
                0,
                0,
                Math.round(page.image().widthMm()),
                Math.round(UPPER * page.image().heightMm()));
    }
}
