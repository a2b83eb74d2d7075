package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.evidence.Reason;
import jalon.core.register.Register;
import jalon.core.stream.Check;
import jalon.core.stream.Field;
import jalon.core.stream.Shape;
import jalon.core.stream.TidyStep;
import java.io.StringReader;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ChecksAndTidyTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final Known KNOWN = new Known(
            Map.of("vessels", Register.parse("vessels", new StringReader("registration,owner\nPM-4821-K,Ewa\n"))),
            TODAY);

    static List<Arguments> checks() {
        return List.of(
                Arguments.of(new Check.Like("PM-9999-A"), "PM-4821-K", null),
                Arguments.of(new Check.Like("PM-9999-A"), "PM-482-K", "not of the form"),
                Arguments.of(new Check.Like("~A99"), "A12", null),
                Arguments.of(new Check.Matches("[A-D]-\\d+"), "C-17", null),
                Arguments.of(new Check.Matches("[A-D]-\\d+"), "C-17x", "does not match"),
                Arguments.of(new Check.Length(2, 4), "abc", null),
                Arguments.of(new Check.Length(2, 4), "abcde", "5 characters"),
                Arguments.of(new Check.Length(2, null), "\uD83D\uDEA2", "1 characters"),
                Arguments.of(new Check.Date(null, false, 2), "2026-11-23", null),
                Arguments.of(new Check.Date(null, false, 2), "2026-11-24", "future"),
                Arguments.of(new Check.Date(null, true, 2), "2031-01-01", null),
                Arguments.of(new Check.Date(null, false, 2), "1961-12-12", "2 years back"),
                Arguments.of(new Check.Date(null, false, null), "2026-02-30", "not a date"),
                Arguments.of(new Check.Range(BigDecimal.ONE, BigDecimal.TEN), "10.00", null),
                Arguments.of(new Check.Range(BigDecimal.ONE, BigDecimal.TEN), "0.99", "less than 1"),
                Arguments.of(new Check.Range(BigDecimal.ONE, BigDecimal.TEN), "10.01", "more than 10"),
                Arguments.of(new Check.Range(null, BigDecimal.TEN), "ten", "not a number"),
                Arguments.of(new Check.OneOf(List.of("north", "south")), "north", null),
                Arguments.of(new Check.OneOf(List.of("north", "south")), "North", "not one of"),
                Arguments.of(new Check.InRegister("vessels", "registration"), "pm-4821-k ", null),
                Arguments.of(new Check.InRegister("vessels", "registration"), "PM-1", "not in the register"),
                Arguments.of(new Check.InRegister("berths", "no"), "1", "is not there"));
    }

    @ParameterizedTest
    @MethodSource("checks")
    void aCheckPassesOrSaysWhatIsWrong(Check check, String value, String problem) {
        var verdict = Checks.check(value, List.of(check), KNOWN, false);
        if (problem == null) {
            assertThat(verdict.problems()).isEmpty();
        } else {
            assertThat(verdict.problems())
                    .singleElement()
                    .extracting(Reason::words)
                    .asString()
                    .contains(problem);
        }
    }

    @Test
    void aPassedRegisterSpeaksLouderThanAPassedForm() {
        var form = new Check.Like("PM-9999-A");
        var register = new Check.InRegister("vessels", "registration");
        assertThat(Checks.check("PM-4821-K", List.of(form, register), KNOWN, false)
                        .odds())
                .isGreaterThan(10
                        * Checks.check("PM-4821-K", List.of(form), KNOWN, false).odds());
    }

    @Test
    void whatWasFoundByItsFormIsNotProvenByThatForm() {
        var form = List.<Check>of(new Check.Like("PM-9999-A"));
        assertThat(Checks.check("PM-4821-K", form, KNOWN, true).odds()).isEqualTo(1);
        assertThat(Checks.check("PM-4821-K", form, KNOWN, false).odds()).isGreaterThan(1);
    }

    @Test
    void aDenseRegisterProvesLittleAndASparseOneMuch() {
        StringBuilder rows = new StringBuilder("no\n");
        for (int i = 0; i < 10_000; i += 2) {
            rows.append(String.format("%04d\n", i));
        }
        var known = new Known(
                Map.of(
                        "dense", Register.parse("dense", new StringReader(rows.toString())),
                        "sparse", Register.parse("sparse", new StringReader("no\n4820\n0001\n"))),
                LocalDate.of(2026, 11, 23));
        var dense = List.<Check>of(new Check.InRegister("dense", "no"));
        var sparse = List.<Check>of(new Check.InRegister("sparse", "no"));
        assertThat(Checks.check("4820", dense, known, false).odds()).isLessThan(3);
        assertThat(Checks.check("4820", sparse, known, false).odds()).isGreaterThan(50);
    }

    private static Tidying.Tidied tidy(String raw, List<? extends TidyStep> steps) {
        var field = new Field(
                "f", null, null, null, false, false, null, false, null, false, List.copyOf(steps), null, null);
        return Tidy.tidy(raw, field, LocalDate.of(2026, 11, 23));
    }

    @Test
    void tidyStepsAreDoneInTheirOrder() {
        List<TidyStep> steps = List.of(
                new TidyStep.Trim(),
                new TidyStep.Case(TidyStep.Case.To.UPPER),
                new TidyStep.Replace("BERTH", ""),
                new TidyStep.Drop(" ."),
                new TidyStep.Pad(5, "0"));
        assertThat(tidy("  berth   c. 7 ", steps).value()).isEqualTo("000C7");
        assertThat(tidy("+44 (0)1679 214558", List.of(new TidyStep.Keep("0123456789")))
                        .value())
                .isEqualTo("4401679214558");
        assertThat(tidy("04/03/26", List.of(new TidyStep.Date(TidyStep.Date.Order.MONTH_FIRST)))
                        .value())
                .isEqualTo("2026-04-03");
        assertThat(tidy("EUR 1.234,50", List.of(new TidyStep.Amount())).value()).isEqualTo("1234.50");
    }

    @Test
    void aStepThatCannotBeDoneKeepsTheValueAndSaysWhy() {
        var tidied = tidy("soon", List.of(new TidyStep.Date(null), new TidyStep.Case(TidyStep.Case.To.UPPER)));
        assertThat(tidied.value()).isEqualTo("soon");
        assertThat(tidied.problem()).isEqualTo(Reason.Code.NOT_A_DATE.with("soon"));
    }

    @ParameterizedTest
    @CsvSource({
        "PM-9999-A,PM-48Z1-K,PM-4821-K",
        "PM-9999-A,PM-O821-8,PM-0821-B",
        "PM-9999-A,PM – 4821 – K,PM-4821-K",
        "A-99,C-l7,C-17",
        "PM-9999-A,PM-4821,PM-4821",
        "A99.999.9,'$84.712,2',S84.712.2",
        "A99.999.9,'N61,.409. 1',N61.409.1",
        "AA 999999,NZ‘594395,NZ 594395",
        "99-9999-A,83-38 18-Q,83-3818-Q"
    })
    void aMisreadValueBecomesWhatItsFormAllows(String shape, String read, String mended) {
        assertThat(LookalikeMend.mend(read, Shape.of(shape))).isEqualTo(mended);
    }
}
