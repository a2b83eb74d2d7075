package jalon.core.page;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;

/** A TIFF file: one page for each directory. */
final class TiffPages implements PageFile {
    private static final int G4 = 4;

    /**
     * Compressions that Java's own reader handles (none, G3, G4, LZW, JPEG, deflate, PackBits). On 8-bit grey, RGB and
     * bitonal pages it is about twice as quick as TwelveMonkeys', which is right on everything else.
     */
    private static final Set<Long> JAVAS_OWN = Set.of(1L, 2L, 3L, 4L, 5L, 8L, 32946L, 32773L);

    private final FileChannel file;
    private final List<TiffDirectory> directories;

    private TiffPages(FileChannel file, List<TiffDirectory> directories) {
        this.file = file;
        this.directories = directories;
    }

    static PageFile open(Path path) throws UnreadableFile {
        try {
            FileChannel file = FileChannel.open(path);
            try {
                List<TiffDirectory> directories = TiffDirectory.readAll(file);
                if (directories.stream().noneMatch(d -> d.tags().value(TiffTags.WIDTH, 0) > 0)) {
                    throw new UnreadableFile(Unread.Code.NO_PAGE.with());
                }
                return new TiffPages(file, directories);
            } catch (IOException | UnreadableFile | RuntimeException e) {
                file.close();
                throw e;
            }
        } catch (IOException | RuntimeException e) {
            throw new UnreadableFile(Unread.Code.TIFF_DAMAGED.with(), e);
        }
    }

    @Override
    public int pageCount() {
        return directories.size();
    }

    @Override
    public Scan page(int index) throws UnreadableFile {
        TiffDirectory page = directories.get(index);
        if (page.loss() != null) {
            throw new UnreadableFile(page.loss());
        }
        if (!page.tags().has(TiffTags.WIDTH)) {
            throw new UnreadableFile(Unread.Code.TIFF_PAGE_DAMAGED.with(index + 1));
        }
        try {
            PageSize.check(page.tags().value(TiffTags.WIDTH, 0), page.tags().value(TiffTags.HEIGHT, 0));
            if (!page.wholeIn(file.size())) {
                throw new UnreadableFile(Unread.Code.TIFF_PAGE_CUT_SHORT.with(index + 1));
            }
            BufferedImage image = decode(page);
            Resolution resolution = Resolution.of(
                    page.tags().perInch(TiffTags.X_RESOLUTION),
                    page.tags().perInch(TiffTags.Y_RESOLUTION),
                    image.getWidth(),
                    image.getHeight());
            var orientation = page.tags().orientation();
            BufferedImage shown = orientation.apply(Pixels.square(image, resolution));
            return new Scan(shown, Math.max(resolution.x(), resolution.y()), resolution.stated(), List.of());
        } catch (IOException | RuntimeException e) {
            throw new UnreadableFile(Unread.Code.TIFF_PAGE_DAMAGED.with(index + 1), e);
        }
    }

    private BufferedImage decode(TiffDirectory page) throws IOException {
        boolean plain = !page.big()
                && JAVAS_OWN.contains(page.tags().value(TiffTags.COMPRESSION, 1))
                && page.tags().value(TiffTags.PHOTOMETRIC, 0) <= 2
                && (page.tags().value(TiffTags.BITS_PER_SAMPLE, 1) == 1
                        || page.tags().value(TiffTags.BITS_PER_SAMPLE, 1) == 8)
                && (page.tags().value(TiffTags.SAMPLES_PER_PIXEL, 1) == 1
                        || page.tags().value(TiffTags.SAMPLES_PER_PIXEL, 1) == 3);
        ImageReader reader = reader(plain);
        try (var alone = new LonePage(file, page.at(), page.nextAt(), page.big())) {
            reader.setInput(alone, false, true);
            return reader.read(0);
        } finally {
            reader.dispose();
        }
    }

    private static ImageReader reader(boolean javasOwn) {
        ImageReader last = null;
        for (Iterator<ImageReader> all = ImageIO.getImageReadersByFormatName("tiff"); all.hasNext(); ) {
            last = all.next();
            if (last.getClass().getName().startsWith("com.sun.") == javasOwn) {
                return last;
            }
        }
        throw new IllegalStateException("no TIFF reader among the image plug-ins, but " + last);
    }

    /** One strip of G4 in the usual polarity and bit order is just what a PDF holds. */
    @Override
    public Optional<Encoded> asIs(int index) throws UnreadableFile {
        TiffDirectory page = directories.get(index);
        var orientation = page.tags().orientation();
        boolean oneStripG4 = page.tags().value(TiffTags.COMPRESSION, 1) == G4
                && page.tags().values(TiffTags.STRIP_OFFSETS).length == 1
                && page.tags().value(TiffTags.FILL_ORDER, 1) == 1
                && page.tags().value(TiffTags.PHOTOMETRIC, 0) == 0
                && page.tags().value(TiffTags.T6_OPTIONS, 0) == 0
                && orientation.turnOnly();
        if (!oneStripG4) {
            return Optional.empty();
        }
        ByteBuffer strip = ByteBuffer.allocate((int) page.tags().value(TiffTags.STRIP_BYTE_COUNTS, 0));
        long offset = page.tags().value(TiffTags.STRIP_OFFSETS, 0);
        try {
            while (strip.hasRemaining()) {
                if (file.read(strip, offset + strip.position()) < 0) {
                    throw new UnreadableFile(Unread.Code.TIFF_PAGE_CUT_SHORT.with(index + 1));
                }
            }
        } catch (IOException e) {
            throw new UnreadableFile(Unread.Code.TIFF_PAGE_DAMAGED.with(index + 1), e);
        }
        return Optional.of(new Encoded(
                Encoded.Kind.G4,
                strip.array(),
                (int) page.tags().value(TiffTags.WIDTH, 0),
                (int) page.tags().value(TiffTags.HEIGHT, 0),
                orientation.turn(),
                true));
    }

    @Override
    public void close() throws IOException {
        file.close();
    }
}
