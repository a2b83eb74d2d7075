package jalon.core.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import jalon.core.page.PageFile;
import jalon.core.page.Word;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationFreeText;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pages of PDF files that bring words of their own, of all kinds that senders make. */
class OwnTextTest {
    private static final PDRectangle A4 = PDRectangle.A4;
    private static TextReader reader;

    @TempDir
    Path folder;

    @BeforeAll
    static void open() {
        reader = TesseractReader.open("eng");
    }

    @AfterAll
    static void close() {
        reader.close();
    }

    @Test
    void aScanWithALineOfTheSendingMachineIsReadAndKeepsTheLine() throws Exception {
        PageFacts page = read((pdf, c) -> {
            c.drawImage(LosslessFactory.createFromImage(pdf, letter()), 0, 0, A4.getWidth(), A4.getHeight());
            write(c, helvetica(), 8, 40, 825, "12-NOV-2026 09:14 from QUAY AGENTS 0044 7700 page 1");
        });
        assertThat(text(page)).startsWith("12-NOV-2026 09:14 from QUAY AGENTS").contains("harbour office thanks you");
        assertThat(page.words().get(0).certainty()).isEqualTo(1);
    }

    @Test
    void whatStandsInFieldsAndNotesIsPartOfThePage() throws Exception {
        PageFacts page = read((pdf, c) -> {
            write(c, helvetica(), 12, 72, 700, "Application for a berth");
            PDPage sheet = pdf.getPage(0);
            var note = new PDAnnotationFreeText();
            note.setRectangle(new PDRectangle(72, 500, 200, 30));
            note.setContents("Paid in cash");
            note.setDefaultAppearance("0 g /Helv 12 Tf");
            sheet.getAnnotations().add(note);
            var form = new PDAcroForm(pdf);
            pdf.getDocumentCatalog().setAcroForm(form);
            var resources = new PDResources();
            resources.put(COSName.getPDFName("Helv"), helvetica());
            form.setDefaultResources(resources);
            form.setDefaultAppearance("/Helv 12 Tf 0 g");
            var field = new PDTextField(form);
            field.setPartialName("vessel");
            field.setDefaultAppearance("/Helv 12 Tf 0 g");
            form.getFields().add(field);
            PDAnnotationWidget widget = field.getWidgets().get(0);
            widget.setRectangle(new PDRectangle(72, 600, 200, 24));
            widget.setPage(sheet);
            sheet.getAnnotations().add(widget);
            field.setValue("Amber Breeze");
        });
        assertThat(text(page)).contains("Application for a berth", "Amber Breeze", "Paid in cash");
        assertThat(page.words()).allMatch(w -> w.certainty() == 1);
    }

    @Test
    void whatRunsFromRightToLeftComesInReadingOrder() throws Exception {
        PageFacts page = read((pdf, c) -> {
            PDFont font = PDType0Font.load(pdf, new File("/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf"));
            // As it stands on the paper, from left to right: the last letter first.
            String seen = new StringBuilder("שלום נמל").reverse().toString();
            write(c, font, 14, 300, 700, "2026 " + seen);
        });
        assertThat(text(page)).isEqualTo("שלום נמל 2026");
        assertThat(PageRows.of(page).rows().get(0).whole().text()).isEqualTo("שלום נמל 2026");
    }

    @Test
    void aFontThatSaysOtherLettersThanItShowsIsReadFromThePicture() throws Exception {
        Path file = written((pdf, c) -> {
            PDFont font = PDType0Font.load(pdf, new File("/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf"));
            for (int line = 0; line < 6; line++) {
                write(c, font, 12, 72, 700 - 20 * line, "Berth charges for the summer season " + line);
            }
            write(c, helvetica(), 12, 72, 400, "Written with another font");
        });
        try (PDDocument pdf = Loader.loadPDF(Files.readAllBytes(file))) {
            PDResources used = pdf.getPage(0).getResources();
            for (COSName name : used.getFontNames()) {
                COSDictionary font = used.getFont(name).getCOSObject();
                if (font.getItem(COSName.TO_UNICODE) != null) {
                    font.setItem(COSName.TO_UNICODE, otherLetters());
                }
            }
            pdf.save(file.toFile());
        }
        PageFacts page = read(file);
        assertThat(text(page)).contains("Berth charges for the summer season", "Written with another font");
    }

