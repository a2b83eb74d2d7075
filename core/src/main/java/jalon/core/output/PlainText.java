package jalon.core.output;

import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** A document's words in reading order: lines as they are printed, a blank line between paragraphs, a form feed between pages. */
record PlainText() implements OutputFormat {
    @Override
    public String ending() {
        return ".txt";
    }

    @Override
    public void write(FiledDocument document, PageImages images, OutputStream out) throws IOException {
        List<String> pages = new ArrayList<>();
        for (PageFacts page : document.pages()) {
            List<String> paragraphs = Paragraph.of(page).stream()
                    .map(p ->
                            String.join("\n", p.lines().stream().map(Line::text).toList()))
                    .toList();
            pages.add(String.join("\n\n", paragraphs) + "\n");
        }
        out.write(String.join("\f", pages).getBytes(StandardCharsets.UTF_8));
    }
}
