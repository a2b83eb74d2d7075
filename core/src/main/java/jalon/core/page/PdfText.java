package jalon.core.page;

import java.io.IOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;

/** The words of a born-digital PDF page with their places. */
final class PdfText extends PDFTextStripper {
    private static final double MM_PER_POINT = Millimetres.PER_POINT;

    private final List<Word> words = new ArrayList<>();
    private int line;

    private PdfText() {
        setSortByPosition(true);
    }

    static List<Word> words(PDDocument document, int index) throws IOException {
        var stripper = new PdfText();
        stripper.setStartPage(index + 1);
        stripper.setEndPage(index + 1);
        stripper.writeText(document, Writer.nullWriter());
        return stripper.words;
    }

    @Override
    protected void writeString(String text, List<TextPosition> positions) {
        StringBuilder word = new StringBuilder();
        Box box = null;
        for (TextPosition p : positions) {
            String letter = p.getUnicode();
            if (letter == null || letter.isBlank()) {
                add(word, box);
                box = null;
                continue;
            }
            double height = p.getHeightDir() * MM_PER_POINT;
            Box at = new Box(
                    p.getXDirAdj() * MM_PER_POINT,
                    p.getYDirAdj() * MM_PER_POINT - height,
                    p.getWidthDirAdj() * MM_PER_POINT,
                    height);
            box = box == null ? at : box.union(at);
            word.append(letter);
        }
        add(word, box);
    }

    private void add(StringBuilder word, Box box) {
        if (box != null && word.length() > 0) {
            words.add(new Word(word.toString(), box, 1, line));
        }
        word.setLength(0);
    }

    @Override
    protected void writeLineSeparator() {
        line++;
    }
}
