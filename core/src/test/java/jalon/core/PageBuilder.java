package jalon.core;

import jalon.core.image.ImageFacts;
import jalon.core.image.Measured;
import jalon.core.image.PageLayout;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.util.ArrayList;
import java.util.List;

/** Makes what the machine would have seen on a page: A4 at 300 dpi, straight and empty unless said otherwise. */
public final class PageBuilder {
    private static final double CHARACTER_MM = 2.2;

    private final int no;
    private final List<Mark> marks = new ArrayList<>();
    private final List<Word> words = new ArrayList<>();
    private final List<Measured> figures = new ArrayList<>();
    private int filePage;
    private double height = 297;
    private double skew;
    private double ink = 0.02;
    private int lines;
    private PageLayout layout;

    private PageBuilder(int no) {
        this.no = no;
        this.filePage = no;
    }

    public static PageBuilder page(int no) {
        return new PageBuilder(no);
    }

    public PageBuilder filePage(int page) {
        this.filePage = page;
        return this;
    }

    public PageBuilder height(double mm) {
        this.height = mm;
        return this;
    }

    public PageBuilder skew(double degrees) {
        this.skew = degrees;
        return this;
    }

    public PageBuilder ink(double share) {
        this.ink = share;
        return this;
    }

    public PageBuilder figures(Measured... measured) {
        figures.addAll(List.of(measured));
        return this;
    }

    public PageBuilder layout(PageLayout seen) {
        layout = seen;
        return this;
    }

    public PageBuilder words(List<Word> more) {
        words.addAll(more);
        return this;
    }

    /** Lines of print below each other, each word 95 % certain. */
    public PageBuilder lines(String... text) {
        for (String line : text) {
            double x = 20;
            for (String word : line.split(" ")) {
                double width = CHARACTER_MM * word.length();
                words.add(new Word(word, new Box(x, 30 + 8 * lines, width, 3), 0.95, lines));
                x += width + 2;
            }
            lines++;
        }
        return this;
    }

    public PageBuilder barcode(String value) {
        return barcode("CODE_128", value);
    }

    public PageBuilder barcode(String kind, String value) {
        marks.add(new Mark(Mark.Kind.BARCODE, kind, value, new Box(20, 80, 90, 20), null, null));
        return this;
    }

    public PageBuilder patch(String code, Mark.KnownBy by) {
        marks.add(new Mark(Mark.Kind.PATCH, "PATCH", code, new Box(20, 10, 160, 20), new Mark.Direction(by, 0), null));
        return this;
    }

    public PageFacts seen() {
        var image = new ImageFacts(
                new ImageFacts.Size(210, height),
                new ImageFacts.Density(300, true),
                new ImageFacts.Pose(skew, 0),
                ink,
                figures,
                List.of(),
                List.of(),
                layout);
        return new PageFacts(no, "x.tif", filePage, "ab".repeat(32), image, List.copyOf(marks), List.copyOf(words));
    }
}
