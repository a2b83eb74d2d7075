package jalon.core.output;

import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.page.Encoded;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.CCITTFactory;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * A page's picture as a PDF image: the received data untouched where that can be, else without loss.
 *
 * @param turn clockwise degrees that the picture itself still needs to be shown as the file asked
 */
record PdfImage(PDImageXObject image, int turn) {
    /** No visible loss at print's size, in a third of the room of pictures without loss. */
    private static final float REPAIRED_QUALITY = 0.85f;

    /** @param recipe what is done to the picture first; then it is made anew, and turned as the file asked */
    static PdfImage of(PDDocument document, PageFacts page, PageImages images, List<Repair> recipe)
            throws IOException, UnreadableFile {
        if (!recipe.isEmpty()) {
            var scan = images.scan(page);
            BufferedImage repaired = Repaired.of(
                            scan.image(), scan.dpi(), recipe, page.image().skewDegrees())
                    .image();
            return repaired.getColorModel().getPixelSize() == 1
                    ? new PdfImage(CCITTFactory.createFromByteArray(document, g4Tiff(repaired)), 0)
                    : new PdfImage(JPEGFactory.createFromImage(document, repaired, REPAIRED_QUALITY), 0);
        }
        Optional<Encoded> asIs = images.asIs(page);
        if (asIs.isPresent()) {
            Encoded encoded = asIs.get();
            PDImageXObject image = switch (encoded.kind()) {
                case JPEG -> JPEGFactory.createFromByteArray(document, encoded.bytes());
                case G4 -> g4(document, encoded);
            };
            return new PdfImage(image, encoded.turn());
        }
        BufferedImage picture = images.scan(page).image();
        if (picture.getType() == BufferedImage.TYPE_BYTE_BINARY
                && picture.getColorModel().getPixelSize() == 1) {
            return new PdfImage(CCITTFactory.createFromByteArray(document, g4Tiff(picture)), 0);
        }
        return new PdfImage(LosslessFactory.createFromImage(document, picture), 0);
    }

    private static PDImageXObject g4(PDDocument document, Encoded encoded) throws IOException {
        COSDictionary parameters = new COSDictionary();
        parameters.setInt(COSName.K, -1);
        parameters.setInt(COSName.COLUMNS, encoded.width());
        parameters.setInt(COSName.ROWS, encoded.height());
        PDImageXObject image = new PDImageXObject(
                document,
                new ByteArrayInputStream(encoded.bytes()),
                COSName.CCITTFAX_DECODE,
                encoded.width(),
                encoded.height(),
                1,
                PDDeviceGray.INSTANCE);
        image.getCOSObject().setItem(COSName.DECODE_PARMS, parameters);
        return image;
    }

    /** Java's TIFF writer makes one strip of G4 many times quicker than PDFBox's own encoder. */
    private static byte[] g4Tiff(BufferedImage picture) throws IOException {
        ImageWriter writer = TiffPages.javas();
        var bytes = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionType("CCITT T.6");
            how.setTilingMode(ImageWriteParam.MODE_EXPLICIT);
            how.setTiling(picture.getWidth(), picture.getHeight(), 0, 0);
            how.setTilingMode(ImageWriteParam.MODE_COPY_FROM_METADATA);
            writer.setOutput(out);
            var meta = writer.getDefaultImageMetadata(new javax.imageio.ImageTypeSpecifier(picture), how);
            oneStrip(meta, picture.getHeight());
            writer.write(null, new IIOImage(picture, null, meta), how);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    private static void oneStrip(javax.imageio.metadata.IIOMetadata meta, int rows) throws IOException {
        var field = new javax.imageio.metadata.IIOMetadataNode("TIFFField");
        field.setAttribute("number", "278");
        field.setAttribute("name", "RowsPerStrip");
        var longs = new javax.imageio.metadata.IIOMetadataNode("TIFFLongs");
        var value = new javax.imageio.metadata.IIOMetadataNode("TIFFLong");
        value.setAttribute("value", Integer.toString(rows));
        longs.appendChild(value);
        field.appendChild(longs);
        var ifd = new javax.imageio.metadata.IIOMetadataNode("TIFFIFD");
        ifd.appendChild(field);
        var root = new javax.imageio.metadata.IIOMetadataNode("javax_imageio_tiff_image_1.0");
        root.appendChild(ifd);
        meta.mergeTree("javax_imageio_tiff_image_1.0", root);
    }
}
