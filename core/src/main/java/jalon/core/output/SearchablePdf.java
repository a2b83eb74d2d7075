package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.page.Box;
import jalon.core.page.Millimetres;
import jalon.core.page.UnreadableFile;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TimeZone;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;
import org.apache.pdfbox.pdmodel.PDEmbeddedFilesNameTreeNode;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.common.filespecification.PDComplexFileSpecification;
import org.apache.pdfbox.pdmodel.common.filespecification.PDEmbeddedFile;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;

/**
 * A searchable PDF/A-2u (ISO 19005-2, level U): each page is its received image, and over it, invisible, its words just
 * where they are printed. What was encoded stays as it was encoded; pages are taken up one at a time.
 *
 * @param withData whether it carries the document's data as a file of its own, which makes it a PDF/A-3u (ISO 19005-3)
 * @param compact whether pages that stay readable so are kept in layers that take less room
 */
public record SearchablePdf(boolean withData, boolean compact) implements OutputFormat {
    private static final double POINTS_PER_MM = 1 / Millimetres.PER_POINT;
    private static final COSName FONT = COSName.getPDFName("T");
    private static final String DATA = "data.json";

    @Override
    public String ending() {
        return ".pdf";
    }

    @Override
    public void write(FiledDocument filed, PageImages images, OutputStream out) throws IOException, UnreadableFile {
        try (PDDocument pdf = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            pdf.setVersion(1.7f);
            // The same document filed twice is the same file, byte for byte.
            pdf.setDocumentId((long) filed.pages().get(0).sha256().hashCode() << 32
                    | filed.origin().no());
            InvisibleFont font = new InvisibleFont();
            COSDictionary fonts = new COSDictionary();
            for (PageFacts page : filed.pages()) {
                add(pdf, page, filed.asFiled(page), images, filed.recipe(page.no()), font, fonts);
            }
            fonts.setItem(FONT, font.dictionary(pdf));
            describe(pdf, filed);
            if (withData) {
                attachData(pdf, filed);
            }
            pdf.save(out);
        }
    }

    private void add(
            PDDocument pdf,
            PageFacts received,
            PageFacts facts,
            PageImages images,
            List<Repair> recipe,
            InvisibleFont font,
            COSDictionary fonts)
            throws IOException, UnreadableFile {
        double width = facts.image().widthMm() * POINTS_PER_MM;
        double height = facts.image().heightMm() * POINTS_PER_MM;
        PDPage page = new PDPage(new PDRectangle((float) width, (float) height));
        PDResources resources = new PDResources();
        PdfImage picture = PdfImage.of(pdf, received, images, recipe, compact);
        List<COSName> names = picture.images().stream().map(resources::add).toList();
        resources.getCOSObject().setItem(COSName.FONT, fonts);
        page.setResources(resources);
        int turn = Math.floorMod(picture.turn() + facts.image().rotation(), 360);
        StringBuilder content = new StringBuilder();
        content.append("q ").append(placed(turn, width, height)).append(" cm");
        names.forEach(name -> content.append(" /").append(name.getName()).append(" Do"));
        content.append(" Q\n");
        text(content, facts, height, font);
        var stream = new PDStream(
                pdf,
                new ByteArrayInputStream(content.toString().getBytes(StandardCharsets.US_ASCII)),
                COSName.FLATE_DECODE);
        page.setContents(stream);
        pdf.addPage(page);
    }

    /** The matrix that puts the unit square of an image, turned clockwise, over the whole page. */
    private static String placed(int turn, double w, double h) {
        return switch (turn) {
            case 90 -> numbers(0, -h, w, 0, 0, h);
            case 180 -> numbers(-w, 0, 0, -h, w, h);
            case 270 -> numbers(0, h, -w, 0, w, 0);
            default -> numbers(w, 0, 0, h, 0, 0);
        };
    }

