package jalon.core.output;

import java.io.OutputStream;

/** A document's data beside its pages, as XML of the schema {@code docs/schemas/document.xsd}. */
record XmlData() implements OutputFormat {
    static final String NAMESPACE = "urn:jalon:document:1";

    @Override
    public String ending() {
        return ".xml";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) {
        FiledDocument.Origin origin = document.origin();
        XmlText.write(
                out,
                xml -> xml.element(
                        "document",
                        d -> {
                            d.text("title", document.title());
                            d.element("fields", f -> {
                                for (var field : document.fields().entrySet()) {
                                    f.text("field", field.getValue(), "name", field.getKey());
                                }
                            });
                            d.element("pages", p -> {
                                for (var page : document.pages()) {
                                    p.empty(
                                            "page",
                                            "no",
                                            page.no(),
                                            "file",
                                            page.file(),
                                            "filePage",
                                            page.filePage(),
                                            "sha256",
                                            page.sha256());
                                }
                            });
                        },
                        "xmlns",
                        NAMESPACE,
                        "stream",
                        origin.stream(),
                        "type",
                        origin.type(),
                        "batch",
                        origin.batch(),
                        "no",
                        origin.no(),
                        "filedAt",
                        document.at()));
    }
}
