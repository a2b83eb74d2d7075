package jalon.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SpreadsheetTest {
    @ParameterizedTest
    @ValueSource(strings = {"=cmd|' /C calc'!A0", "@SUM(A1)", "+quay 7", "-1+2", "\t=1", "\r=1"})
    void whatASpreadsheetWouldComputeIsWrittenAsText(String value) {
        assertThat(Spreadsheet.plain(value)).isEqualTo("'" + value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-12.50", "+44 7700 900123", "-1.234,50", "1.234,50-", "Amber Breeze", "'quoted'", ""})
    void figuresAndWordsStayAsTheyAre(String value) {
        assertThat(Spreadsheet.plain(value)).isEqualTo(value);
    }
}
