package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import jalon.core.image.ImageFacts;
import jalon.core.image.PageLayout;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.poi.xwpf.usermodel.BreakType;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents as text that is worked on. */
class EditableTextTest {
    private final List<Word> words = new ArrayList<>();
    private int lines;

    /** A line of words, each as wide as its letters. */
    private void line(double x, double y, double height, String text) {
        double at = x;
        for (String word : text.split(" ")) {
            double width = word.length() * height * 0.6;
            words.add(new Word(word, new Box(at, y, width, height), 0.9, lines));
            at += width + height * 0.5;
        }
        lines++;
    }

    private static ImageFacts image(PageLayout layout) {
        return new ImageFacts(
                new ImageFacts.Size(210, 297),
                new ImageFacts.Density(100, true),
                new ImageFacts.Pose(0, 0),
                0.01,
                List.of(),
                List.of(),
                List.of(),
                layout);
    }

    /** Ink in these places, and these rules. */
    private static PageLayout layout(List<Box> inked, List<Box> rules) {
        int columns = 105;
        StringBuilder ink = new StringBuilder();
        String bits = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
        for (int i = 0; i < columns * 149; i += 3) {
            int three = 0;
            for (int c = 0; c < 3; c++) {
                Box cell = new Box((i + c) % columns * 2, (i + c) / columns * 2, 2, 2);
                three |= (inked.stream().anyMatch(b -> b.holdsCentreOf(cell)) ? 3 : 0) << 2 * c;
            }
            ink.append(bits.charAt(three));
        }
        return new PageLayout(rules, List.of(), ink.toString(), columns);
    }

    private XWPFDocument written(PageLayout layout, int pages) throws Exception {
        List<PageFacts> all = new ArrayList<>();
        for (int no = 1; no <= pages; no++) {
            all.add(new PageFacts(no, "x", no, "ab".repeat(32), image(layout), List.of(), List.copyOf(words)));
        }
        var out = new ByteArrayOutputStream();
        new EditableText()
                .write(
                        SearchablePdfTest.document(all),
                        SearchablePdfTest.images(
                                p -> SearchablePdfTest.scan(BufferedImage.TYPE_BYTE_BINARY, Optional.empty())),
                        out);
        return new XWPFDocument(new ByteArrayInputStream(out.toByteArray()));
    }

    private static List<String> texts(XWPFDocument text) {
        return text.getParagraphs().stream()
                .map(XWPFParagraph::getText)
                .filter(t -> !t.isBlank())
                .toList();
    }

    @Test
    void paragraphsFlowAndLinesThatWereWantedStay() throws Exception {
        line(20, 20, 8, "Grundsteuerbescheid");
        line(20, 40, 3, "Für das genannte Grundstück wird die Hafen-");
        line(20, 45, 3, "gebühr nach der Satzung in der geltenden Fassung von uns");
        line(20, 50, 3, "erhoben wie folgt für das Jahr");
        line(20, 70, 3, "Nadia Overlund");
        line(20, 75, 3, "66 Chandlers Row in the old harbour town");
        line(90, 90, 3, "Σύνολο 12");
        line(20, 100, 3, "שלום");
        try (XWPFDocument text = written(null, 2)) {
            assertThat(texts(text))
                    .startsWith(
                            "Grundsteuerbescheid",
                            "Für das genannte Grundstück wird die Hafengebühr nach der Satzung in der geltenden Fassung"
                                    + " von uns erhoben wie folgt für das Jahr",
                            "Nadia Overlund\n66 Chandlers Row in the old harbour town",
                            "Σύνολο 12",
                            "שלום")
                    .hasSize(10);
            XWPFParagraph heading = text.getParagraphs().get(0);
            assertThat(heading.getStyle()).isEqualTo("Heading1");
            assertThat(heading.getRuns().get(0).getFontSizeAsDouble()).isGreaterThan(20);
            assertThat(text.getParagraphs().get(1).getStyle()).isNull();
            assertThat(text.getParagraphs().get(3).getIndentationLeft()).isCloseTo(3969, within(2));
            assertThat(text.getParagraphs().get(4).getCTP().getPPr().isSetBidi())
                    .isTrue();
            assertThat(text.getParagraphs().stream()
                            .flatMap(p -> p.getRuns().stream())
                            .flatMap(r -> r.getCTR().getBrList().stream())
                            .filter(b -> b.getType() != null && b.getType().intValue() == BreakType.PAGE.getValue()))
                    .as("a new page where the paper has one")
                    .hasSize(1);
        }
    }

    @Test
    void theLinesOfAnAddressAreNotJoinedThoughItsLongestHasNoRoomInItself() throws Exception {
        line(110, 20, 3, "Milos Overlund");
        line(110, 25, 3, "15 Oyster Steps, Port");
        line(110, 30, 3, "Tel. 01675");
        for (int i = 0; i < 4; i++) {
            line(
                    20,
                    60 + 5 * i,
                    3,
                    "thank you for your reminder that came with all of the accounts of the year of this boat.");
        }
        try (XWPFDocument text = written(null, 1)) {
            assertThat(texts(text).get(0)).isEqualTo("Milos Overlund\n15 Oyster Steps, Port\nTel. 01675");
        }
    }

    private static Path office() {
        return Stream.of(System.getenv("PATH").split(":"))
                .map(folder -> Path.of(folder, "soffice"))
                .filter(Files::isExecutable)
                .findFirst()
                .orElse(null);
    }

