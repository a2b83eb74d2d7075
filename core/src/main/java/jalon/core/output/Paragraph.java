package jalon.core.output;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;

/** Lines of print that belong together. */
record Paragraph(List<Line> lines) {
    /** More paper than this between two lines, in heights of a line, parts paragraphs. */
    private static final double GAP = 0.9;

    /** Print that is so many times as tall as the line before is a heading, or follows one. */
    private static final double TALLER = 1.5;

    /** @return in reading order, none of them empty */
    static List<Paragraph> of(PageFacts page) {
        List<Paragraph> all = new ArrayList<>();
        List<Line> current = new ArrayList<>();
        for (Line line : page.lines()) {
            if (!current.isEmpty() && !follows(current.get(current.size() - 1), line)) {
                all.add(new Paragraph(List.copyOf(current)));
                current.clear();
            }
            current.add(line);
        }
        if (!current.isEmpty()) {
            all.add(new Paragraph(List.copyOf(current)));
        }
        return all;
    }

    /** Whether a line is the next one of the same column and size. */
    private static boolean follows(Line above, Line below) {
        Box a = above.box();
        Box b = below.box();
        double tallA = height(above);
        double tallB = height(below);
        double gap = b.y() - a.bottom();
        boolean sameColumn = b.x() < a.right() && a.x() < b.right() && b.y() > a.y();
        boolean sameSize = Math.max(tallA, tallB) < TALLER * Math.min(tallA, tallB);
        return sameColumn && sameSize && gap < GAP * Math.max(tallA, tallB);
    }

    /** Of its middle word: on leaning pages the box of a line is taller than its print. */
    private static double height(Line line) {
        List<Double> heights =
                line.words().stream().map(w -> w.box().height()).sorted().toList();
        return heights.get(heights.size() / 2);
    }

    Box box() {
        return Line.boxOf(words());
    }

    List<Word> words() {
        return lines.stream().flatMap(line -> line.words().stream()).toList();
    }
}
