package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jalon.core.page.Box;
import jalon.core.page.PageFile;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.stream.Destination;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.SchemaFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Element;

/** The forms beside PDF in which a document is filed. */
class FormsTest {
    @TempDir
    Path folder;

    /** A heading, a paragraph of two lines, and a second column beside them. */
    private static final List<Word> WORDS = List.of(
            new Word("Notice", new Box(20, 20, 30, 8), 0.95, 0),
            new Word("The", new Box(20, 40, 8, 4), 0.9, 1),
            new Word("berth", new Box(30, 40, 12, 4), 0.8, 1),
            new Word("is", new Box(20, 46, 4, 4), 0.9, 2),
            new Word("free.\u0001<&", new Box(26, 46, 10, 4), 0.9, 2),
            new Word("Yours", new Box(20, 70, 12, 4), 0.9, 3),
            new Word("Right", new Box(120, 40, 12, 4), 0.9, 4));

    private static FiledDocument document(int... turns) {
        List<PageFacts> pages = new ArrayList<>();
        for (int turn : turns) {
            pages.add(SearchablePdfTest.facts(pages.size() + 1, 0, turn, WORDS.toArray(Word[]::new)));
        }
        return SearchablePdfTest.document(pages);
    }

    private static byte[] written(OutputFormat form, FiledDocument document) throws Exception {
        var out = new ByteArrayOutputStream();
        form.write(
                document,
                SearchablePdfTest.images(p -> SearchablePdfTest.scan(
                        switch (p.no()) {
                            case 1 -> BufferedImage.TYPE_BYTE_BINARY;
                            case 2 -> BufferedImage.TYPE_BYTE_GRAY;
                            default -> BufferedImage.TYPE_3BYTE_BGR;
                        },
                        Optional.empty())),
                out);
        return out.toByteArray();
    }

    private static Element parsed(byte[] xml) throws Exception {
        var factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(xml)).getDocumentElement();
    }

    @Test
    void textStandsInReadingOrderParagraphByParagraph() throws Exception {
        String page = "Notice\n\nThe berth\nis free.\u0001<&\n\nYours\n\nRight\n";
        assertThat(new String(written(new PlainText(), document(0, 0)), StandardCharsets.UTF_8))
                .isEqualTo(page + "\f" + page);
    }

    @Test
    void theXmlKeepsItsPublishedSchema() throws Exception {
        byte[] xml = written(new XmlData(), document(0, 90));
        SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI)
                .newSchema(Path.of("../docs/schemas/document.xsd").toFile())
                .newValidator()
                .validate(new StreamSource(new ByteArrayInputStream(xml)));
        Element document = parsed(xml);
        assertThat(document.getElementsByTagName("field").item(0).getTextContent())
                .isEqualTo("PM-4821-K <b>");
        assertThat(document.getElementsByTagName("page").getLength()).isEqualTo(2);
    }

    @Test
    void altoHasEachWordWithItsPlaceAndCertainty() throws Exception {
        Element alto = parsed(written(new Alto(), document(0, 90)));
        assertThat(alto.getElementsByTagName("MeasurementUnit").item(0).getTextContent())
                .isEqualTo("mm10");
        assertThat(alto.getElementsByTagName("Page").getLength()).isEqualTo(2);
        assertThat(alto.getElementsByTagName("TextBlock").getLength()).isEqualTo(8);
        Element berth = (Element) alto.getElementsByTagName("String").item(2);
        assertThat(berth.getAttribute("CONTENT")).isEqualTo("berth");
        assertThat(Double.parseDouble(berth.getAttribute("HPOS"))).isEqualTo(300, within(0.01));
        assertThat(Double.parseDouble(berth.getAttribute("WC"))).isEqualTo(0.8, within(0.01));
        assertThat(((Element) alto.getElementsByTagName("Page").item(1)).getAttribute("WIDTH"))
                .isEqualTo("2970.00");
    }

    @Test
    void theTiffHasAllPagesUprightWithoutLoss() throws Exception {
        FiledDocument document = document(0, 0, 90);
        Path tiff = Files.write(folder.resolve("a.tif"), written(new TiffPages(), document));
        try (PageFile pages = PageFile.open(tiff)) {
            assertThat(pages.pageCount()).isEqualTo(3);
            for (int i = 0; i < 3; i++) {
                Scan page = pages.page(i);
                assertThat(page.dpi()).isEqualTo(100, within(0.01));
                boolean turned = i == 2;
                BufferedImage image = page.image();
                assertThat(image.getWidth() > image.getHeight()).isEqualTo(turned);
                BufferedImage source = jalon.core.Pictures.page(
                        100,
                        0,
                        List.of(
                                        BufferedImage.TYPE_BYTE_BINARY,
                                        BufferedImage.TYPE_BYTE_GRAY,
                                        BufferedImage.TYPE_3BYTE_BGR)
                                .get(i),
                        jalon.core.Pictures::letter);
                for (int y = 0; y < source.getHeight(); y += 7) {
                    for (int x = 0; x < source.getWidth(); x += 3) {
                        int rgb = turned ? image.getRGB(source.getHeight() - 1 - y, x) : image.getRGB(x, y);
                        assertThat(rgb).isEqualTo(source.getRGB(x, y));
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Destination.Format.class,
            names = {"PNG", "JPEG"})
    void eachPageIsAPictureOfItsOwnUprightAndAsLargeAsThePaper(Destination.Format format) throws Exception {
        FiledDocument document = document(0, 0, 90);
        List<DocumentWriter.Target> targets =
                DocumentWriter.targets(folder, "Berth 1", document, List.of(format, Destination.Format.JSON));
        assertThat(targets).hasSize(4);
        String ending = OutputFormat.of(format).ending();
        assertThat(targets.get(2).file()).hasFileName("Berth 1 p003" + ending);
        assertThat(OutputFormat.withoutEnding("Berth 1 p003" + ending)).isEqualTo("Berth 1");
        for (int part = 1; part <= 3; part++) {
            Path file = targets.get(part - 1).file();
            Files.write(file, written(OutputFormat.of(format), document.only(part)));
            try (PageFile pages = PageFile.open(file)) {
                Scan page = pages.page(0);
                assertThat(page.dpi()).as("page %d", part).isEqualTo(100, within(0.1));
                assertThat(page.image().getWidth() > page.image().getHeight()).isEqualTo(part == 3);
            }
        }
        assertThat(OutputFormat.withoutEnding("Berth p003.pdf")).isEqualTo("Berth p003");
    }

    @Test
    void aFilesFormIsToldByItsLongestEnding() {
        for (Destination.Format format : Destination.Format.values()) {
            String ending = OutputFormat.of(format).ending();
            assertThat(OutputFormat.endingOf("Berth 1" + ending)).isEqualTo(ending);
        }
    }
}
