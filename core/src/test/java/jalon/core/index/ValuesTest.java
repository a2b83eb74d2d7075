package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.register.Register;
import java.io.StringReader;
import java.math.BigDecimal;
import java.text.DecimalFormat;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class ValuesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 April 2026|2026-04-03",
                "born 12 July 1995|1995-07-12",
                "Date 24. Oct 2025|2025-10-24",
                "April 3rd, 2026|2026-04-03",
                "April 3, 2026|2026-04-03",
                "03/04/26|2026-04-03",
                "3/4/2026|2026-04-03",
                "03.04.2026|2026-04-03",
                "3. 4. 2026|2026-04-03",
                "2026-04-03|2026-04-03",
                "2026/04/03|2026-04-03",
                "2026. 04. 03.|2026-04-03",
                "03 04 2026|2026-04-03",
                "03042026|2026-04-03",
                "the 3. März 2026|2026-03-03",
                "14 juillet 2026|2026-07-14",
                "28,9.2027|2027-09-28",
                "12 Dec 61|1961-12-12",
                "17-NOV-2018|2018-11-17",
                "17NOV2018|2018-11-17",
                "17/nov/18|2018-11-17",
                "1er avril 2026|2026-04-01",
                "3 de abril de 2026|2026-04-03",
                "12 ottobre 2025|2025-10-12",
                "3 kwietnia 2026|2026-04-03",
                "1º de maio de 2026|2026-05-01",
                "3 februari 2026|2026-02-03",
                "den 3 augusti 2026|2026-08-03",
                "3. srpna 2026|2026-08-03",
                "2026. április 3.|2026-04-03",
                "3 aprilie 2026|2026-04-03",
                "3. huhtikuuta 2026|2026-04-03",
                "3 de setembro de 2025|2025-09-03",
                "21 Sept. 2025|2025-09-21",
                "3rd day of April 2026|2026-04-03",
                "3 IV 2026|2026-04-03",
                "3.XII.2025|2025-12-03",
                "2026年4月3日|2026-04-03",
                "Written on 17 February 2026|2026-02-17",
                "03.04.2026 10.15 Uhr|2026-04-03",
                "3 April 2026 12 items|2026-04-03",
                "Lisboa, 3 de abril de 2026|2026-04-03",
                "12/03/45|1945-03-12",
                "٠٣/٠٤/٢٠٢٦|2026-04-03"
            })
    void datesInUsualSpellings(String written, String date) {
        var found = new Dates(true, TODAY, written.contains("2027")).find(written);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).value()).hasToString(date);
        assertThat(found.get(0).mended()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "64-OCT-2615|2015-10-04", "O3.O4.2O26|2026-04-03", "l7 February 2026|2026-02-17",
                "3 Febuary 2026|2026-02-03", "3 0ct0ber 2025|2025-10-03", "04/17/2026|2026-04-17",
                "3.II.2026|2026-02-03"
            })
    void whatHadToBeMadeGoodInADateIsADoubt(String written, String date) {
        var found = new Dates(true, TODAY, false).find(written);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).value()).hasToString(date);
        assertThat(found.get(0).mended()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"31/02/2026", "soon", "17 February", "10.15 Uhr", "4821-26-11-03", "PM-12-03-2026x", "1.2.3.2026"
            })
    void whatIsNoDateIsNone(String written) {
        assertThat(new Dates(true, TODAY, true).find(written)).isEmpty();
    }

    static Stream<Locale> locales() {
        return Stream.of(
                        "en", "de", "fr", "es", "it", "nl", "pt", "sv", "pl", "da", "nb", "fi", "cs", "sk", "hu", "ro",
                        "et", "lv", "lt", "tr", "ca")
                .map(Locale::forLanguageTag);
    }

    @ParameterizedTest
    @MethodSource("locales")
    void everyMonthOfALanguageIsKnown(Locale locale) {
        for (Month month : Month.values()) {
            String written = "17 " + month.getDisplayName(TextStyle.FULL, locale) + " 2025";
            assertThat(new Dates(true, TODAY, false).find(written))
                    .as(written)
                    .singleElement()
                    .extracting(s -> s.value().getMonth())
                    .isEqualTo(month);
        }
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
                "12.00 19 %|12.00",
                "-5.00|-5.00",
                "−5.00|-5.00",
                "1.234,50-|-1234.50",
                "(5.00)|-5.00",
                "EUR 1.234,50|1234.50",
                "€1,234.50|1234.50",
                "1 234,50 €|1234.50",
                "12.50EUR|12.50",
                "1\u00A0234,50|1234.50",
                "1\u2009234,50|1234.50",
                "1\u202F234,50|1234.50",
                "1’234.50|1234.50",
                "12,-|12",
                "12.-|12",
                "1,234,567.89|1234567.89",
                "1.234.567,89|1234567.89",
                "12,34,567.00|1234567.00",
                "1234.567|1234.567",
                "1,234.567|1234.567",
                "-EUR 7.10|-7.10",
                "EUR -7.10|-7.10",
                "Total: 48.20|48.20",
                "٤٨٫٢٠|48.20",
                "kr 1 234,50|1234.50"
            })
    void amountsWithCommaOrPoint(String written, String amount) {
        var found = Amounts.find(written);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).value().toPlainString()).isEqualTo(amount);
        assertThat(found.get(0).mended()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"none", "19 %", "PM-4821-K", "10:15", "3/4", "#12", "A12", "4821K"})
    void whatIsNoAmountIsNone(String written) {
        assertThat(Amounts.find(written)).isEmpty();
    }

    @Test
    void lettersInAnAmountAndAMisreadMarkAreDoubts() {
        assertThat(Amounts.find("1O.5O")).singleElement().satisfies(a -> {
            assertThat(a.value()).isEqualByComparingTo("10.50");
            assertThat(a.mended()).isTrue();
        });
        assertThat(Amounts.find("1.234.50")).singleElement().matches(Spelled::mended);
    }

    @Test
    void whatALocaleWritesIsReadBackAndStaysAsItIs() {
        Random r = new Random(5);
        for (Locale locale : List.of(
                Locale.UK,
                Locale.GERMANY,
                Locale.FRANCE,
                Locale.ITALY,
                Locale.forLanguageTag("de-CH"),
                Locale.forLanguageTag("sv-SE"),
                Locale.forLanguageTag("pl-PL"),
                Locale.forLanguageTag("es-ES"),
                Locale.forLanguageTag("pt-BR"),
                Locale.forLanguageTag("nb-NO"),
                Locale.forLanguageTag("en-IN"),
                Locale.forLanguageTag("nl-NL"),
                Locale.forLanguageTag("cs-CZ"),
                Locale.forLanguageTag("fi-FI"))) {
            var form = (DecimalFormat) NumberFormat.getNumberInstance(locale);
            form.setMinimumFractionDigits(2);
            form.setMaximumFractionDigits(2);
            for (int i = 0; i < 200; i++) {
                BigDecimal amount = BigDecimal.valueOf(r.nextInt(2_000_000_000) - 1_000_000_000L, 2);
                String written = form.format(amount);
                assertThat(Amounts.find(written))
                        .as(locale + " " + written)
                        .singleElement()
                        .satisfies(a -> {
                            assertThat(a.value()).isEqualByComparingTo(amount);
                            assertThat(Amounts.find(a.value().toPlainString())
                                            .get(0)
                                            .value())
                                    .isEqualTo(a.value());
                        });
            }
        }
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
