package jalon.demo;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;

/** Writes scans the way scanners and copiers do; pages are made one at a time. */
public final class ScanFiles {
    private ScanFiles() {}

    /** @param compression as Java's TIFF writer names it: CCITT T.6, CCITT T.4, LZW, Deflate, JPEG */
    public static void tiff(Path file, int pages, IntFunction<BufferedImage> page, int dpi, String compression)
            throws IOException {
        ImageWriter writer = writer("tiff");
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionType(compression);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < pages; i++) {
                BufferedImage image = page.apply(i);
                IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), how);
                TIFFDirectory directory = TIFFDirectory.createFromMetadata(meta);
                var tags = BaselineTIFFTagSet.getInstance();
                long[][] resolution = {{dpi, 1}};
                directory.addTIFFField(new TIFFField(
                        tags.getTag(BaselineTIFFTagSet.TAG_X_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, resolution));
                directory.addTIFFField(new TIFFField(
                        tags.getTag(BaselineTIFFTagSet.TAG_Y_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, resolution));
                directory.addTIFFField(new TIFFField(
                        tags.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT), TIFFTag.TIFF_SHORT, 1, new char[] {2}));
                directory.addTIFFField(new TIFFField(
                        tags.getTag(BaselineTIFFTagSet.TAG_ROWS_PER_STRIP), TIFFTag.TIFF_LONG, 1, new long[] {
                            image.getHeight()
                        }));
                writer.writeToSequence(new IIOImage(image, null, directory.getAsMetadata()), how);
            }
            writer.endWriteSequence();
        } finally {
            writer.dispose();
        }
    }

    public static void png(Path file, BufferedImage image, int dpi) throws IOException {
        ImageWriter writer = writer("png");
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            IIOMetadata meta =
                    writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), writer.getDefaultWriteParam());
            String form = meta.getNativeMetadataFormatName();
            var root = new IIOMetadataNode(form);
            var physical = new IIOMetadataNode("pHYs");
            String perMetre = Long.toString(Math.round(dpi / 0.0254));
            physical.setAttribute("pixelsPerUnitXAxis", perMetre);
            physical.setAttribute("pixelsPerUnitYAxis", perMetre);
            physical.setAttribute("unitSpecifier", "meter");
            root.appendChild(physical);
            meta.mergeTree(form, root);
            writer.write(null, new IIOImage(image, null, meta), null);
        } finally {
            writer.dispose();
        }
    }

    public static void jpeg(Path file, BufferedImage image, int dpi) throws IOException {
        ImageWriter writer = writer("jpeg");
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(0.75f);
            IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), how);
            String form = meta.getNativeMetadataFormatName();
            var root = (IIOMetadataNode) meta.getAsTree(form);
            var jfif = (IIOMetadataNode) root.getElementsByTagName("app0JFIF").item(0);
            jfif.setAttribute("resUnits", "1");
            jfif.setAttribute("Xdensity", Integer.toString(dpi));
            jfif.setAttribute("Ydensity", Integer.toString(dpi));
            meta.setFromTree(form, root);
            writer.write(null, new IIOImage(image, null, meta), how);
        } finally {
            writer.dispose();
        }
    }

    /** A PDF such as copiers send: one JPEG to a page. */
    public static void pdf(Path file, int pages, IntFunction<BufferedImage> page) throws IOException {
        try (PDDocument pdf = new PDDocument()) {
            for (int i = 0; i < pages; i++) {
                PDPage sheet = new PDPage(PDRectangle.A4);
                pdf.addPage(sheet);
                var image = JPEGFactory.createFromImage(pdf, page.apply(i), 0.75f);
                try (var content = new PDPageContentStream(pdf, sheet)) {
                    content.drawImage(image, 0, 0, PDRectangle.A4.getWidth(), PDRectangle.A4.getHeight());
                }
            }
            pdf.save(file.toFile());
        }
    }

    /** Java's own writers, whatever other plug-ins are about: their settings are known. */
    private static ImageWriter writer(String format) {
        for (Iterator<ImageWriter> all = ImageIO.getImageWritersByFormatName(format); all.hasNext(); ) {
            ImageWriter w = all.next();
            if (w.getClass().getName().startsWith("com.sun.")) {
                return w;
            }
        }
        throw new IllegalStateException("this Java cannot write " + format.toUpperCase(Locale.ROOT));
    }

    static List<Sheet> sheets(List<PaperDocument> documents) {
        return documents.stream()
                .flatMap(d -> java.util.stream.Stream.concat(d.before().stream(), d.pages().stream()))
                .toList();
    }
}
