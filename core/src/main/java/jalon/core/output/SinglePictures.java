package jalon.core.output;

import jalon.core.page.Encoded;
import jalon.core.page.UnreadableFile;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Map;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import org.w3c.dom.Element;

/** Each page upright as a picture of its own, which says how large the paper is. */
record SinglePictures(Kind kind) implements OutputFormat {
    /** No visible loss at print's size. */
    private static final float QUALITY = 0.85f;

    private static final double MM_PER_INCH = 25.4;
    private static final double MM_PER_METRE = 1000;

    enum Kind {
        /** ISO/IEC 15948, without loss. */
        PNG("png"),
        /** ISO/IEC 10918-1 in JFIF; what was received as such and stands upright stays as it was encoded. */
        JPEG("jpg");

        private final String name;

        Kind(String name) {
            this.name = name;
        }
    }

    @Override
    public String ending() {
        return "." + kind.name;
    }

    @Override
    public boolean eachPage() {
        return true;
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException, UnreadableFile {
        PageFacts page = document.pages().get(0);
        if (kind == Kind.JPEG
                && document.recipe(page.no()).isEmpty()
                && page.image().rotation() == 0) {
            Optional<Encoded> received = images.asIs(page);
            if (received.isPresent()
                    && received.get().kind() == Encoded.Kind.JPEG
                    && received.get().turn() == 0) {
                out.write(received.get().bytes());
                return;
            }
        }
        var scan = images.scan(page);
        write(UprightPage.of(scan, page, document.recipe(page.no())), scan.dpi(), out);
    }

    private void write(BufferedImage upright, double dpi, OutputStream out) throws IOException {
        BufferedImage picture = kind == Kind.JPEG ? smooth(upright) : upright;
        ImageWriter writer = ImageIO.getImageWritersByFormatName(kind.name).next();
        try (var file = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            if (kind == Kind.JPEG) {
                how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
                how.setCompressionQuality(QUALITY);
            }
            IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(picture), how);
            density(meta, dpi);
            writer.setOutput(file);
            writer.write(null, new IIOImage(picture, null, meta), how);
        } finally {
            writer.dispose();
        }
    }

    /** JPEG has no black and white. */
    private static BufferedImage smooth(BufferedImage picture) {
        if (picture.getColorModel().getPixelSize() > 1) {
            return picture;
        }
        var grey = new BufferedImage(picture.getWidth(), picture.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
        var drawn = grey.createGraphics();
        drawn.drawImage(picture, 0, 0, null);
        drawn.dispose();
        return grey;
    }

    /** Says how many dots stand side by side, in the words of each format's own description. */
    private void density(IIOMetadata meta, double dpi) throws IOException {
        Map<String, String> said;
        if (kind == Kind.JPEG) {
            String perInch = Long.toString(Math.round(dpi));
            said = Map.of("resUnits", "1", "Xdensity", perInch, "Ydensity", perInch);
        } else {
            String perMetre = Long.toString(Math.round(dpi / MM_PER_INCH * MM_PER_METRE));
            said = Map.of("unitSpecifier", "meter", "pixelsPerUnitXAxis", perMetre, "pixelsPerUnitYAxis", perMetre);
        }
        String form = meta.getNativeMetadataFormatName();
        Element tree = (Element) meta.getAsTree(form);
        String name = kind == Kind.JPEG ? "app0JFIF" : "pHYs";
        if (tree.getElementsByTagName(name).getLength() == 0) {
            tree.appendChild(new IIOMetadataNode(name));
        }
        Element density = (Element) tree.getElementsByTagName(name).item(0);
        said.forEach(density::setAttribute);
        meta.setFromTree(form, tree);
    }
}
