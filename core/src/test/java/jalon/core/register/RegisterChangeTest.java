package jalon.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RegisterChangeTest {
    private static Register register(String csv) {
        return Register.parse("vessels", new StringReader(csv));
    }

    @Test
    void rowsAreTheSameByTheFirstColumnThatTellsThemApart() {
        Register before = register("quay,no,owner\nA,1,Ewa\nA,2,Ines\nB,3,Ida\n");
        Register now = register("quay,no,owner\nA,1,Ewa\nB,2,Ines\nB,4,Lars\n");
        RegisterChange change = RegisterChange.between(before, now);
        assertThat(change.came()).isEqualTo(1);
        assertThat(change.went()).isEqualTo(1);
        assertThat(change.changed()).isEqualTo(1);
        assertThat(change.examples())
                .contains(new RegisterChange.Example(
                        RegisterChange.What.CHANGED,
                        Map.of("quay", "A", "no", "2", "owner", "Ines"),
                        Map.of("quay", "B", "no", "2", "owner", "Ines")));
    }

    @Test
    void withoutSuchAColumnARowThatDiffersIsAnotherOne() {
        RegisterChange change =
                RegisterChange.between(register("quay,owner\nA,Ewa\nA,Ines\n"), register("quay,owner\nA,Ewa\nB,Ewa\n"));
        assertThat(change)
                .extracting(RegisterChange::came, RegisterChange::went, RegisterChange::changed)
                .containsExactly(1, 1, 0);
    }

    @Test
    void aNewColumnChangesEachRowAndANewRegisterBringsAllOfThem() {
        Register before = register("no\n1\n2\n");
        assertThat(RegisterChange.between(before, register("no,owner\n1,Ewa\n2,Ines\n"))
                        .changed())
                .isEqualTo(2);
        assertThat(RegisterChange.between(register(""), before).came()).isEqualTo(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"no,\"a, b;c\"\n1,x\n", "no;\"a, b;c\"\n1;x\n", "no\t\"a, b;c\"\n1\tx\n"})
    void valuesMayBePartedByCommasSemicolonsAndTabs(String csv) {
        Register register = register(csv);
        assertThat(register.columns()).containsExactly("no", "a, b;c");
        assertThat(register.rows()).containsExactly(Map.of("no", "1", "a, b;c", "x"));
    }

    @Test
    void manyBadLinesAreCountedAndNotToldOneByOne() {
        Register register = register("no,owner\n1,Ewa\n" + "2\n".repeat(5_000));
        assertThat(register.rows()).hasSize(1);
        assertThat(register.faults()).hasSize(201);
        assertThat(register.faults().get(200)).contains("4800 more lines");
    }

    @Test
    void twoColumnsOfOneNameAreAFault() {
        Register register = register("no,no\n1,2\n");
        assertThat(register.rows()).isEmpty();
        assertThat(register.faults()).singleElement().asString().contains("no");
    }
}
