package jalon.core.register;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/**
 * The bytes of a register's file as text: by its mark where it has one, else UTF-8, else what spreadsheets write in Western
 * Europe.
 *
 * @param encoding that it was taken for
 */
public record RegisterText(String text, Charset encoding) {
    private static final Charset SPREADSHEET = Charset.forName("windows-1252");

    public static RegisterText of(byte[] bytes) {
        if (begins(bytes, 0xEF, 0xBB, 0xBF)) {
            return new RegisterText(
                    new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8), StandardCharsets.UTF_8);
        }
        if (begins(bytes, 0xFF, 0xFE) || begins(bytes, 0xFE, 0xFF)) {
            return new RegisterText(new String(bytes, StandardCharsets.UTF_16), StandardCharsets.UTF_16);
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return new RegisterText(text, StandardCharsets.UTF_8);
        } catch (CharacterCodingException e) {
            return new RegisterText(new String(bytes, SPREADSHEET), SPREADSHEET);
        }
    }

    private static boolean begins(byte[] bytes, int... mark) {
        for (int i = 0; i < mark.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xFF) != mark[i]) {
                return false;
            }
        }
        return true;
    }
}
