package jalon.core.output;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.io.OutputStream;
import java.util.List;
import javax.xml.stream.XMLStreamException;

/**
 * Each word with its place and certainty, as ALTO 4.2 (Library of Congress), in tenths of a millimetre on the pages as they
 * are filed; blocks are paragraphs.
 */
record Alto() implements OutputFormat {
    private static final String NAMESPACE = "http://www.loc.gov/standards/alto/ns-v4#";
    private static final double PER_MM = 10;

    @Override
    public String ending() {
        return ".alto.xml";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) {
        XmlText.write(
                out,
                xml -> xml.element(
                        "alto",
                        a -> a.element("Description", d -> describe(d, document))
                                .element("Layout", layout -> {
                                    int no = 0;
                                    for (PageFacts page : document.pages()) {
                                        no++;
                                        page(layout, document.asFiled(page), no);
                                    }
                                }),
                        "xmlns",
                        NAMESPACE,
                        "xmlns:xsi",
                        "http://www.w3.org/2001/XMLSchema-instance",
                        "xsi:schemaLocation",
                        NAMESPACE + " http://www.loc.gov/standards/alto/v4/alto-4-2.xsd"));
    }

    private static void describe(XmlText xml, FiledDocument document) throws XMLStreamException {
        xml.text("MeasurementUnit", "mm10")
                .element(
                        "sourceImageInformation",
                        source ->
                                source.text("fileName", document.pages().get(0).file()))
                .element(
                        "Processing",
                        p -> p.text("processingDateTime", document.at().toString())
                                .element("processingSoftware", s -> s.text("softwareName", "Jalon")),
                        "ID",
                        "read");
    }

    private static Object[] with(Box box, Object... more) {
        List<Object> all = new java.util.ArrayList<>(List.of(
                "HPOS",
                box.x() * PER_MM,
                "VPOS",
                box.y() * PER_MM,
                "WIDTH",
                box.width() * PER_MM,
                "HEIGHT",
                box.height() * PER_MM));
        all.addAll(List.of(more));
        return all.toArray();
    }

    private static void page(XmlText xml, PageFacts page, int no) throws XMLStreamException {
        double width = page.image().widthMm();
        double height = page.image().heightMm();
        String id = "p" + no;
        xml.element(
                "Page",
                p -> p.element(
                        "PrintSpace",
                        space -> {
                            int block = 0;
                            for (Paragraph paragraph : Paragraph.of(page)) {
                                block++;
                                block(space, paragraph, id + "b" + block);
                            }
                        },
                        with(new Box(0, 0, width, height))),
                "ID",
                id,
                "PHYSICAL_IMG_NR",
                no,
                "WIDTH",
                width * PER_MM,
                "HEIGHT",
                height * PER_MM);
    }

    private static void block(XmlText xml, Paragraph paragraph, String id) throws XMLStreamException {
        xml.element(
                "TextBlock",
                block -> {
                    int no = 0;
                    for (Line line : paragraph.lines()) {
                        no++;
                        block.element(
                                "TextLine", words -> words(words, line.words()), with(line.box(), "ID", id + "l" + no));
                    }
                },
                with(paragraph.box(), "ID", id));
    }

    private static void words(XmlText xml, List<Word> words) throws XMLStreamException {
        for (int i = 0; i < words.size(); i++) {
            Word word = words.get(i);
            if (i > 0) {
                double from = words.get(i - 1).box().right();
                xml.empty(
                        "SP",
                        "HPOS",
                        from * PER_MM,
                        "VPOS",
                        word.box().y() * PER_MM,
                        "WIDTH",
                        Math.max(0, word.box().x() - from) * PER_MM);
            }
            xml.empty("String", with(word.box(), "CONTENT", word.text(), "WC", word.certainty()));
        }
    }
}
