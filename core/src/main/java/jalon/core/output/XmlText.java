package jalon.core.output;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** XML as it is written here: elements, attributes, and texts that may hold anything a misread page has. */
final class XmlText {
    private final XMLStreamWriter xml;

    private XmlText(XMLStreamWriter xml) {
        this.xml = xml;
    }

    interface Content {
        void write(XmlText xml) throws XMLStreamException;
    }

    /** A whole file in UTF-8; the stream stays open. */
    static void write(OutputStream out, Content content) {
        try {
            XMLStreamWriter xml =
                    XMLOutputFactory.newInstance().createXMLStreamWriter(out, StandardCharsets.UTF_8.name());
            xml.writeStartDocument(StandardCharsets.UTF_8.name(), "1.0");
            content.write(new XmlText(xml));
            xml.writeEndDocument();
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @param attributes names and values in turn; a number is written with two places */
    XmlText element(String name, Content inside, Object... attributes) throws XMLStreamException {
        xml.writeStartElement(name);
        attributes(attributes);
        inside.write(this);
        xml.writeEndElement();
        return this;
    }

    XmlText empty(String name, Object... attributes) throws XMLStreamException {
        xml.writeEmptyElement(name);
        attributes(attributes);
        return this;
    }

    XmlText text(String name, String text, Object... attributes) throws XMLStreamException {
        return element(name, x -> x.xml.writeCharacters(allowed(text)), attributes);
    }

    private void attributes(Object... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            Object value = attributes[i + 1];
            xml.writeAttribute(
                    (String) attributes[i],
                    value instanceof Double number
                            ? String.format(Locale.ROOT, "%.2f", number)
                            : allowed(value.toString()));
        }
    }

    /** Characters that XML 1.0 cannot hold are left out; a misread page can contain any. */
    static String allowed(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints()
                .filter(c -> c == 0x9
                        || c == 0xA
                        || c == 0xD
                        || c >= 0x20 && c <= 0xD7FF
                        || c >= 0xE000 && c <= 0xFFFD
                        || c >= 0x10000)
                .forEach(out::appendCodePoint);
        return out.toString();
    }
}
