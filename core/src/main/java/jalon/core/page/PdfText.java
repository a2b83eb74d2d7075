package jalon.core.page;

import java.io.IOException;
import java.io.Writer;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/**
 * The words that are seen on a PDF page and came with it, with their places: of the page itself, of its annotations and of
 * its filled fields. What is written invisibly, as other programs do under a scan, is theirs and not on the page.
 */
final class PdfText extends PDFTextStripper {
    private static final double MM_PER_POINT = Millimetres.PER_POINT;

    private final PDPage page;
    private final double width;
    private final double height;
    private final List<OwnWord> words = new ArrayList<>();
    private final List<OwnWord> ofLine = new ArrayList<>();
    private final List<PDFont> fonts = new ArrayList<>();
    private final Set<TextPosition> guessed = Collections.newSetFromMap(new IdentityHashMap<>());
    private boolean meant;
    private int line;

    private PdfText(PDPage page) {
        this.page = page;
        PDRectangle size = page.getCropBox();
        boolean sideways = page.getRotation() % 180 != 0;
        this.width = (sideways ? size.getHeight() : size.getWidth()) * MM_PER_POINT;
        this.height = (sideways ? size.getWidth() : size.getHeight()) * MM_PER_POINT;
        setSortByPosition(true);
    }

    static List<OwnWord> words(PDDocument document, int index) throws IOException {
        var stripper = new PdfText(document.getPage(index));
        stripper.setStartPage(index + 1);
        stripper.setEndPage(index + 1);
        stripper.writeText(document, Writer.nullWriter());
        stripper.endLine();
        return List.copyOf(stripper.words);
    }

    /** What of a page's annotations is seen on it, without those that only show something when they are asked. */
    static List<PDAnnotation> seen(PDPage page) throws IOException {
        List<PDAnnotation> seen = new ArrayList<>();
        for (PDAnnotation a : page.getAnnotations()) {
            boolean shown = !a.isHidden() && !a.isNoView() && !"Popup".equals(a.getSubtype());
            var appearance = shown ? a.getNormalAppearanceStream() : null;
            if (appearance != null
                    && appearance.getBBox() != null
                    && appearance.getBBox().getWidth() > 0
                    && appearance.getBBox().getHeight() > 0
                    && appearance.getCOSObject().getLength() > 0) {
                seen.add(a);
            }
        }
        return seen;
    }

    @Override
    protected void writePage() throws IOException {
        for (PDAnnotation a : seen(page)) {
            showAnnotation(a);
        }
        super.writePage();
    }

    @Override
    protected void showGlyph(Matrix rendering, PDFont font, int code, Vector displacement) throws IOException {
        if (getGraphicsState().getTextState().getRenderingMode() != RenderingMode.NEITHER) {
            String letter = font.toUnicode(code);
            meant = letter != null && letter.codePoints().noneMatch(PdfText::meansNothing);
            super.showGlyph(rendering, font, code, displacement);
        }
    }

    private static boolean meansNothing(int c) {
        int kind = Character.getType(c);
        return c == 0xFFFD
                || kind == Character.PRIVATE_USE
                || kind == Character.UNASSIGNED
                || kind == Character.CONTROL && !Character.isWhitespace(c);
    }

    @Override
    protected void processTextPosition(TextPosition text) {
        if (!meant) {
            guessed.add(text);
        }
        super.processTextPosition(text);
    }

    @Override
    protected void writeString(String text, List<TextPosition> positions) {
        List<TextPosition> word = new ArrayList<>();
        for (TextPosition p : positions) {
            if (p.getUnicode() == null || p.getUnicode().isBlank()) {
                add(word);
            } else {
                word.add(p);
            }
        }
        add(word);
    }

    private void add(List<TextPosition> letters) {
        if (letters.isEmpty()) {
            return;
        }
        Box box = letters.stream().map(this::box).reduce(Box::union).orElseThrow();
        String text = TwoWays.inReadingOrder(
                letters.stream().map(p -> plain(p.getUnicode())).toList());
        boolean sure = letters.stream().noneMatch(guessed::contains);
        TextPosition first = letters.get(0);
        if (!text.isBlank() && box.overlaps(new Box(0, 0, width, height))) {
            ofLine.add(new OwnWord(new Word(text, box, 1, line), direction(first), font(first.getFont()), sure));
        }
        letters.clear();
    }

    /** Ligatures and the shapes that letters take in a word are written as the letters they are. */
    private static String plain(String letter) {
        return letter.codePoints().anyMatch(c -> c >= 0xFB00 && c <= 0xFDFF || c >= 0xFE70 && c <= 0xFEFF)
                ? Normalizer.normalize(letter, Normalizer.Form.NFKC)
                : letter;
    }

    private static int direction(TextPosition p) {
        return Math.floorMod(Math.round(p.getDir() / 90) * 90, 360);
    }

    private int font(PDFont font) {
        if (!fonts.contains(font)) {
            fonts.add(font);
        }
        return fonts.indexOf(font);
    }

    /** The library gives places on the page as it lies when the text is upright. */
    private Box box(TextPosition p) {
        double tall = p.getHeightDir() * MM_PER_POINT;
        int direction = direction(p);
        boolean sideways = direction % 180 != 0;
        return new Box(
                        p.getXDirAdj() * MM_PER_POINT,
                        p.getYDirAdj() * MM_PER_POINT - tall,
                        p.getWidthDirAdj() * MM_PER_POINT,
                        tall)
                .turned(-direction, sideways ? height : width, sideways ? width : height);
    }

    @Override
    protected void writeLineSeparator() {
        endLine();
    }

    private void endLine() {
        if (!ofLine.isEmpty()) {
            words.addAll(
                    TwoWays.inReadingOrder(List.copyOf(ofLine), w -> w.word().text()));
            ofLine.clear();
            line++;
        }
    }
}