    private static void text(StringBuilder content, PageFacts facts, double pageHeight, InvisibleFont font) {
        if (facts.words().isEmpty()) {
            return;
        }
        // The print leans clockwise by the skew; PDF's y axis points up, so it runs along (cos, -sin).
        double cos = Math.cos(Math.toRadians(facts.image().skewDegrees()));
        double sin = Math.sin(Math.toRadians(facts.image().skewDegrees()));
        content.append("BT 3 Tr\n");
        for (Word word : facts.words()) {
            String codes = font.codes(word.text());
            if (codes.isEmpty()) {
                continue;
            }
            Box box = word.box();
            double w = box.width() * POINTS_PER_MM;
            double size = box.height() * POINTS_PER_MM;
            double cx = box.centreX() * POINTS_PER_MM;
            double cy = pageHeight - box.centreY() * POINTS_PER_MM;
            // The font reaches from -0.2 to 0.8 of its size, so its middle lies 0.3 above the base line.
            double x = cx - cos * w / 2 - sin * 0.3 * size;
            double y = cy + sin * w / 2 - cos * 0.3 * size;
            double natural = codes.length() / 4.0 * InvisibleFont.WIDTH / 1000 * size;
            content.append('/')
                    .append(FONT.getName())
                    .append(' ')
                    .append(number(size))
                    .append(" Tf ");
            content.append(number(100 * w / natural)).append(" Tz ");
            content.append(numbers(cos, -sin, sin, cos, x, y))
                    .append(" Tm <")
                    .append(codes)
                    .append("> Tj\n");
        }
        content.append("ET\n");
    }

    private void describe(PDDocument pdf, FiledDocument filed) throws IOException {
        var info = pdf.getDocumentInformation();
        info.setTitle(filed.title());
        info.setProducer("Jalon");
        info.setCreator("Jalon");
        info.setCreationDate(at(filed));
        info.setModificationDate(at(filed));
        var metadata = new PDMetadata(pdf);
        metadata.importXMPMetadata(Xmp.packet(filed, withData ? "3" : "2"));
        var catalogue = pdf.getDocumentCatalog();
        catalogue.setMetadata(metadata);
        byte[] sRgb = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
        PDOutputIntent intent = new PDOutputIntent(pdf, new ByteArrayInputStream(sRgb));
        intent.setInfo("sRGB IEC61966-2.1");
        intent.setOutputCondition("sRGB IEC61966-2.1");
        intent.setOutputConditionIdentifier("sRGB IEC61966-2.1");
        intent.setRegistryName("http://www.color.org");
        catalogue.addOutputIntent(intent);
    }

    /** The same as is filed as JSON. */
    private static void attachData(PDDocument pdf, FiledDocument filed) throws IOException {
        byte[] json = JsonData.bytes(filed);
        var file = new PDEmbeddedFile(pdf, new ByteArrayInputStream(json), COSName.FLATE_DECODE);
        file.setSubtype("application/json");
        file.setSize(json.length);
        file.setModDate(at(filed));
        var specification = new PDComplexFileSpecification();
        specification.setFile(DATA);
        specification.setFileUnicode(DATA);
        specification.setFileDescription("what the document says, field by field");
        specification.setEmbeddedFile(file);
        specification.setEmbeddedFileUnicode(file);
        specification.getCOSObject().setName("AFRelationship", "Data");
        var names = new PDEmbeddedFilesNameTreeNode();
        names.setNames(Map.of(DATA, specification));
        var catalogue = pdf.getDocumentCatalog();
        var all = new PDDocumentNameDictionary(catalogue);
        all.setEmbeddedFiles(names);
        catalogue.setNames(all);
        var associated = new COSArray();
        associated.add(specification.getCOSObject());
        catalogue.getCOSObject().setItem("AF", associated);
    }

    private static GregorianCalendar at(FiledDocument filed) {
        var at = new GregorianCalendar(TimeZone.getTimeZone("UTC"), Locale.ROOT);
        at.setTimeInMillis(filed.at().getEpochSecond() * 1000);
        return at;
    }

    private static String numbers(double... values) {
        StringBuilder out = new StringBuilder();
        for (double v : values) {
            out.append(out.length() == 0 ? "" : " ").append(number(v));
        }
        return out.toString();
    }

    /** Five places after the point; a formatter would cost more than all else in writing a page's text. */
    static String number(double v) {
        long hundredThousandths = Math.round(Math.abs(v) * 100_000);
        String digits = Long.toString(100_000 + hundredThousandths % 100_000).substring(1);
        return (v < 0 && hundredThousandths > 0 ? "-" : "") + hundredThousandths / 100_000 + "." + digits;
    }
}
