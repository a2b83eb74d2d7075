package jalon.core.page;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageInputStream;
import org.w3c.dom.NodeList;

/** A JPEG or PNG file: one page. */
final class PicturePages implements PageFile {
    private final Path file;
    private final TiffTags exif;

    private PicturePages(Path file, TiffTags exif) {
        this.file = file;
        this.exif = exif;
    }

    static PageFile open(Path file) throws UnreadableFile {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            ImageReader reader = readerFor(in);
            try {
                PageSize.check(reader.getWidth(0), reader.getHeight(0));
            } finally {
                reader.dispose();
            }
            return new PicturePages(file, TiffTags.ofJpeg(file));
        } catch (IOException | RuntimeException e) {
            throw damaged(e);
        }
    }

    @Override
    public int pageCount() {
        return 1;
    }

    @Override
    public Scan page(int index) throws UnreadableFile {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            ImageReader reader = readerFor(in);
            try {
                var warnings = new Warnings();
                reader.addIIOReadWarningListener(warnings);
                boolean jpeg = reader.getFormatName().equalsIgnoreCase("jpeg");
                Optional<BufferedImage> bitonal =
                        jpeg ? Optional.empty() : BitonalPng.decoded(Files.readAllBytes(file));
                BufferedImage image = bitonal.isPresent() ? bitonal.get() : reader.read(0);
                if (warnings.cutShort) {
                    throw new UnreadableFile(Unread.Code.PICTURE_ENDS.with());
                }
                Resolution resolution =
                        statedResolution(reader.getImageMetadata(0), image.getWidth(), image.getHeight(), jpeg);
                BufferedImage square = Pixels.square(image, resolution);
                double dpi = Math.max(resolution.x(), resolution.y());
                return new Scan(exif.orientation().apply(square), dpi, resolution.stated(), List.of());
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw damaged(e);
        }
    }

    @Override
    public Optional<Encoded> asIs(int index) throws UnreadableFile {
        try {
            byte[] bytes = Files.readAllBytes(file);
            boolean jpeg = FileKind.of(bytes) == FileKind.JPEG;
            return jpeg && exif.orientation().turnOnly()
                    ? JpegHeader.asIs(bytes, exif.orientation().turn())
                    : Optional.empty();
        } catch (IOException e) {
            throw damaged(e);
        }
    }

    private static ImageReader readerFor(ImageInputStream in) throws IOException {
        var readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
            throw new IOException("no reader for this picture");
        }
        ImageReader reader = readers.next();
        reader.setInput(in, true, false);
        return reader;
    }

    private Resolution statedResolution(IIOMetadata metadata, int width, int height, boolean jpeg) {
        double x = 0;
        double y = 0;
        // The standard metadata of Java's JPEG plug-ins mistakes the unit; the native JFIF node has it plainly.
        if (jpeg && metadata.getNativeMetadataFormatName() != null) {
            var root = (IIOMetadataNode) metadata.getAsTree(metadata.getNativeMetadataFormatName());
            NodeList jfif = root.getElementsByTagName("app0JFIF");
            if (jfif.getLength() > 0) {
                var node = (IIOMetadataNode) jfif.item(0);
                double perUnit = switch (node.getAttribute("resUnits")) {
                    case "1" -> 1;
                    case "2" -> 2.54;
                    default -> 0;
                };
                x = number(node.getAttribute("Xdensity")) * perUnit;
                y = number(node.getAttribute("Ydensity")) * perUnit;
            }
            if (x == 0 || y == 0) {
                x = exif.perInch(TiffTags.X_RESOLUTION);
                y = exif.perInch(TiffTags.Y_RESOLUTION);
            }
        } else {
            var root = (IIOMetadataNode) metadata.getAsTree("javax_imageio_1.0");
            x = Millimetres.dpi(Math.max(valueOf(root, "HorizontalPixelSize"), 1e-9));
            y = Millimetres.dpi(Math.max(valueOf(root, "VerticalPixelSize"), 1e-9));
        }
        return Resolution.of(x, y, width, height);
    }

    private static double valueOf(IIOMetadataNode root, String name) {
        NodeList nodes = root.getElementsByTagName(name);
        return nodes.getLength() == 0 ? 0 : number(((IIOMetadataNode) nodes.item(0)).getAttribute("value"));
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            return 0;
        }
    }

    private static UnreadableFile damaged(Exception e) {
        return new UnreadableFile(Unread.Code.PICTURE_DAMAGED.with(), e);
    }

    @Override
    public void close() {
        // Nothing is held open between pages.
    }

    /** Java's JPEG reader only warns when the data ends early and fills the rest with grey. */
    private static final class Warnings implements IIOReadWarningListener {
        private boolean cutShort;

        @Override
        public void warningOccurred(ImageReader source, String warning) {
            String words = warning.toLowerCase(java.util.Locale.ROOT);
            cutShort |= words.contains("premature") || words.contains("truncated") || words.contains("eoi");
        }
    }
}
