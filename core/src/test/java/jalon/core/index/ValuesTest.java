package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ValuesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 April 2026|2026-04-03", "April 3rd, 2026|2026-04-03", "03/04/26|2026-04-03", "03.04.2026|2026-04-03",
                "2026-04-03|2026-04-03", "the 3. März 2026|2026-03-03", "14 juillet 2026|2026-07-14",
                        "28,9.2027|2027-09-28",
                "12 Dec 61|1961-12-12", "31/02/2026|", "soon|"
            })
    void datesInUsualSpellings(String written, String date) {
        String expected = date == null ? null : date.replace("2026-03-03", "2026-03-03");
        assertThat(Dates.parse(written, true).map(Object::toString).orElse(null))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1,234.50|1234.50",
                "1.234,50|1234.50",
                "1 234,50 kg|1234.50",
                "1'234.5|1234.5",
                "12,5|12.5",
                "1,234|1234",
                "0.500|0.500",
                "-3,20|-3.20",
                "435.50.|435.50",
                "none|"
            })
    void amountsWithCommaOrPoint(String written, String amount) {
        assertThat(Amounts.parse(written).map(a -> a.toPlainString()).orElse(null))
                .isEqualTo(amount);
    }

    @Test
    void aBrokenLineOfARegisterIsLeftOutAndTold() {
        Register r = Register.parse("vessels", new StringReader("registration,owner\nPM-1,Ewa\nPM-2\nPM-3,Ines\n"));
        assertThat(r.rows()).hasSize(2);
        assertThat(r.faults()).singleElement().asString().contains("line 3", "1 values for 2 columns");
        assertThat(r.find("registration", " pm-3 ")).isPresent();
    }

    @Test
    void anUnclosedQuotationMarkEndsTheRegisterThereButLosesNothingBefore() {
        Register r = Register.parse("vessels", new StringReader("registration,owner\nPM-1,Ewa\nPM-2,\"Ines\nPM-3,x\n"));
        assertThat(r.rows()).hasSize(1);
        assertThat(r.faults()).isNotEmpty();
    }
}
