package jalon.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RegisterTextTest {
    private static final String ROWS = "no,name\n1,Jörg Müßigmann\n";

    static List<byte[]> written() {
        return List.of(
                ROWS.getBytes(StandardCharsets.UTF_8),
                ("\uFEFF" + ROWS).getBytes(StandardCharsets.UTF_8),
                ("\uFEFF" + ROWS).getBytes(StandardCharsets.UTF_16LE),
                ("\uFEFF" + ROWS).getBytes(StandardCharsets.UTF_16BE),
                ROWS.getBytes(Charset.forName("windows-1252")));
    }

    @ParameterizedTest
    @MethodSource("written")
    void aFileIsReadHoweverItWasWritten(byte[] bytes) {
        assertThat(RegisterText.of(bytes).text()).isEqualTo(ROWS);
    }
}
