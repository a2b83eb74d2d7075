package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.Pictures;
import jalon.core.image.ImageFacts;
import jalon.core.page.Box;
import jalon.core.page.Encoded;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;

class SearchablePdfTest {
    private static final String HARD = "Größe Ω 漢字 🚢 <&>";

    @TempDir
    Path folder;

    @BeforeAll
    static void validator() {
        VeraGreenfieldFoundryProvider.initialise();
    }

    @Test
    void everyKindOfPageIsValidPdfA() throws Exception {
        Path pdf = write(
                List.of(
                        facts(1, 0, 0, new Word(HARD, new Box(30, 40, 60, 5), 0.9, 0)),
                        facts(2, 2, 0, new Word("PM-4821-K", new Box(30, 40, 30, 4), 0.9, 0)),
                        facts(3, 0, 90, new Word("turned", new Box(30, 40, 30, 4), 0.9, 0)),
                        facts(4, 0, 0)),
                p -> switch (p.no()) {
                    case 1 -> scan(BufferedImage.TYPE_BYTE_BINARY, Optional.empty());
                    case 2 -> scan(BufferedImage.TYPE_BYTE_GRAY, Optional.empty());
                    case 3 -> scan(BufferedImage.TYPE_3BYTE_BGR, Optional.of(jpeg()));
                    default -> scan(BufferedImage.TYPE_3BYTE_BGR, Optional.empty());
                });
        isValid(pdf, PDFAFlavour.PDFA_2_U);
    }

