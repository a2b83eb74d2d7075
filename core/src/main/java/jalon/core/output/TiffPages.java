package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.page.Scan;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Iterator;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;

/**
 * A document's pages upright in one TIFF 6.0 file, without loss: black and white pages as G4 (ITU-T T.6), others as LZW with
 * differences. Pages are taken up one at a time.
 */
record TiffPages() implements OutputFormat {
    private static final int DIFFERENCES = 2;
    private static final int INCH = 2;

    /** A rational of this denominator holds any resolution well enough. */
    private static final long PARTS = 1000;

    @Override
    public String ending() {
        return ".tif";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException, UnreadableFile {
        ImageWriter writer = javas();
        try (ImageOutputStream file = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(file);
            writer.prepareWriteSequence(null);
            for (PageFacts page : document.pages()) {
                add(writer, page, images.scan(page), document.recipe(page.no()));
            }
            writer.endWriteSequence();
        } finally {
            writer.dispose();
        }
    }

    /** The one that all of its tags can be said to. */
    static ImageWriter javas() throws IOException {
        for (Iterator<ImageWriter> all = ImageIO.getImageWritersByFormatName("tiff"); all.hasNext(); ) {
            ImageWriter writer = all.next();
            if (writer.getClass().getName().startsWith("com.sun.")) {
                return writer;
            }
        }
        throw new IOException("this Java has no TIFF writer");
    }

    private static void add(ImageWriter writer, PageFacts page, Scan scan, List<Repair> recipe) throws IOException {
        BufferedImage upright = UprightPage.of(scan, page, recipe);
        boolean bitonal = upright.getColorModel().getPixelSize() == 1;
        ImageWriteParam how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType(bitonal ? "CCITT T.6" : "LZW");
        IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(upright), how);
        TIFFDirectory directory = TIFFDirectory.createFromMetadata(meta);
        long[][] dpi = {{Math.round(scan.dpi() * PARTS), PARTS}};
        add(directory, BaselineTIFFTagSet.TAG_X_RESOLUTION, TIFFTag.TIFF_RATIONAL, dpi);
        add(directory, BaselineTIFFTagSet.TAG_Y_RESOLUTION, TIFFTag.TIFF_RATIONAL, dpi);
        add(directory, BaselineTIFFTagSet.TAG_RESOLUTION_UNIT, TIFFTag.TIFF_SHORT, new char[] {INCH});
        if (!bitonal) {
            add(directory, BaselineTIFFTagSet.TAG_PREDICTOR, TIFFTag.TIFF_SHORT, new char[] {DIFFERENCES});
        }
        writer.writeToSequence(new IIOImage(upright, null, directory.getAsMetadata()), how);
    }

    private static void add(TIFFDirectory directory, int tag, int type, Object value) {
        directory.addTIFFField(new TIFFField(BaselineTIFFTagSet.getInstance().getTag(tag), type, 1, value));
    }
}