    @Test
    void whatOtherProgramsWroteInvisiblyUnderAScanIsNotTaken() throws Exception {
        PageFacts page = read((pdf, c) -> {
            BufferedImage all = letter();
            int half = all.getHeight() / 2;
            for (int part = 0; part < 2; part++) {
                var strip = all.getSubimage(0, part * half, all.getWidth(), half);
                float bottom = part == 0 ? A4.getHeight() / 2 : 0;
                c.drawImage(LosslessFactory.createFromImage(pdf, strip), 0, bottom, A4.getWidth(), A4.getHeight() / 2);
            }
            c.setRenderingMode(RenderingMode.NEITHER);
            write(c, helvetica(), 11, 72, 725, "Tne harbour 0ffice thamks you");
        });
        assertThat(text(page)).contains("The harbour office thanks you").doesNotContain("thamks");
    }

    @Test
    void aPageWrittenSidewaysIsTurnedAsItsWordsStand() throws Exception {
        PageFacts page = read((pdf, c) -> {
            c.beginText();
            c.setFont(helvetica(), 12);
            c.setTextMatrix(Matrix.getRotateInstance(Math.PI / 2, 100, 100));
            c.showText("Berth C-17 is free");
            c.endText();
        });
        assertThat(text(page)).isEqualTo("Berth C-17 is free");
        assertThat(page.image().rotation()).isEqualTo(90);
        assertThat(page.image().widthMm()).isCloseTo(297, within(1.0));
        Word berth = page.words().get(0);
        assertThat(berth.box().x()).isCloseTo(100 * 25.4 / 72, within(1.0));
        assertThat(berth.box().bottom()).isCloseTo(100 * 25.4 / 72, within(1.0));
        assertThat(berth.box().width()).isGreaterThan(berth.box().height());
    }

    private interface Content {
        void write(PDDocument pdf, PDPageContentStream page) throws IOException;
    }

    /** A table that gives each letter the code of the fourth one behind it. */
    private static COSStream otherLetters() throws IOException {
        var table = new COSStream();
        try (var out = table.createOutputStream()) {
            out.write(("/CIDInit /ProcSet findresource begin 12 dict begin begincmap /CMapName /Other def"
                            + " /CMapType 2 def 1 begincodespacerange <0000> <FFFF> endcodespacerange"
                            + " 1 beginbfrange <0000> <00FF> <0021> endbfrange endcmap end end")
                    .getBytes(StandardCharsets.US_ASCII));
        }
        return table;
    }

    private PageFacts read(Content content) throws Exception {
        return read(written(content));
    }

    private Path written(Content content) throws Exception {
        Path file = folder.resolve("page.pdf");
        try (PDDocument pdf = new PDDocument()) {
            pdf.addPage(new PDPage(A4));
            try (var c = new PDPageContentStream(pdf, pdf.getPage(0))) {
                content.write(pdf, c);
            }
            pdf.save(file.toFile());
        }
        return file;
    }

    private static PageFacts read(Path file) throws Exception {
        try (PageFile pages = PageFile.open(file)) {
            return ReadPage.read(pages.page(0), new ReadPage.Origin(1, "page.pdf", 1, "0".repeat(64)), reader);
        }
    }

    private static PDFont helvetica() {
        return new PDType1Font(Standard14Fonts.FontName.HELVETICA);
    }

    private static void write(PDPageContentStream c, PDFont font, int size, float x, float y, String text)
            throws IOException {
        c.beginText();
        c.setFont(font, size);
        c.newLineAtOffset(x, y);
        c.showText(text);
        c.endText();
    }

    private static BufferedImage letter() {
        return Pictures.page(200, 0, Pictures::letter);
    }

    private static String text(PageFacts page) {
        return String.join(" ", page.words().stream().map(Word::text).toList());
    }
}
