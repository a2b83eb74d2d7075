package jalon.core.output;

import java.nio.charset.StandardCharsets;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.TreeMap;

/**
 * The metadata packet of a filed PDF: title, dates, PDF/A-2u, and the document's fields as properties of their own, which
 * PDF/A allows when their schema is described in the packet (ISO 19005-2, 6.6.2.3).
 */
final class Xmp {
    private static final String FIELDS = "urn:jalon:fields:1#";

    private Xmp() {}

    static byte[] packet(FiledDocument document) {
        Map<String, String> properties = new TreeMap<>(document.fields());
        properties.put("type", document.type());
        properties.put("batch", document.batch());
        properties.put("stream", document.stream());
        String at = document.at().truncatedTo(ChronoUnit.SECONDS).toString();
        StringBuilder x = new StringBuilder();
        x.append("<?xpacket begin=\"\uFEFF\" id=\"W5M0MpCehiHzreSzNTczkc9d\"?>\n")
                .append("<x:xmpmeta xmlns:x=\"adobe:ns:meta/\">")
                .append("<rdf:RDF xmlns:rdf=\"http://www.w3.org/1999/02/22-rdf-syntax-ns#\">\n")
                .append("<rdf:Description rdf:about=\"\" xmlns:pdfaid=\"http://www.aiim.org/pdfa/ns/id/\">")
                .append("<pdfaid:part>2</pdfaid:part><pdfaid:conformance>U</pdfaid:conformance></rdf:Description>\n")
                .append("<rdf:Description rdf:about=\"\" xmlns:dc=\"http://purl.org/dc/elements/1.1/\">")
                .append("<dc:title><rdf:Alt><rdf:li xml:lang=\"x-default\">")
                .append(xml(document.title()))
                .append("</rdf:li></rdf:Alt></dc:title></rdf:Description>\n")
                .append("<rdf:Description rdf:about=\"\" xmlns:xmp=\"http://ns.adobe.com/xap/1.0/\"><xmp:CreateDate>")
                .append(at)
                .append("</xmp:CreateDate><xmp:ModifyDate>")
                .append(at)
                .append("</xmp:ModifyDate><xmp:CreatorTool>Jalon</xmp:CreatorTool></rdf:Description>\n")
                .append("<rdf:Description rdf:about=\"\" xmlns:pdf=\"http://ns.adobe.com/pdf/1.3/\">")
                .append("<pdf:Producer>Jalon</pdf:Producer></rdf:Description>\n");
        x.append("<rdf:Description rdf:about=\"\" xmlns:jalon=\"")
                .append(FIELDS)
                .append("\">");
        properties.forEach((name, value) -> x.append("<jalon:")
                .append(name)
                .append('>')
                .append(xml(value))
                .append("</jalon:")
                .append(name)
                .append('>'));
        x.append("</rdf:Description>\n");
        description(x, properties);
        x.append("</rdf:RDF></x:xmpmeta>\n<?xpacket end=\"w\"?>");
        return x.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void description(StringBuilder x, Map<String, String> properties) {
        x.append("<rdf:Description rdf:about=\"\" xmlns:pdfaExtension=\"http://www.aiim.org/pdfa/ns/extension/\"")
                .append(" xmlns:pdfaSchema=\"http://www.aiim.org/pdfa/ns/schema#\"")
                .append(" xmlns:pdfaProperty=\"http://www.aiim.org/pdfa/ns/property#\">")
                .append("<pdfaExtension:schemas><rdf:Bag><rdf:li rdf:parseType=\"Resource\">")
                .append("<pdfaSchema:schema>Index fields</pdfaSchema:schema>")
                .append("<pdfaSchema:namespaceURI>")
                .append(FIELDS)
                .append("</pdfaSchema:namespaceURI><pdfaSchema:prefix>jalon</pdfaSchema:prefix>")
                .append("<pdfaSchema:property><rdf:Seq>");
        properties
                .keySet()
                .forEach(name -> x.append("<rdf:li rdf:parseType=\"Resource\"><pdfaProperty:name>")
                        .append(name)
                        .append("</pdfaProperty:name><pdfaProperty:valueType>Text</pdfaProperty:valueType>")
                        .append("<pdfaProperty:category>external</pdfaProperty:category>")
                        .append("<pdfaProperty:description>index field ")
                        .append(name)
                        .append("</pdfaProperty:description></rdf:li>"));
        x.append("</rdf:Seq></pdfaSchema:property></rdf:li></rdf:Bag></pdfaExtension:schemas></rdf:Description>\n");
    }

    /** Characters that XML 1.0 cannot hold are left out; a misread page can contain any. */
    static String xml(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints().forEach(c -> {
            boolean allowed = c == 0x9
                    || c == 0xA
                    || c == 0xD
                    || c >= 0x20 && c <= 0xD7FF
                    || c >= 0xE000 && c <= 0xFFFD
                    || c >= 0x10000;
            switch (c) {
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '&' -> out.append("&amp;");
                case '"' -> out.append("&quot;");
                default -> {
                    if (allowed) {
                        out.appendCodePoint(c);
                    }
                }
            }
        });
        return out.toString();
    }
}
