package jalon.server.scan;

import jalon.core.stream.IntakeRules;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/** The XML that goes to and comes from a scanner (eSCL; its words are those of the Printer Working Group's model). */
final class EsclXml {
    static final String SCAN = "http://schemas.hp.com/imaging/escl/2011/05/03";
    static final String PWG = "http://www.pwg.org/schemas/2010/12/sm";

    private final XMLStreamWriter out;

    private EsclXml(XMLStreamWriter out) {
        this.out = out;
    }

    /** What a job is to be like. */
    static byte[] settings(ScanSettings settings) {
        var bytes = new ByteArrayOutputStream();
        try {
            XMLStreamWriter out = XMLOutputFactory.newInstance().createXMLStreamWriter(bytes, "UTF-8");
            new EsclXml(out).write(settings);
            out.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("XML into memory", e);
        }
        return bytes.toByteArray();
    }

    private void write(ScanSettings s) throws XMLStreamException {
        boolean feeder = s.source() == ScanSettings.Source.feeder;
        String format = s.colour() == IntakeRules.Colour.BITONAL ? "image/png" : "image/jpeg";
        out.writeStartDocument(StandardCharsets.UTF_8.name(), "1.0");
        out.writeStartElement("scan", "ScanSettings", SCAN);
        out.writeNamespace("scan", SCAN);
        out.writeNamespace("pwg", PWG);
        pwg("Version", "2.6");
        scan("Intent", "Document");
        out.writeStartElement("pwg", "ScanRegions", PWG);
        out.writeStartElement("pwg", "ScanRegion", PWG);
        pwg("ContentRegionUnits", "escl:ThreeHundredthsOfInches");
        pwg("Height", threeHundredths(s.heightMm()));
        pwg("Width", threeHundredths(s.widthMm()));
        pwg("XOffset", "0");
        pwg("YOffset", "0");
        out.writeEndElement();
        out.writeEndElement();
        pwg("InputSource", feeder ? "Feeder" : "Platen");
        scan("ColorMode", mode(s.colour()));
        scan("XResolution", String.valueOf(s.dpi()));
        scan("YResolution", String.valueOf(s.dpi()));
        pwg("DocumentFormat", format);
        scan("DocumentFormatExt", format);
        if (feeder) {
            scan("Duplex", String.valueOf(s.duplex()));
        }
        out.writeEndDocument();
    }

    private void scan(String name, String value) throws XMLStreamException {
        element("scan", SCAN, name, value);
    }

    private void pwg(String name, String value) throws XMLStreamException {
        element("pwg", PWG, name, value);
    }

    private void element(String prefix, String space, String name, String value) throws XMLStreamException {
        out.writeStartElement(prefix, name, space);
        out.writeCharacters(value);
        out.writeEndElement();
    }

    private static String mode(IntakeRules.Colour colour) {
        return switch (colour) {
            case BITONAL -> "BlackAndWhite1";
            case GREY -> "Grayscale8";
            case COLOUR -> "RGB24";
        };
    }

    /** The protocol's unit of length: 1/300 inch. */
    private static String threeHundredths(double mm) {
        return String.valueOf(Math.round(mm / 25.4 * 300));
    }

    /** An answer's outermost element; empty when it is no XML, or another. No entity is ever looked up. */
    static Optional<Element> answer(byte[] xml, String name) throws IOException {
        try {
            var factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            Element root = builder.parse(new ByteArrayInputStream(xml)).getDocumentElement();
            return Optional.of(root).filter(r -> SCAN.equals(r.getNamespaceURI()) && name.equals(r.getLocalName()));
        } catch (SAXException e) {
            return Optional.empty();
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException("every Java reads XML", e);
        }
    }

    /** The text of the first such element below; null when there is none. */
    static String text(Element root, String space, String name) {
        NodeList found = root.getElementsByTagNameNS(space, name);
        return found.getLength() == 0 ? null : found.item(0).getTextContent().strip();
    }
}
