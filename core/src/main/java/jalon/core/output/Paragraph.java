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

    /** Lines as far apart as this, in heights of a line, are widely set; further apart they do not belong together. */
    private static final double WIDELY_SET = 1.8;

    /** So many times the usual gap parts paragraphs where lines are widely set. */
    private static final double MORE = 1.35;

    /** Print that is so many times as tall as the line before is a heading, or follows one. */
    private static final double TALLER = 1.5;

    /** @return in reading order, none of them empty */
    static List<Paragraph> of(PageFacts page) {
        List<Paragraph> all = new ArrayList<>();
        List<Line> current = new ArrayList<>();
        double gap = gap(page.lines());
        for (Line line : page.lines()) {
            if (!current.isEmpty() && !follows(current.get(current.size() - 1), line, gap)) {
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

    /** What parts paragraphs on this page: more than lies between most lines that follow each other closely. */
    private static double gap(List<Line> lines) {
        List<Double> gaps = new ArrayList<>();
        for (int i = 1; i < lines.size(); i++) {
            if (follows(lines.get(i - 1), lines.get(i), WIDELY_SET)) {
                gaps.add(between(lines.get(i - 1), lines.get(i)));
            }
        }
        gaps.sort(null);
        return gaps.isEmpty() ? GAP : Math.max(GAP, MORE * gaps.get(gaps.size() / 2));
    }

    /** The paper between two lines, in heights of a line. */
    private static double between(Line above, Line below) {
        return (below.box().y() - above.box().bottom()) / Math.max(height(above), height(below));
    }

    /** Whether a line is the next one of the same column and size. */
    private static boolean follows(Line above, Line below, double most) {
        Box a = above.box();
        Box b = below.box();
        double tallA = height(above);
        double tallB = height(below);
        boolean sameColumn = b.x() < a.right() && a.x() < b.right() && b.y() > a.y();
        boolean sameSize = Math.max(tallA, tallB) < TALLER * Math.min(tallA, tallB);
        return sameColumn && sameSize && between(above, below) < most;
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
