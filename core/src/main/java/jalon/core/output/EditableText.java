package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.page.Box;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigInteger;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.poi.openxml4j.exceptions.InvalidFormatException;
import org.apache.poi.util.Units;
import org.apache.poi.xwpf.usermodel.BreakType;
import org.apache.poi.xwpf.usermodel.Document;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableCell;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageMar;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageSz;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSectPr;

/**
 * A document to be worked on, as Office Open XML text (ISO/IEC 29500, transitional): paragraphs that flow, headings by the
 * size of their print, tables, pictures, and a new page where the paper has one.
 */
record EditableText() implements OutputFormat {
    private static final double TWIPS_PER_MM = 1440 / 25.4;
    private static final double POINTS_PER_MM = 72 / 25.4;

    private static final int SMALLEST_TYPE = 7;
    private static final int LARGEST_TYPE = 36;

    /** So close to the usual size it is the usual size. */
    private static final double SAME_SIZE = 0.16;

    private static final int LONGEST_HEADING = 14;
    private static final double NARROWEST_MARGIN_MM = 10;

    /** As far from the left as from the right within this, and far from both. */
    private static final double CENTRED_MM = 5;

    private static final double FAR_MM = 15;
    private static final int AFTER_TWIPS = 120;

    /** Of the empty paper above a paragraph no more than this is kept. */
    private static final double MOST_SPACE_MM = 15;

