package jalon.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.twelvemonkeys.imageio.metadata.tiff.Rational;
import com.twelvemonkeys.imageio.metadata.tiff.TIFF;
import com.twelvemonkeys.imageio.metadata.tiff.TIFFEntry;
import com.twelvemonkeys.imageio.metadata.tiff.TIFFWriter;
import jalon.core.Pictures;
import jalon.demo.Hostile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Iterator;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PageFileTest {
    @TempDir
    Path folder;

    @Test
    void blackAndWhitePngIsDecodedToTheLastPixelOfOddRows() throws Exception {
        var drawn = new BufferedImage(1003, 471, BufferedImage.TYPE_BYTE_BINARY);
        var random = new java.util.Random(3);
        for (int y = 0; y < drawn.getHeight(); y++) {
            for (int x = 0; x < drawn.getWidth(); x++) {
                drawn.setRGB(x, y, random.nextBoolean() ? 0xFFFFFF : 0);
            }
        }
        Path file = folder.resolve("bitonal.png");
        ImageIO.write(drawn, "png", file.toFile());
        assertThat(BitonalPng.decoded(Files.readAllBytes(file))).isPresent();
        try (PageFile pages = PageFile.open(file)) {
            BufferedImage seen = pages.page(0).image();
            int[] wanted = drawn.getRGB(0, 0, 1003, 471, null, 0, 1003);
            assertThat(seen.getRGB(0, 0, 1003, 471, null, 0, 1003)).isEqualTo(wanted);
        }
        byte[] cut = java.util.Arrays.copyOf(Files.readAllBytes(file), 20_000);
        assertThat(BitonalPng.decoded(cut)).isEmpty();
        assertThat(BitonalPng.decoded(seeThrough(Files.readAllBytes(file)))).isEmpty();
    }

    /** The same PNG with one of its two shades see-through. */
    private static byte[] seeThrough(byte[] png) {
        int afterHeader = 33;
        byte[] chunk = {'t', 'R', 'N', 'S', 0, 1};
        var crc = new CRC32();
        crc.update(chunk);
        return ByteBuffer.allocate(png.length + 14)
                .put(png, 0, afterHeader)
                .putInt(2)
                .put(chunk)
                .putInt((int) crc.getValue())
                .put(png, afterHeader, png.length - afterHeader)
                .array();
    }

    @ParameterizedTest
    @CsvSource({"CCITT T.6,true", "CCITT T.4,true", "LZW,false", "Deflate,false", "JPEG,false", "PackBits,true"})
    void tiffOfEveryUsualCompressionWithSeveralPages(String compression, boolean bitonal) throws Exception {
        int type = bitonal ? BufferedImage.TYPE_BYTE_BINARY : BufferedImage.TYPE_BYTE_GRAY;
        Path file = tiff("x.tif", compression, Pictures.page(100, 0, type, Pictures::letter), 3);
        try (PageFile pages = PageFile.open(file)) {
            assertThat(pages.pageCount()).isEqualTo(3);
            Scan scan = pages.page(2);
            assertThat(scan.widthMm()).isCloseTo(210, within(1.0));
            assertThat(dark(scan.image())).isBetween(0.01, 0.2);
        }
    }

    @Test
    void scannedPdfGivesItsOwnImageAndABornDigitalOneItsText() throws Exception {
        Path file = folder.resolve("mixed.pdf");
        BufferedImage scan = Pictures.page(200, 0, Pictures::letter);
        try (PDDocument pdf = new PDDocument()) {
            PDPage scanned = new PDPage(PDRectangle.A4);
            scanned.setRotation(90);
            pdf.addPage(scanned);
            try (var c = new PDPageContentStream(pdf, scanned)) {
                c.drawImage(
                        JPEGFactory.createFromImage(pdf, scan),
                        0,
                        0,
                        PDRectangle.A4.getWidth(),
                        PDRectangle.A4.getHeight());
            }
            PDPage written = new PDPage(PDRectangle.A4);
            pdf.addPage(written);
            try (var c = new PDPageContentStream(pdf, written)) {
                c.beginText();
                c.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                c.newLineAtOffset(72, 700);
                c.showText("Berth C-17");
                c.endText();
            }
            pdf.save(file.toFile());
        }
        try (PageFile pages = PageFile.open(file)) {
            Scan first = pages.page(0);
            assertThat(first.image().getWidth()).isEqualTo(scan.getHeight());
            assertThat(first.dpi()).isEqualTo(200);
            assertThat(pages.asIs(0)).get().satisfies(e -> assertThat(e.turn()).isEqualTo(90));
            Scan second = pages.page(1);
            assertThat(second.dpi()).isEqualTo(300);
            assertThat(second.ownWords()).extracting(w -> w.word().text()).containsExactly("Berth", "C-17");
            assertThat(second.ownWords().get(0).word().box().x()).isCloseTo(25.4, within(0.5));
            assertThat(second.ownWords().get(0).word().box().bottom()).isCloseTo((842 - 700) * 25.4 / 72, within(1.0));
        }
    }

    @ParameterizedTest
    @CsvSource({"1,0,0", "2,9,0", "3,9,19", "4,0,19", "5,0,0", "6,19,0", "7,19,9", "8,0,9"})
    void orientationBringsTheFirstPixelWhereTheTagSays(int tag, int x, int y) {
        // Stored 10 wide and 20 high, its first pixel black; TIFF 6.0 says for each tag which corner that is.
        BufferedImage stored = new BufferedImage(10, 20, BufferedImage.TYPE_BYTE_GRAY);
        for (int i = 0; i < 200; i++) {
            stored.getRaster().setSample(i % 10, i / 10, 0, i == 0 ? 0 : 255);
        }
        BufferedImage shown = new ExifOrientation(tag).apply(stored);
        assertThat(shown.getRaster().getSample(x, y, 0)).isZero();
        assertThat(shown.getWidth()).isEqualTo(tag < 5 ? 10 : 20);
    }

    @ParameterizedTest
    @CsvSource({"1,800", "6,1100", "42,800"})
    void whatTheExifPartOfAPhotographSaysIsFollowed(int orientation, int width) throws Exception {
        var exif = new ByteArrayOutputStream();
        try (var out = new MemoryCacheImageOutputStream(exif)) {
            new TIFFWriter()
                    .write(
                            List.of(
                                    new TIFFEntry(274, TIFF.TYPE_SHORT, orientation),
                                    new TIFFEntry(282, TIFF.TYPE_RATIONAL, new Rational(100)),
                                    new TIFFEntry(283, TIFF.TYPE_RATIONAL, new Rational(100))),
                            out);
        }
        var plain = new ByteArrayOutputStream();
        ImageIO.write(Pictures.page(100, 0, Pictures::letter).getSubimage(0, 0, 800, 1100), "jpeg", plain);
        var jpeg = new ByteArrayOutputStream();
        try (var out = new DataOutputStream(jpeg)) {
            out.write(plain.toByteArray(), 0, 2);
            out.writeShort(0xFFE1);
            out.writeShort(2 + 6 + exif.size());
            out.write("Exif\0\0".getBytes("US-ASCII"));
            exif.writeTo(out);
            out.write(plain.toByteArray(), 2, plain.size() - 2);
        }
        try (PageFile photograph = PageFile.open(write("photograph.jpg", jpeg.toByteArray()))) {
            Scan page = photograph.page(0);
            assertThat(page.image().getWidth()).isEqualTo(width);
            assertThat(page.dpiStated()).isTrue();
            assertThat(page.dpi()).isEqualTo(100);
        }
    }

    @Test
    void hostileFilesAreToldApartAndRefused() throws Exception {
        assertRefused(write("empty.tif", new byte[0]), "empty");
        assertRefused(write("letter.tif", "Dear Harbour Master".getBytes("UTF-8")), "not a TIFF");
        assertRefused(write("half.png", pngHead(400, 400)), "damaged");
        assertRefused(write("large.png", onePixelColour(30_000, 30_000)), "too large");
        assertRefused(write("broken.pdf", "%PDF-1.7\nnothing".getBytes("UTF-8")), "damaged");
        Path whole = tiff("whole.tif", "LZW", Pictures.page(100, 0, Pictures::letter), 1);
        byte[] cut = java.util.Arrays.copyOf(Files.readAllBytes(whole), (int) Files.size(whole) / 2);
        assertRefused(write("cut.tif", cut), "cut short");
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(Pictures.page(100, 0, Pictures::letter), "jpeg", jpeg);
        assertRefused(write("cut.jpg", java.util.Arrays.copyOf(jpeg.toByteArray(), jpeg.size() / 2)), "");
    }

    @Test
    void theWholePagesOfATiffThatIsCutShortAreKept() throws Exception {
        Path whole = tiff(
                "three.tif", "CCITT T.6", Pictures.page(100, 0, BufferedImage.TYPE_BYTE_BINARY, Pictures::letter), 3);
        byte[] bytes = Files.readAllBytes(whole);
        try (PageFile pages = PageFile.open(write("short.tif", java.util.Arrays.copyOf(bytes, bytes.length - 300)))) {
            assertThat(pages.pageCount()).isBetween(2, 3);
            assertThat(pages.page(0).image().getWidth()).isGreaterThan(100);
            assertThatThrownBy(() -> pages.page(pages.pageCount() - 1))
                    .isInstanceOf(UnreadableFile.class)
                    .hasMessageContaining("cut short");
        }
    }

    @Test
    void aLockedPdfAsksForOneWithoutAPassword() throws Exception {
        Path file = folder.resolve("locked.pdf");
        try (PDDocument pdf = new PDDocument()) {
            pdf.addPage(new PDPage());
            pdf.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            pdf.save(file.toFile());
        }
        assertRefused(file, "password");
    }

    private static void assertRefused(Path file, String reason) {
        assertThatThrownBy(() -> {
                    try (PageFile pages = PageFile.open(file)) {
                        pages.page(0);
                    }
                })
                .as(file.getFileName().toString())
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining(reason);
    }

    private Path write(String name, byte[] bytes) throws IOException {
        return Files.write(folder.resolve(name), bytes);
    }

    private Path tiff(String name, String compression, BufferedImage image, int pages) throws IOException {
        Path file = folder.resolve(name);
        ImageWriter writer = null;
        for (Iterator<ImageWriter> all = ImageIO.getImageWritersByFormatName("tiff"); all.hasNext(); ) {
            ImageWriter w = all.next();
            writer = w.getClass().getName().startsWith("com.sun.") ? w : writer;
        }
        try (var out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            var how = writer.getDefaultWriteParam();
            how.setCompressionMode(javax.imageio.ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionType(compression);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < pages; i++) {
                writer.writeToSequence(new IIOImage(image, null, null), how);
            }
            writer.endWriteSequence();
        } finally {
            writer.dispose();
        }
        return file;
    }

    private static double dark(BufferedImage image) {
        long dark = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                dark += (image.getRGB(x, y) & 0xFF) < 128 ? 1 : 0;
            }
        }
        return (double) dark / image.getWidth() / image.getHeight();
    }

    @ParameterizedTest
    @CsvSource({"3,1", "3,3", "1,1", "2,2"})
    void pagesBeforeAListThatLeadsBackIntoItselfComeInAndTheLossIsTold(int pages, int backTo) throws Exception {
        for (String compression : new String[] {"CCITT T.6", "LZW"}) {
            int type = compression.startsWith("C") ? BufferedImage.TYPE_BYTE_BINARY : BufferedImage.TYPE_BYTE_GRAY;
            Path file = tiff("loop.tif", compression, Pictures.page(100, 0, type, Pictures::letter), pages);
            try (FileChannel bytes = FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
                List<TiffDirectory> all = TiffDirectory.readAll(bytes);
                ByteOrder order = firstByte(file) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
                var back = ByteBuffer.allocate(4).order(order).putInt((int)
                        all.get(backTo - 1).at());
                bytes.write(back.flip(), all.get(pages - 1).nextAt());
            }
            try (PageFile read = PageFile.open(file)) {
                assertThat(read.pageCount()).isEqualTo(pages + 1);
                for (int i = 0; i < pages; i++) {
                    assertThat(dark(read.page(i).image())).isBetween(0.01, 0.2);
                }
                assertThatThrownBy(() -> read.page(pages))
                        .isInstanceOf(UnreadableFile.class)
                        .hasMessageContaining("circle after page " + pages);
            }
        }
    }

    @Test
    void aTreeOfPagesThatLeadsBackIntoItselfOrClaimsMillionsIsRefused() throws Exception {
        assertRefused(write("loop.pdf", Hostile.loopingPagesPdf()), "holds no page");
        try (PageFile one = PageFile.open(write("claims.pdf", Hostile.boastingPdf()))) {
            assertThat(one.pageCount()).isEqualTo(1);
        }
    }

    @Test
    void aDamagedPageInTheMiddleCostsNoOther() throws Exception {
        Path file = tiff("middle.tif", "LZW", Pictures.page(100, 0, Pictures::letter), 3);
        try (FileChannel bytes = FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
            TiffDirectory middle = TiffDirectory.readAll(bytes).get(1);
            // All that its tags say lies beyond the end of the file.
            for (long at = middle.at() + 2; at < middle.nextAt(); at += 12) {
                bytes.write(ByteBuffer.wrap(new byte[] {0x7F, 0x7F, 0x7F, 0x7F}), at + 8);
            }
        }
        try (PageFile read = PageFile.open(file)) {
            assertThat(read.pageCount()).isEqualTo(3);
            assertThat(dark(read.page(0).image())).isBetween(0.01, 0.2);
            assertThatThrownBy(() -> read.page(1)).isInstanceOf(UnreadableFile.class);
            assertThat(dark(read.page(2).image())).isBetween(0.01, 0.2);
        }
    }

    private static int firstByte(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return in.read();
        }
    }

    private static byte[] pngHead(int w, int h) throws IOException {
        return java.util.Arrays.copyOf(onePixelColour(w, h), 60);
    }

    /** A bitonal PNG of one colour: a few kB whatever its size. */
    private static byte[] onePixelColour(int w, int h) throws IOException {
        var bytes = new ByteArrayOutputStream();
        var out = new DataOutputStream(bytes);
        out.writeLong(0x89504E470D0A1A0AL);
        ByteBuffer head =
                ByteBuffer.allocate(13).putInt(w).putInt(h).put((byte) 1).put((byte) 0);
        chunk(out, "IHDR", head.array());
        var data = new ByteArrayOutputStream();
        try (var deflate = new DeflaterOutputStream(data)) {
            byte[] row = new byte[1 + (w + 7) / 8];
            for (int y = 0; y < h; y++) {
                deflate.write(row);
            }
        }
        chunk(out, "IDAT", data.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return bytes.toByteArray();
    }

    private static void chunk(DataOutputStream out, String type, byte[] data) throws IOException {
        out.writeInt(data.length);
        byte[] name = type.getBytes("US-ASCII");
        CRC32 crc = new CRC32();
        crc.update(name);
        crc.update(data);
        out.write(name);
        out.write(data);
        out.writeInt((int) crc.getValue());
    }
}
