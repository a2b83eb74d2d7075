package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jalon.core.stream.Destination.Listed;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FilingListTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 28);

    private static FilingList.Line line(String file, Map<String, String> fields) {
        return new FilingList.Line(file, "dues", "letter", "B-0001", 1, 2, DAY, fields);
    }

    private static String written(List<FilingList.Line> lines) throws IOException {
        var out = new ByteArrayOutputStream();
        FilingList.write(lines, out);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void aColumnForEachFieldAndWhatWasWrittenIsReadAsItWas() throws Exception {
        var lines = List.of(
                line("Käthe, \"old\".pdf", Map.of("vessel", "PM-4821-K")),
                line("b.pdf", Map.of("owner", "Ewa\nLind", "remark", "=1+1")));
        String csv = written(lines);
        assertThat(csv)
                .startsWith("file,stream,type,batch,document,pages,filed,vessel,")
                .contains("2026-11-28");
        assertThat(csv).as("nothing is computed in a spreadsheet").contains("'=1+1");
        List<FilingList.Line> read = FilingList.read(new StringReader(csv));
        assertThat(read.get(0)).isEqualTo(lines.get(0));
        assertThat(written(read)).as("gone on with, it stays as it is").isEqualTo(csv);
    }

    @Test
    void whatSomebodyMadeOfItIsNotTakenForALine() throws Exception {
        String csv = written(List.of(line("a.pdf", Map.of("vessel", "PM-4821-K"))));
        for (String other : List.of("name;street\r\n", csv + "a note\r\n", csv.replace("2026-11-28", "28/11/2026"))) {
            assertThatThrownBy(() -> FilingList.read(new StringReader(other))).isInstanceOf(IOException.class);
        }
    }

    @Test
    void itLiesInEachFolderOrOncePerDay() {
        assertThat(FilingList.path(Listed.FOLDER, "Dues/2026", DAY)).isEqualTo("Dues/2026/list.csv");
        assertThat(FilingList.path(Listed.FOLDER, "", DAY)).isEqualTo("list.csv");
        assertThat(FilingList.path(Listed.DAY, "Dues/2026", DAY)).isEqualTo("list 2026-11-28.csv");
        assertThat(FilingList.numbered("Dues/list.csv", 2)).isEqualTo("Dues/list (2).csv");
    }
}
