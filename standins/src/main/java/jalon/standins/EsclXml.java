package jalon.standins;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/** What the simulated scanner says of itself and understands, in the XML of eSCL. */
final class EsclXml {
    private static final String SCAN = "http://schemas.hp.com/imaging/escl/2011/05/03";
    private static final String PWG = "http://www.pwg.org/schemas/2010/12/sm";

    private EsclXml() {}

    static byte[] capabilities() throws IOException {
        try (InputStream in = EsclXml.class.getResourceAsStream("scanner-capabilities.xml")) {
            return in.readAllBytes();
        }
    }

    /** @param feeder its state, as the protocol names it */
    static byte[] status(String feeder, Map<String, Job> jobs) {
        var bytes = new ByteArrayOutputStream();
        try {
            XMLStreamWriter out = XMLOutputFactory.newInstance().createXMLStreamWriter(bytes, "UTF-8");
            out.writeStartDocument("UTF-8", "1.0");
            out.writeStartElement("scan", "ScannerStatus", SCAN);
            out.writeNamespace("scan", SCAN);
            out.writeNamespace("pwg", PWG);
            pwg(out, "Version", "2.63");
            pwg(out, "State", jobs.values().stream().anyMatch(j -> !j.over) ? "Processing" : "Idle");
            element(out, "scan", SCAN, "AdfState", feeder);
            out.writeStartElement("scan", "Jobs", SCAN);
            for (var job : jobs.entrySet()) {
                out.writeStartElement("scan", "JobInfo", SCAN);
                pwg(out, "JobUri", "/eSCL/ScanJobs/" + job.getKey());
                pwg(out, "JobUuid", job.getKey());
                element(out, "scan", SCAN, "Age", "1");
                pwg(out, "ImagesCompleted", String.valueOf(job.getValue().sheets));
                pwg(out, "JobState", job.getValue().over ? "Completed" : "Processing");
                out.writeEndElement();
            }
            out.writeEndDocument();
            out.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("XML into memory", e);
        }
        return bytes.toByteArray();
    }

    private static void pwg(XMLStreamWriter out, String name, String value) throws XMLStreamException {
        element(out, "pwg", PWG, name, value);
    }

    private static void element(XMLStreamWriter out, String prefix, String space, String name, String value)
            throws XMLStreamException {
        out.writeStartElement(prefix, name, space);
        out.writeCharacters(value);
        out.writeEndElement();
    }

    /** What a job is to be like, as it was sent. */
    static Element settings(InputStream sent) throws IOException {
        try {
            var factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            return factory.newDocumentBuilder().parse(sent).getDocumentElement();
        } catch (SAXException e) {
            throw new IOException("no settings of a job", e);
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException("every Java reads XML", e);
        }
    }

    /** The text of the first element of this name, whichever part of the protocol it belongs to. */
    static String value(Element settings, String name, String otherwise) {
        NodeList found = settings.getElementsByTagNameNS("*", name);
        return found.getLength() == 0
                ? otherwise
                : found.item(0).getTextContent().strip();
    }
}
