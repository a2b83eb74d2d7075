package jalon.core.output;

import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * The metadata packet of a filed PDF: title, dates, PDF/A, and the document's fields as properties of their own, which
 * PDF/A allows when their schema is described in the packet (ISO 19005-2, 6.6.2.3).
 */
final class Xmp {
    private static final String FIELDS = "urn:jalon:fields:1#";
    private static final String RDF = "http://www.w3.org/1999/02/22-rdf-syntax-ns#";

    private final XMLStreamWriter xml;
    private final String part;

    private Xmp(XMLStreamWriter xml, String part) {
        this.xml = xml;
        this.part = part;
    }

    /** @param part of ISO 19005 */
    static byte[] packet(FiledDocument document, String part) {
        Map<String, String> properties = new TreeMap<>(document.fields());
        properties.put("type", document.origin().type());
        properties.put("batch", document.origin().batch());
        properties.put("stream", document.origin().stream());
        var out = new StringWriter();
        try {
            var xml = XMLOutputFactory.newInstance().createXMLStreamWriter(out);
            new Xmp(xml, part).write(document, properties);
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private void write(FiledDocument document, Map<String, String> properties) throws XMLStreamException {
        String at = document.at().truncatedTo(ChronoUnit.SECONDS).toString();
        xml.writeProcessingInstruction("xpacket", "begin=\"\uFEFF\" id=\"W5M0MpCehiHzreSzNTczkc9d\"");
        xml.writeStartElement("x:xmpmeta");
        xml.writeAttribute("xmlns:x", "adobe:ns:meta/");
        xml.writeStartElement("rdf:RDF");
        xml.writeAttribute("xmlns:rdf", RDF);

        describe("pdfaid", "http://www.aiim.org/pdfa/ns/id/");
        text("pdfaid:part", part);
        text("pdfaid:conformance", "U");
        xml.writeEndElement();

        describe("dc", "http://purl.org/dc/elements/1.1/");
        start("dc:title", "rdf:Alt", "rdf:li");
        xml.writeAttribute("xml:lang", "x-default");
        xml.writeCharacters(XmlText.allowed(document.title()));
        end(4);

        describe("xmp", "http://ns.adobe.com/xap/1.0/");
        text("xmp:CreateDate", at);
        text("xmp:ModifyDate", at);
        text("xmp:CreatorTool", "Jalon");
        xml.writeEndElement();

        describe("pdf", "http://ns.adobe.com/pdf/1.3/");
        text("pdf:Producer", "Jalon");
        xml.writeEndElement();

        describe("jalon", FIELDS);
        for (Map.Entry<String, String> property : properties.entrySet()) {
            text("jalon:" + property.getKey(), property.getValue());
        }
        xml.writeEndElement();
        schema(properties);
        end(2);
        xml.writeProcessingInstruction("xpacket", "end=\"w\"");
    }

    /** Says what the properties are that no standard knows. */
    private void schema(Map<String, String> properties) throws XMLStreamException {
        describe("pdfaExtension", "http://www.aiim.org/pdfa/ns/extension/");
        xml.writeAttribute("xmlns:pdfaSchema", "http://www.aiim.org/pdfa/ns/schema#");
        xml.writeAttribute("xmlns:pdfaProperty", "http://www.aiim.org/pdfa/ns/property#");
        start("pdfaExtension:schemas", "rdf:Bag");
        resource();
        text("pdfaSchema:schema", "Index fields");
        text("pdfaSchema:namespaceURI", FIELDS);
        text("pdfaSchema:prefix", "jalon");
        start("pdfaSchema:property", "rdf:Seq");
        for (String name : properties.keySet()) {
            resource();
            text("pdfaProperty:name", name);
            text("pdfaProperty:valueType", "Text");
            text("pdfaProperty:category", "external");
            text("pdfaProperty:description", "index field " + name);
            xml.writeEndElement();
        }
        end(6);
    }

    private void describe(String prefix, String namespace) throws XMLStreamException {
        xml.writeStartElement("rdf:Description");
        xml.writeAttribute("rdf:about", "");
        xml.writeAttribute("xmlns:" + prefix, namespace);
    }

    private void resource() throws XMLStreamException {
        xml.writeStartElement("rdf:li");
        xml.writeAttribute("rdf:parseType", "Resource");
    }

    private void start(String... names) throws XMLStreamException {
        for (String name : names) {
            xml.writeStartElement(name);
        }
    }

    private void end(int elements) throws XMLStreamException {
        for (int i = 0; i < elements; i++) {
            xml.writeEndElement();
        }
    }

    private void text(String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(XmlText.allowed(text));
        xml.writeEndElement();
    }
}
