package jalon.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;

public final class Jpegs {
    private Jpegs() {}

    /** The picture after it went through a JPEG file. @param quality 0..1 */
    public static BufferedImage through(BufferedImage image, double quality) {
        try {
            return ImageIO.read(new ByteArrayInputStream(bytes(image, quality)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** As a JPEG file. @param quality 0..1 */
    public static byte[] bytes(BufferedImage image, double quality) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        var bytes = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality((float) quality);
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), how);
            out.flush();
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
    }
}
