package jalon.core.output;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** A page as what it is made of, in reading order: paragraphs, tables and pictures. */
record PageFlow(List<PageBlock> blocks) {
    /** So many lines that belong together are as wide as their column. */
    private static final int RUNNING = 3;

    /** @param page upright and straight */
    static PageFlow of(PageFacts page) {
        List<PageBlock.Table> tables = PageTables.of(page);
        List<PageBlock.Picture> pictures = PagePictures.of(page, tables);
        Set<Word> inTables = tables.stream().flatMap(t -> t.words().stream()).collect(Collectors.toSet());
        List<PageBlock> blocks = new ArrayList<>();
        List<Paragraph> outsideTables = new ArrayList<>();
        for (Paragraph paragraph : Paragraph.of(page)) {
            List<Line> outside = paragraph.lines().stream()
                    .map(line -> new Line(line.words().stream()
                            .filter(word -> !inTables.contains(word))
                            .toList()))
                    .filter(line -> !line.words().isEmpty())
                    .toList();
            if (!outside.isEmpty()) {
                outsideTables.add(new Paragraph(outside));
            }
        }
        outsideTables.forEach(p -> blocks.add(new PageBlock.Text(p, right(p, outsideTables))));
        List<PageBlock> others = new ArrayList<>(tables);
        others.addAll(pictures);
        others.sort(Comparator.comparingDouble(b -> b.box().y()));
        others.forEach(other -> blocks.add(placeOf(other.box(), blocks), other));
        return new PageFlow(blocks);
    }

    /** As far as running text in the same column goes. */
    private static double right(Paragraph paragraph, List<Paragraph> all) {
        Box box = paragraph.box();
        return all.stream()
                .filter(p -> p == paragraph
                        || p.lines().size() >= RUNNING
                                && p.box().x() < box.right()
                                && box.x() < p.box().right())
                .mapToDouble(p -> p.box().right())
                .max()
                .orElseThrow();
    }

    /** Behind the last paragraph that stands above it. */
    private static int placeOf(Box box, List<PageBlock> blocks) {
        int place = 0;
        for (int i = 0; i < blocks.size(); i++) {
            if (blocks.get(i).box().centreY() < box.y()) {
                place = i + 1;
            }
        }
        return place;
    }
}
