package jalon.bench.paper;

import jalon.core.image.GrayPlane;
import jalon.core.image.ImageFacts;
import jalon.core.image.PageCheck;
import jalon.core.page.Scan;
import jalon.core.page.Sha256;
import jalon.core.read.PageFacts;
import jalon.core.read.ReadPage;
import jalon.core.text.TesseractReader;
import jalon.core.text.TextReader;
import jalon.core.text.TextReaders;
import jalon.demo.Scanner;
import jalon.demo.Sheet;
import jalon.demo.Wear;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import tools.jackson.databind.json.JsonMapper;

/**
 * Scans sheets with wear and reads them as Jalon does. Readings are kept in a folder by the hash of the picture, so that a
 * bench that is run again reads only what is new; empty the folder after a change to reading.
 */
public final class ReadPaper {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String MODEL = "eng";

    private final TextReaders readers = new TextReaders(2, TesseractReader::open);
    private final Path kept;

    public ReadPaper(Path kept) throws IOException {
        this.kept = Files.createDirectories(kept);
    }

    /** How a page came through: the resolution and what was done to it, by chance. */
    public static BufferedImage worn(Sheet sheet, int dpi, Random r) {
        int kind = r.nextInt(10);
        Scanner.Mode mode = kind < 3 ? Scanner.Mode.BITONAL : Scanner.Mode.GREY;
        BufferedImage page = Scanner.scan(sheet, Scanner.Setting.feeder(mode, dpi, r), r);
        return switch (mode == Scanner.Mode.BITONAL ? 9 : r.nextInt(9)) {
            case 0 -> Wear.faded(page, 0.3 + 0.3 * r.nextDouble());
            case 1 -> Wear.blurred(page, dpi, 0.05 + 0.08 * r.nextDouble());
            case 2 -> Wear.shaded(page, 0.25 + 0.25 * r.nextDouble());
            case 3 -> Wear.draw(page, dpi, g -> Wear.specks(g, 3, 210, 297, r));
            default -> page;
        };
    }

    public PageFacts read(Sheet sheet, int no, Random r) {
        int dpi = r.nextInt(3) == 0 ? 150 : 200;
        return read(worn(sheet, dpi, r), dpi, no);
    }

    /** A sheet of A5, its print in the upper left of the drawing. */
    public PageFacts readNarrow(Sheet sheet, int no, Random r) {
        int dpi = r.nextInt(3) == 0 ? 150 : 200;
        BufferedImage page = worn(sheet, dpi, r);
        int w = (int) (148 * dpi / 25.4);
        int h = (int) (210 * dpi / 25.4);
        BufferedImage cut = new BufferedImage(w, h, BufferedImage.TYPE_BYTE_GRAY);
        cut.createGraphics().drawImage(page, 0, 0, null);
        return read(cut, dpi, no);
    }

    /** The layout is quick to see again, and what is seen of it changes more often than what is read. */
    private static PageFacts withLayout(PageFacts kept, BufferedImage image, int dpi) {
        GrayPlane received = GrayPlane.of(image, dpi);
        boolean bitonal = image.getColorModel().getPixelSize() == 1;
        ImageFacts i = kept.image();
        var layout = PageCheck.of(received, received.small(), bitonal).layout(i.rotation(), i.skewDegrees());
        var facts = new ImageFacts(
                i.size(), i.density(), i.pose(), i.inkShare(), i.measured(), i.coloured(), i.readThrough(), layout);
        return new PageFacts(kept.no(), kept.file(), kept.filePage(), kept.sha256(), facts, kept.marks(), kept.words());
    }

    public PageFacts read(BufferedImage image, int dpi, int no) {
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        try {
            Path file = kept.resolve(
                    Sha256.of(new java.io.ByteArrayInputStream(pixels)).substring(0, 24) + ".json.gz");
            if (Files.exists(file)) {
                try (var in = new GZIPInputStream(Files.newInputStream(file))) {
                    return withLayout(JSON.readValue(in, PageFacts.class).numbered(no), image, dpi);
                }
            }
            PageFacts facts;
            try (TextReader reader = readers.borrow(MODEL)) {
                facts = ReadPage.read(
                        new Scan(image, dpi, true, java.util.List.of()),
                        new ReadPage.Origin(no, "bench.tif", no, "00".repeat(32)),
                        reader);
            }
            Path part = Files.createTempFile(kept, "part", ".gz");
            try (var out = new GZIPOutputStream(Files.newOutputStream(part))) {
                JSON.writeValue(out, facts);
            }
            Files.move(
                    part,
                    file,
                    java.nio.file.StandardCopyOption.ATOMIC_MOVE,
                    java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            return facts;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