    @Override
    public String ending() {
        return ".docx";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException, UnreadableFile {
        List<PageFacts> pages =
                document.pages().stream().map(PageFacts::straight).toList();
        double usual = Math.max(
                1, TypeSize.of(pages.stream().flatMap(p -> p.words().stream()).toList()));
        try (XWPFDocument text = new XWPFDocument()) {
            text.getProperties().getCoreProperties().setTitle(document.title());
            HeadingStyles.addTo(text);
            Box print = printOf(pages);
            paper(text, pages.get(0), print);
            for (int i = 0; i < pages.size(); i++) {
                PageFlow flow = PageFlow.of(pages.get(i));
                BufferedImage image = flow.blocks().stream().anyMatch(b -> b instanceof PageBlock.Picture)
                        ? upright(document.pages().get(i), images, document)
                        : null;
                if (i > 0) {
                    text.createParagraph().createRun().addBreak(BreakType.PAGE);
                }
                Sheet sheet = new Sheet(pages.get(i), print, usual, image);
                double above = print.y();
                for (PageBlock block : flow.blocks()) {
                    add(text, block, block.box().y() - above, sheet);
                    above = block.box().bottom();
                }
            }
            text.write(out);
        }
    }

    /**
     * What a page's parts are put down by.
     *
     * @param print where print stands on all of the pages
     * @param usualMm size of the type that the document is set in
     * @param image null where no picture is taken out of it
     */
    private record Sheet(PageFacts page, Box print, double usualMm, BufferedImage image) {}

    private static void add(XWPFDocument text, PageBlock block, double gapAbove, Sheet sheet) throws IOException {
        if (block instanceof PageBlock.Text t) {
            add(text, t, gapAbove, sheet);
        } else if (block instanceof PageBlock.Table t) {
            add(text, t, sheet);
        } else {
            add(text, block.box(), sheet);
        }
    }

    private static void add(XWPFDocument text, PageBlock.Text block, double gapAbove, Sheet sheet) {
        Paragraph paragraph = block.paragraph();
        XWPFParagraph out = text.createParagraph();
        Box box = paragraph.box();
        double relative = TypeSize.of(paragraph.words()) / sheet.usualMm();
        int size = points(sheet.usualMm() * (Math.abs(relative - 1) < SAME_SIZE ? 1 : relative));
        int words = paragraph.words().size();
        if (words <= LONGEST_HEADING) {
            HeadingStyles.of(relative).ifPresent(out::setStyle);
        }
        double left = box.x() - sheet.print().x();
        double right = sheet.print().right() - box.right();
        if (Math.abs(left - right) < CENTRED_MM && left > FAR_MM) {
            out.setAlignment(ParagraphAlignment.CENTER);
        } else if (left > CENTRED_MM) {
            out.setIndentationLeft(twips(left));
        }
        out.setSpacingBefore(twips(Math.max(0, Math.min(MOST_SPACE_MM, gapAbove - sheet.usualMm()))));
        out.setSpacingAfter(AFTER_TWIPS);
        String running = RunningText.of(block);
        if (!new Bidi(running, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight()) {
            (out.getCTP().isSetPPr() ? out.getCTP().getPPr() : out.getCTP().addNewPPr()).addNewBidi();
        }
        lines(out.createRun(), running, size);
    }

    private static void lines(XWPFRun run, String text, int size) {
        run.setFontSize(size);
        String[] lines = XmlText.allowed(text).split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            if (i > 0) {
                run.addBreak();
            }
            run.setText(lines[i]);
        }
    }

    private static void add(XWPFDocument text, PageBlock.Table table, Sheet sheet) {
        int columns = table.widths().size();
        XWPFTable out = text.createTable(table.rows().size(), columns);
        for (int r = 0; r < table.rows().size(); r++) {
            for (int c = 0; c < columns; c++) {
                XWPFTableCell cell = out.getRow(r).getCell(c);
                cell.setWidth(Integer.toString(twips(table.widths().get(c))));
                lines(
                        cell.getParagraphs().get(0).createRun(),
                        table.rows().get(r).get(c),
                        points(sheet.usualMm()));
            }
        }
        // Two tables without a paragraph between them would be one.
        text.createParagraph().setSpacingAfter(0);
    }

    private static void add(XWPFDocument text, Box box, Sheet sheet) throws IOException {
        double perMm = sheet.image().getWidth() / sheet.page().image().widthMm();
        int x = (int) Math.max(0, box.x() * perMm);
        int y = (int) Math.max(0, box.y() * perMm);
        int width = (int) Math.min(sheet.image().getWidth() - x, Math.ceil(box.width() * perMm));
        int height = (int) Math.min(sheet.image().getHeight() - y, Math.ceil(box.height() * perMm));
        if (width < 1 || height < 1) {
            return;
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(sheet.image().getSubimage(x, y, width, height), "png", png);
        XWPFParagraph out = text.createParagraph();
        out.setIndentationLeft(twips(Math.max(0, box.x() - sheet.print().x())));
        try {
            out.createRun()
                    .addPicture(
                            new ByteArrayInputStream(png.toByteArray()),
                            Document.PICTURE_TYPE_PNG,
                            "picture",
                            Units.toEMU(box.width() * POINTS_PER_MM),
                            Units.toEMU(box.height() * POINTS_PER_MM));
        } catch (InvalidFormatException e) {
            throw new IOException("a picture of page " + sheet.page().no() + " could not be put in", e);
        }
    }

    /** Straight, whether the page is filed straight or not: pictures are where they were found. */
    private static BufferedImage upright(PageFacts page, PageImages images, FiledDocument document)
            throws IOException, UnreadableFile {
        List<Repair> recipe = new ArrayList<>(document.recipe(page.no()));
        if (!Repair.straightens(recipe)) {
            recipe.add(new Repair.Straighten());
        }
        return UprightPage.of(images.scan(page), page, recipe);
    }

    private static void paper(XWPFDocument text, PageFacts page, Box print) {
        double width = page.image().widthMm();
        double height = page.image().heightMm();
        CTSectPr section = text.getDocument().getBody().addNewSectPr();
        CTPageSz size = section.addNewPgSz();
        size.setW(BigInteger.valueOf(twips(width)));
        size.setH(BigInteger.valueOf(twips(height)));
        CTPageMar margins = section.addNewPgMar();
        margins.setLeft(margin(print.x()));
        margins.setRight(margin(width - print.right()));
        margins.setTop(margin(print.y()));
        margins.setBottom(margin(height - print.bottom()));
    }

    private static BigInteger margin(double mm) {
        return BigInteger.valueOf(twips(Math.max(NARROWEST_MARGIN_MM, mm)));
    }

    private static Box printOf(List<PageFacts> pages) {
        return pages.stream()
                .flatMap(p -> p.words().stream())
                .map(Word::box)
                .reduce(Box::union)
                .orElse(new Box(20, 20, 170, 257));
    }

    private static int points(double typeMm) {
        long points = Math.round(typeMm * POINTS_PER_MM);
        return (int) Math.max(SMALLEST_TYPE, Math.min(LARGEST_TYPE, points));
    }

    private static int twips(double mm) {
        return (int) Math.round(mm * TWIPS_PER_MM);
    }
}
