package jalon.server.rights;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.server.people.Role;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RightRulesTest {
    private static final Set<Long> NOBODYS = Set.of();
    private static final Set<Long> ACCOUNTS = Set.of(4L);

    private final RightRules rules = new RightRules(Map.of(
            new RightRules.Over(Right.SEE, "letters", ""), ACCOUNTS,
            new RightRules.Over(Right.SEE, "letters", "notice"), Set.of(5L),
            new RightRules.Over(Right.INDEX, "letters", ""), ACCOUNTS,
            new RightRules.Over(Right.SEE_CONFIDENTIAL, "letters", ""), ACCOUNTS));

    @Test
    void whereNothingIsSaidTheRoleSaysIt() {
        assertThat(rules.may(Role.READER, NOBODYS, Right.SEE, "forms", "form")).isTrue();
        assertThat(rules.may(Role.READER, NOBODYS, Right.INDEX, "forms", "")).isFalse();
        assertThat(rules.may(Role.OPERATOR, NOBODYS, Right.FILE, "letters", "")).isTrue();
        assertThat(rules.may(Role.OPERATOR, NOBODYS, Right.SEE_CONFIDENTIAL, "forms", ""))
                .isFalse();
        assertThat(rules.may(Role.SUPERVISOR, NOBODYS, Right.SEE_CONFIDENTIAL, "forms", ""))
                .isTrue();
        assertThat(rules.may(Role.OPERATOR, NOBODYS, Right.ERASE, "forms", "")).isFalse();
    }

    @Test
    void whatIsSaidOfATypeGoesBeforeWhatIsSaidOfItsStream() {
        assertThat(rules.may(Role.READER, ACCOUNTS, Right.SEE, "letters", "bill"))
                .isTrue();
        assertThat(rules.may(Role.READER, ACCOUNTS, Right.SEE, "letters", "notice"))
                .isFalse();
        assertThat(rules.may(Role.READER, Set.of(5L), Right.SEE, "letters", "notice"))
                .isTrue();
        assertThat(rules.may(Role.SUPERVISOR, NOBODYS, Right.SEE, "letters", "bill"))
                .as("not even a supervisor")
                .isFalse();
        assertThat(rules.partsTypes(Right.SEE, "letters")).isTrue();
        assertThat(rules.partsTypes(Right.INDEX, "letters")).isFalse();
    }

    @Test
    void aRoleStaysALimitButForWhatIsConfidential() {
        assertThat(rules.may(Role.READER, ACCOUNTS, Right.INDEX, "letters", "")).isFalse();
        assertThat(rules.may(Role.READER, ACCOUNTS, Right.SEE_CONFIDENTIAL, "letters", ""))
                .isTrue();
    }
}
