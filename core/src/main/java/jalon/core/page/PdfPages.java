package jalon.core.page;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * A PDF file. A page that is one picture gives that picture at its own resolution; anything else is drawn at 300 dpi
 * and keeps its text.
 */
final class PdfPages implements PageFile {
    private static final int DRAWN_DPI = 300;

    private final PDDocument document;
    private final int pages;
    private boolean formDrawn;

    private PdfPages(PDDocument document, int pages) {
        this.pages = pages;
        this.document = document;
    }

    static PageFile open(Path file) throws UnreadableFile {
        try {
            PDDocument document = Loader.loadPDF(
                    new RandomAccessReadBufferedFile(file.toFile()),
                    "",
                    null,
                    null,
                    IOUtils.createTempFileOnlyStreamCache());
            try {
                return new PdfPages(document, count(document));
            } catch (UnreadableFile | RuntimeException e) {
                document.close();
                throw e;
            }
        } catch (InvalidPasswordException e) {
            throw new UnreadableFile(Unread.Code.PDF_LOCKED.with(), e);
        } catch (IOException | RuntimeException e) {
            throw new UnreadableFile(Unread.Code.PDF_DAMAGED.with(), e);
        }
    }

    /**
     * A page as it is to be seen: fields that were filled without being drawn, and notes that nobody drew, are drawn; whoever
     * opens the file elsewhere sees them.
     */
    private PDPage shown(int index) throws IOException {
        if (!formDrawn) {
            formDrawn = true;
            document.getDocumentCatalog().getAcroForm();
        }
        PDPage page = document.getPage(index);
        for (PDAnnotation annotation : page.getAnnotations()) {
            if (annotation.getNormalAppearanceStream() == null) {
                annotation.constructAppearances(document);
            }
        }
        return page;
    }

    /** By walking the tree of pages, once each: what the file itself says can be two thousand million. */
    private static int count(PDDocument document) throws UnreadableFile {
        int pages = 0;
        for (Iterator<PDPage> all = document.getPages().iterator(); all.hasNext(); all.next()) {
            if (++pages > PageSize.MOST_PAGES) {
                throw new UnreadableFile(Unread.Code.TOO_MANY_PAGES.with(PageSize.MOST_PAGES));
            }
        }
        if (pages == 0) {
            throw new UnreadableFile(Unread.Code.NO_PAGE.with());
        }
        return pages;
    }

    @Override
    public int pageCount() {
        return pages;
    }

    @Override
    public Scan page(int index) throws UnreadableFile {
        try {
            PDPage page = shown(index);
            Optional<PdfScanImage.Found> picture = PdfScanImage.find(page);
            return picture.isPresent() ? asScan(page, picture.get()) : drawn(page, index);
        } catch (IOException | RuntimeException e) {
            throw new UnreadableFile(Unread.Code.PDF_PAGE_DAMAGED.with(index + 1), e);
        }
    }

    private static Scan asScan(PDPage page, PdfScanImage.Found found) throws IOException, UnreadableFile {
        PDImageXObject picture = found.image();
        PageSize.check(picture.getWidth(), picture.getHeight());
        Optional<byte[]> jpeg = plainJpeg(picture);
        // Decoded by itself a JPEG takes a third of the time that the PDF library's colour conversion needs.
        BufferedImage image = jpeg.isPresent() ? ImageIO.read(new ByteArrayInputStream(jpeg.get())) : null;
        if (image == null) {
            image = picture.getOpaqueImage(null, 1);
        }
        if (picture.getBitsPerComponent() == 1 && image.getType() != BufferedImage.TYPE_BYTE_BINARY) {
            var bitonal = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_BINARY);
            bitonal.getGraphics().drawImage(image, 0, 0, null);
            image = bitonal;
        }
        int turn = Math.floorMod(found.turn() + page.getRotation(), 360);
        var resolution = Resolution.of(found.dpiX(), found.dpiY(), picture.getWidth(), picture.getHeight());
        return new Scan(
                Pixels.turned(Pixels.square(image, resolution), turn),
                Math.max(resolution.x(), resolution.y()),
                resolution.stated(),
                List.of());
    }

    @Override
    public Optional<Encoded> asIs(int index) throws UnreadableFile {
        try {
            PDPage page = shown(index);
            Optional<PdfScanImage.Found> picture = PdfScanImage.find(page);
            if (picture.isEmpty()) {
                return Optional.empty();
            }
            int turn = Math.floorMod(picture.get().turn() + page.getRotation(), 360);
            return plainJpeg(picture.get().image()).flatMap(jpeg -> JpegHeader.asIs(jpeg, turn));
        } catch (IOException | RuntimeException e) {
            throw new UnreadableFile(Unread.Code.PDF_PAGE_DAMAGED.with(index + 1), e);
        }
    }

    /** The picture's data where it is nothing but a JPEG of one or three 8-bit components. */
    private static Optional<byte[]> plainJpeg(PDImageXObject picture) throws IOException {
        var stream = picture.getCOSObject();
        boolean plain = COSName.DCT_DECODE.equals(stream.getFilters())
                && !stream.containsKey(COSName.DECODE)
                && !stream.containsKey(COSName.SMASK)
                && !stream.containsKey(COSName.MASK)
                && (picture.getColorSpace().getNumberOfComponents() == 1
                        || picture.getColorSpace().getNumberOfComponents() == 3);
        if (!plain) {
            return Optional.empty();
        }
        try (InputStream raw = stream.createRawInputStream()) {
            return Optional.of(raw.readAllBytes());
        }
    }

    private Scan drawn(PDPage page, int index) throws IOException, UnreadableFile {
        PDRectangle size = page.getCropBox();
        PageSize.check(Math.round(size.getWidth() * DRAWN_DPI / 72.0), Math.round(size.getHeight() * DRAWN_DPI / 72.0));
        BufferedImage image = new PDFRenderer(document).renderImageWithDPI(index, DRAWN_DPI, ImageType.RGB);
        return new Scan(image, DRAWN_DPI, true, PdfText.words(document, index));
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
