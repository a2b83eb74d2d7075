package jalon.core.stream;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CheckDigitsTest {
    /** Examples of the standards themselves, and numbers of their kinds that are made up for tests everywhere. */
    @ParameterizedTest
    @CsvSource({
        "MOD_10,4539 1488 0343 6467",
        "MOD_10,49927398716",
        "MOD_11,0-306-40615-2",
        "MOD_11,0-8044-2957-X",
        "MOD_11_2,07940",
        "MOD_11_2,079X",
        "MOD_97_10,79444",
        "MOD_11_10,07945",
        "MOD_37_36,A12425GABC1234002M",
        "IBAN,DE89 3704 0044 0532 0130 00",
        "IBAN,GB82WEST12345698765432",
    })
    void numbersOfTheStandardsAreProven(CheckDigits by, String number) {
        assertThat(by.prove(number, List.of(), null)).isTrue();
    }

    private static char last(CheckDigits by, String without) {
        return "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ*"
                .chars()
                .filter(c -> by.prove(without + (char) c, List.of(), null))
                .mapToObj(c -> (char) c)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(
            value = CheckDigits.class,
            names = {"MOD_10", "MOD_11_2", "MOD_37_2", "MOD_97_10", "MOD_11_10", "MOD_27_26", "MOD_37_36"})
    void oneOtherCharacterIsAlwaysFound(CheckDigits by) {
        var r = new Random(by.ordinal());
        String alphabet = by == CheckDigits.MOD_27_26
                ? "ABCDEFGHIJKLMNOPQRSTUVWXYZ"
                : by == CheckDigits.MOD_37_2 || by == CheckDigits.MOD_37_36 || by == CheckDigits.MOD_97_10
                        ? "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ"
                        : "0123456789";
        for (int n = 0; n < 50; n++) {
            StringBuilder body = new StringBuilder();
            for (int i = 0; i < 8; i++) {
                body.append(alphabet.charAt(r.nextInt(alphabet.length())));
            }
            String whole = proven(by, body.toString());
            int at = r.nextInt(8);
            for (char c : alphabet.toCharArray()) {
                String other = whole.substring(0, at) + c + whole.substring(at + 1);
                boolean both =
                        by == CheckDigits.MOD_97_10 && Character.isLetter(c) != Character.isLetter(whole.charAt(at));
                if (c != whole.charAt(at) && !both) {
                    assertThat(by.prove(other, List.of(), null))
                            .as(other + " for " + whole)
                            .isFalse();
                }
            }
        }
    }

    private static String proven(CheckDigits by, String body) {
        if (by != CheckDigits.MOD_97_10) {
            return body + last(by, body);
        }
        for (int i = 0; i < 97; i++) {
            String whole = body + String.format("%02d", i);
            if (by.prove(whole, List.of(), null)) {
                return whole;
            }
        }
        throw new AssertionError("none of 97 endings proves " + body);
    }

    @Test
    void weightsOfTheStreamsOwnGoFromTheRightAndBeginAgain() {
        // 4, 8, 2, 1 from the left under weights 7, 1, 3, 7 and the check digit once: 28 + 8 + 6 + 7 + d.
        assertThat(CheckDigits.WEIGHTS.prove("4821-1", List.of(7, 3, 1), 10)).isTrue();
        assertThat(CheckDigits.WEIGHTS.prove("4821-2", List.of(7, 3, 1), 10)).isFalse();
    }

    @Test
    void whatIsNoSuchNumberIsNotProven() {
        assertThat(CheckDigits.MOD_10.prove("0", List.of(), null)).isFalse();
        assertThat(CheckDigits.MOD_10.prove("49927398 7l6", List.of(), null)).isFalse();
        assertThat(CheckDigits.IBAN.prove("79444", List.of(), null)).isFalse();
        assertThat(CheckDigits.MOD_97_10.prove("", List.of(), null)).isFalse();
    }
}