    /** Where an office program is installed, that one reads it too. */
    @Test
    void anotherProgramReadsIt(@TempDir Path folder) throws Exception {
        assumeThat(office()).isNotNull();
        line(20, 20, 8, "Grundsteuerbescheid");
        line(20, 40, 3, "Für das genannte Grundstück Σύνολο");
        for (int row = 0; row < 3; row++) {
            line(20, 60 + 6 * row, 3, "A-" + row);
            line(80, 60 + 6 * row, 3, "8,50");
        }
        try (XWPFDocument text = written(null, 2);
                var out = Files.newOutputStream(folder.resolve("a.docx"))) {
            text.write(out);
        }
        Process process = new ProcessBuilder(
                        office().toString(),
                        "-env:UserInstallation=" + folder.resolve("office").toUri(),
                        "--headless",
                        "--convert-to",
                        "txt:Text (encoded):UTF8",
                        "--outdir",
                        folder.toString(),
                        folder.resolve("a.docx").toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("office.log").toFile())
                .start();
        assertThat(process.waitFor()).isZero();
        assertThat(Files.readString(folder.resolve("a.txt")))
                .contains("Grundsteuerbescheid", "Für das genannte Grundstück Σύνολο", "A-2", "8,50");
    }

    private static List<List<String>> cells(XWPFTable table) {
        return table.getRows().stream()
                .map(row -> row.getTableCells().stream().map(c -> c.getText()).toList())
                .toList();
    }

    @Test
    void wordsBelowOneAnotherAreATable() throws Exception {
        line(20, 20, 3, "Before the table there is a sentence.");
        String[][] rows = {
            {"Berth", "Length", "Dues"}, {"A-12", "8.5", "120.00"}, {"B-7", "", "98.50"}, {"C-1", "6", "70.00"}
        };
        double y = 40;
        for (String[] row : rows) {
            for (int c = 0; c < row.length; c++) {
                if (!row[c].isEmpty()) {
                    line(20 + 50 * c, y, 3, row[c]);
                }
            }
            y += 6;
        }
        line(20, 90, 3, "And one after it.");
        try (XWPFDocument text = written(null, 1)) {
            assertThat(text.getTables()).hasSize(1);
            assertThat(cells(text.getTables().get(0)).stream()
                            .map(row -> String.join("|", row))
                            .collect(Collectors.toList()))
                    .containsExactly("Berth|Length|Dues", "A-12|8.5|120.00", "B-7||98.50", "C-1|6|70.00");
            assertThat(texts(text)).containsExactly("Before the table there is a sentence.", "And one after it.");
            assertThat(text.getBodyElements().indexOf(text.getTables().get(0))).isEqualTo(1);
        }
    }

    /** Reading may take what stands beside a table for the same line; it was lost where that line's middle is in the table. */
    @Test
    void whatStandsBesideATableInTheSameLineIsNotLost() throws Exception {
        words.add(new Word("margin", new Box(4, 62, 12, 3), 0.9, 0));
        line(22, 62, 3, "Berth");
        line(82, 62, 3, "Quay");
        words.add(new Word("Overlund", new Box(22, 74, 14, 3), 0.9, 2));
        words.replaceAll(w -> w.box().y() < 70 ? new Word(w.text(), w.box(), w.certainty(), 0) : w);
        List<Box> rules = List.of(
                new Box(20, 60, 100, 0.3),
                new Box(20, 70, 100, 0.3),
                new Box(20, 82, 100, 0.3),
                new Box(20, 60, 0.3, 22),
                new Box(80, 60, 0.3, 22),
                new Box(120, 60, 0.3, 22));
        try (XWPFDocument text = written(layout(List.of(), rules), 1)) {
            assertThat(cells(text.getTables().get(0)))
                    .containsExactly(List.of("Berth", "Quay"), List.of("Overlund", ""));
            assertThat(texts(text)).containsExactly("margin");
        }
    }

    @Test
    void twoColumnsOfRunningTextAreNoTable() throws Exception {
        for (int i = 0; i < 6; i++) {
            line(20, 40 + 5 * i, 3, "one two three four five six seven");
            line(115, 40 + 5 * i, 3, "un deux trois quatre cinq six sept");
        }
        try (XWPFDocument text = written(null, 1)) {
            assertThat(text.getTables()).isEmpty();
        }
    }

    @Test
    void ruledLinesAreATableAndInkWithoutWordsIsAPicture() throws Exception {
        line(22, 62, 3, "Name and first name");
        line(82, 62, 3, "Quay");
        line(22, 72, 3, "Overlund");
        line(22, 77, 3, "Nadia");
        List<Box> rules = List.of(
                new Box(20, 60, 100, 0.3),
                new Box(20, 70, 100, 0.3),
                new Box(20, 82, 100, 0.3),
                new Box(20, 60, 0.3, 22),
                new Box(80, 60, 0.3, 22),
                new Box(120, 60, 0.3, 22));
        Box emblem = new Box(150, 20, 24, 18);
        try (XWPFDocument text = written(layout(List.of(emblem, new Box(30, 200, 40, 1)), rules), 1)) {
            assertThat(cells(text.getTables().get(0)))
                    .containsExactly(List.of("Name and first name", "Quay"), List.of("Overlund\nNadia", ""));
            assertThat(texts(text)).isEmpty();
            assertThat(text.getAllPictures()).as("a stroke of a pen is none").hasSize(1);
            var size = text.getParagraphs().stream()
                    .flatMap(p -> p.getRuns().stream())
                    .flatMap(r -> r.getEmbeddedPictures().stream())
                    .findFirst()
                    .orElseThrow();
            assertThat(size.getWidth() / 72 * 25.4).isCloseTo(24, within(2.0));
        }
    }
}