    @Test
    void inLayersItIsValidPdfATakesLessRoomAndLooksTheSame() throws Exception {
        int dpi = 200;
        BufferedImage picture = Pictures.page(dpi, 0, BufferedImage.TYPE_3BYTE_BGR, Pictures::letter);
        var noise = new Random(1);
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                if (picture.getRGB(x, y) == -1) {
                    int level = 240 + noise.nextInt(12);
                    picture.setRGB(x, y, level << 16 | level << 8 | level);
                }
            }
        }
        PageImages images = new PageImages() {
            @Override
            public Optional<Encoded> asIs(PageFacts page) {
                return Optional.empty();
            }

            @Override
            public Scan scan(PageFacts page) {
                return new Scan(picture, dpi, true, List.of());
            }
        };
        FiledDocument document = document(List.of(facts(1, 0, 0, new Word("Dues", new Box(25, 37, 10, 4), 0.9, 0))));
        Path whole = folder.resolve("whole.pdf");
        Path compact = folder.resolve("compact.pdf");
        for (var form : Map.of(whole, new SearchablePdf(false, false), compact, new SearchablePdf(false, true))
                .entrySet()) {
            try (var out = Files.newOutputStream(form.getKey())) {
                form.getValue().write(document, images, out);
            }
        }
        isValid(compact, PDFAFlavour.PDFA_2_U);
        assertThat(Files.size(compact)).isLessThan(Files.size(whole) / 5);
        try (var pdf = Loader.loadPDF(compact.toFile())) {
            BufferedImage shown = new PDFRenderer(pdf).renderImageWithDPI(0, dpi);
            int off = 0;
            for (int y = 0; y < Math.min(picture.getHeight(), shown.getHeight()); y += 2) {
                for (int x = 0; x < Math.min(picture.getWidth(), shown.getWidth()); x += 2) {
                    int was = picture.getRGB(x, y) >> 8 & 0xFF;
                    int is = shown.getRGB(x, y) >> 8 & 0xFF;
                    off += was < 60 && is > 150 || was > 220 && is < 120 ? 1 : 0;
                }
            }
            assertThat(off).as("points of print that are not where they were").isLessThan(60);
        }
    }

    private static void isValid(Path pdf, PDFAFlavour flavour) throws Exception {
        try (InputStream in = Files.newInputStream(pdf);
                var parser = Foundries.defaultInstance().createParser(in, flavour);
                var validator = Foundries.defaultInstance().createValidator(flavour, false)) {
            var result = validator.validate(parser);
            assertThat(result.getTestAssertions()).isEmpty();
            assertThat(result.isCompliant()).isTrue();
        }
    }

    @Test
    void withItsDataItIsValidPdfA3AndTheDataIsThatOfTheJson() throws Exception {
        FiledDocument document = document(List.of(facts(1, 0, 0, new Word(HARD, new Box(30, 40, 60, 5), 0.9, 0))));
        Path file = write(
                new SearchablePdf(true, false), document, p -> scan(BufferedImage.TYPE_BYTE_GRAY, Optional.empty()));
        isValid(file, PDFAFlavour.PDFA_3_U);
        try (var pdf = Loader.loadPDF(file.toFile())) {
            var data = pdf.getDocumentCatalog()
                    .getNames()
                    .getEmbeddedFiles()
                    .getNames()
                    .get("data.json");
            assertThat(data.getEmbeddedFile().toByteArray()).isEqualTo(JsonData.bytes(document));
        }
    }

    @Test
    void wordsStandWhereTheyArePrintedAndAnyCharacterComesBack() throws Exception {
        Path pdf = write(
                List.of(facts(
                        1,
                        0,
                        0,
                        new Word("PM-4821-K", new Box(30, 40, 33, 4), 0.9, 0),
                        new Word("🚢Größe漢", new Box(120, 200, 40, 5), 0.9, 1))),
                p -> scan(BufferedImage.TYPE_BYTE_BINARY, Optional.empty()));
        Process text = new ProcessBuilder("pdftotext", "-bbox", pdf.toString(), "-").start();
        String out = new String(text.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        Matcher m = Pattern.compile(
                        "xMin=\"([\\d.]+)\" yMin=\"([\\d.]+)\" xMax=\"([\\d.]+)\" yMax=\"([\\d.]+)\">([^<]*)<")
                .matcher(out);
        List<String> words = new ArrayList<>();
        while (m.find()) {
            words.add(m.group(5));
            Box wanted = words.size() == 1 ? new Box(30, 40, 33, 4) : new Box(120, 200, 40, 5);
            double mm = 25.4 / 72;
            assertThat(Double.parseDouble(m.group(1)) * mm).isCloseTo(wanted.x(), within(0.1));
            assertThat(Double.parseDouble(m.group(2)) * mm).isCloseTo(wanted.y(), within(0.1));
            assertThat(Double.parseDouble(m.group(3)) * mm).isCloseTo(wanted.right(), within(0.1));
            assertThat(Double.parseDouble(m.group(4)) * mm).isCloseTo(wanted.bottom(), within(0.1));
        }
        assertThat(words).containsExactly("PM-4821-K", "🚢Größe漢");
    }

    @Test
    void aJpegGoesInUntouchedAndTheFieldsGoAlong() throws Exception {
        Encoded jpeg = jpeg();
        Path file = write(List.of(facts(1, 0, 0)), p -> scan(BufferedImage.TYPE_3BYTE_BGR, Optional.of(jpeg)));
        try (var pdf = Loader.loadPDF(file.toFile())) {
            var resources = pdf.getPage(0).getResources();
            var image =
                    resources.getXObject(resources.getXObjectNames().iterator().next());
            assertThat(image.getCOSObject().getFilters()).isEqualTo(COSName.DCT_DECODE);
            assertThat(image.getCOSObject().createRawInputStream().readAllBytes())
                    .isEqualTo(jpeg.bytes());
            assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("A title & more");
            String xmp = new String(
                    pdf.getDocumentCatalog().getMetadata().exportXMPMetadata().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(xmp).contains("<jalon:vessel>PM-4821-K &lt;b&gt;</jalon:vessel>");
        }
    }

    @Test
    void theSameDocumentIsTheSameFile() throws Exception {
        byte[] first = Files.readAllBytes(
                write(List.of(facts(1, 0, 0)), p -> scan(BufferedImage.TYPE_BYTE_GRAY, Optional.empty())));
        byte[] second = Files.readAllBytes(
                write(List.of(facts(1, 0, 0)), p -> scan(BufferedImage.TYPE_BYTE_GRAY, Optional.empty())));
        assertThat(second).isEqualTo(first);
    }

    private Path write(List<PageFacts> pages, Function<PageFacts, Picture> pictures) throws Exception {
        return write(new SearchablePdf(false, false), document(pages), pictures);
    }

    private Path write(SearchablePdf form, FiledDocument document, Function<PageFacts, Picture> pictures)
            throws Exception {
        Path file = File.createTempFile("out", ".pdf", folder.toFile()).toPath();
        try (var out = Files.newOutputStream(file)) {
            form.write(document, images(pictures), out);
        }
        return file;
    }

    static FiledDocument document(List<PageFacts> pages) {
        return new FiledDocument(
                "A title & more",
                new FiledDocument.Origin("letters", "dues", "B-0001", 1),
                Map.of("vessel", "PM-4821-K <b>"),
                pages,
                Map.of(),
                Instant.parse("2026-11-23T10:00:00Z"));
    }

    static PageFacts facts(int no, double skew, int rotation, Word... words) {
        boolean sideways = rotation % 180 != 0;
        var image = new ImageFacts(
                sideways ? new ImageFacts.Size(297, 210) : new ImageFacts.Size(210, 297),
                new ImageFacts.Density(100, true),
                new ImageFacts.Pose(skew, rotation),
                0.01,
                List.of(),
                List.of(),
                List.of(),
                null);
        return new PageFacts(no, "x", no, "ab".repeat(32), image, List.of(), List.of(words));
    }

    record Picture(int type, Optional<Encoded> encoded) {}

    static Picture scan(int type, Optional<Encoded> encoded) {
        return new Picture(type, encoded);
    }

    static PageImages images(Function<PageFacts, Picture> pictures) {
        return new PageImages() {
            @Override
            public Optional<Encoded> asIs(PageFacts page) {
                return pictures.apply(page).encoded();
            }

            @Override
            public Scan scan(PageFacts page) {
                int type = pictures.apply(page).type();
                return new Scan(Pictures.page(100, 0, type, Pictures::letter), 100, true, List.of());
            }
        };
    }

    private static Encoded jpeg() {
        try {
            var bytes = new ByteArrayOutputStream();
            BufferedImage image = Pictures.page(100, 0, BufferedImage.TYPE_3BYTE_BGR, Pictures::letter);
            ImageIO.write(image, "jpeg", bytes);
            return new Encoded(Encoded.Kind.JPEG, bytes.toByteArray(), image.getWidth(), image.getHeight(), 0, false);
        } catch (java.io.IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
