package jalon.core.page;

import java.nio.charset.StandardCharsets;

/** The kinds of file that pages come in, told by their first bytes. */
enum FileKind {
    TIFF,
    JPEG,
    PNG,
    PDF,
    EMPTY,
    UNKNOWN;

    static FileKind of(byte[] head) {
        if (head.length == 0) {
            return EMPTY;
        }
        if (starts(head, 'I', 'I', 42, 0)
                || starts(head, 'M', 'M', 0, 42)
                || starts(head, 'I', 'I', 43, 0)
                || starts(head, 'M', 'M', 0, 43)) {
            return TIFF;
        }
        if (starts(head, 0xFF, 0xD8, 0xFF)) {
            return JPEG;
        }
        if (starts(head, 0x89, 'P', 'N', 'G')) {
            return PNG;
        }
        // PDF readers have always accepted a header within the first 1024 bytes (ISO 32000-1, annex H.3.4.1).
        if (new String(head, StandardCharsets.ISO_8859_1).contains("%PDF-")) {
            return PDF;
        }
        return UNKNOWN;
    }

    private static boolean starts(byte[] head, int... magic) {
        if (head.length < magic.length) {
            return false;
        }
        for (int i = 0; i < magic.length; i++) {
            if ((head[i] & 0xFF) != magic[i]) {
                return false;
            }
        }
        return true;
    }
}
