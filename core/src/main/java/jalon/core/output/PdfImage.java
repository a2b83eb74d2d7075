package jalon.core.output;

import jalon.core.image.PageLayers;
import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.page.Encoded;
import jalon.core.page.Scan;
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
 * A page's picture as PDF images, one drawn over the other: the received data untouched where that can be, else without loss.
 *
 * @param turn clockwise degrees that the picture itself still needs to be shown as the file asked
 */
record PdfImage(List<PDImageXObject> images, int turn) {
    /** No visible loss at print's size, in a third of the room of pictures without loss. */
    private static final float REPAIRED_QUALITY = 0.85f;

    /** The paper behind print, and pictures on it. */
    private static final float PAPER_QUALITY = 0.5f;

    private static final float COLOURS_QUALITY = 0.7f;

    /** Layers that need more of the room that the picture took are not worth what they lose. */
    private static final double WORTH_IT = 0.7;

    private PdfImage(PDImageXObject image, int turn) {
        this(List.of(image), turn);
    }

    /**
     * @param recipe what is done to the picture first; then it is made anew, and turned as the file asked
     * @param compact whether it comes in layers, where that keeps what is on the page and takes clearly less room
     */
    static PdfImage of(PDDocument document, PageFacts page, PageImages images, List<Repair> recipe, boolean compact)
            throws IOException, UnreadableFile {
        Optional<Encoded> asIs = recipe.isEmpty() ? images.asIs(page) : Optional.empty();
        if (asIs.isPresent() && (!compact || asIs.get().kind() == Encoded.Kind.G4)) {
            return received(document, asIs.get());
        }
        Scan scan = images.scan(page);
        BufferedImage picture = recipe.isEmpty()
                ? scan.image()
                : Repaired.of(scan.image(), scan.dpi(), recipe, page.image().skewDegrees())
                        .image();
        PdfImage whole = asIs.isPresent()
                ? received(document, asIs.get())
                : new PdfImage(anew(document, picture, !recipe.isEmpty()), 0);
        return compact ? smaller(document, whole, picture, scan.dpi()) : whole;
    }

    private static PdfImage received(PDDocument document, Encoded encoded) throws IOException {
        PDImageXObject image = switch (encoded.kind()) {
            case JPEG -> JPEGFactory.createFromByteArray(document, encoded.bytes());
            case G4 -> g4(document, encoded);
        };
        return new PdfImage(image, encoded.turn());
    }

    private static PDImageXObject anew(PDDocument document, BufferedImage picture, boolean repaired)
            throws IOException {
        if (picture.getColorModel().getPixelSize() == 1
                && (repaired || picture.getType() == BufferedImage.TYPE_BYTE_BINARY)) {
            return CCITTFactory.createFromByteArray(document, g4Tiff(picture));
        }
        return repaired
                ? JPEGFactory.createFromImage(document, picture, REPAIRED_QUALITY)
                : LosslessFactory.createFromImage(document, picture);
    }

    private static PdfImage smaller(PDDocument document, PdfImage whole, BufferedImage picture, double dpi)
            throws IOException {
        Optional<PageLayers> layers = PageLayers.of(picture, dpi);
        if (layers.isEmpty()) {
            return whole;
        }
        PDImageXObject paper =
                JPEGFactory.createFromImage(document, layers.get().paper(), PAPER_QUALITY);
        PDImageXObject colours =
                JPEGFactory.createFromImage(document, layers.get().colours(), COLOURS_QUALITY);
        PDImageXObject ink =
                CCITTFactory.createFromByteArray(document, g4Tiff(layers.get().ink()));
        ink.getCOSObject().setBoolean(COSName.IMAGE_MASK, true);
        ink.getCOSObject().removeItem(COSName.COLORSPACE);
        colours.getCOSObject().setItem(COSName.MASK, ink);
        long room = bytes(paper) + bytes(colours) + bytes(ink);
        return room < WORTH_IT * bytes(whole.images().get(0)) ? new PdfImage(List.of(paper, colours), 0) : whole;
    }

    private static long bytes(PDImageXObject image) {
        return image.getCOSObject().getLength();
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
