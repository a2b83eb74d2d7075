package jalon.core.page;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The name that bytes are known by (FIPS 180-4), in lower-case hex. */
public final class Sha256 {
    private Sha256() {}

    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Of all that is left in a stream, which is not closed. */
    public static String of(InputStream in) throws IOException {
        var digesting = new DigestInputStream(in, digest());
        digesting.transferTo(OutputStream.nullOutputStream());
        return HexFormat.of().formatHex(digesting.getMessageDigest().digest());
    }

    /** Of a text's bytes in UTF-8. */
    public static String of(String text) {
        return HexFormat.of().formatHex(digest().digest(text.getBytes(StandardCharsets.UTF_8)));
    }

    public static String of(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return of(in);
        }
    }
}
