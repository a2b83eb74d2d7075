package jalon.core.page;

import java.nio.ByteBuffer;
import java.util.Optional;

/** What a JPEG's frame header says (ISO/IEC 10918-1, B.2.2), without decoding it. */
record JpegHeader(int width, int height, int components) {

    static Optional<JpegHeader> of(byte[] jpeg) {
        ByteBuffer b = ByteBuffer.wrap(jpeg);
        int at = 2;
        while (at + 9 < jpeg.length && (jpeg[at] & 0xFF) == 0xFF) {
            int marker = jpeg[at + 1] & 0xFF;
            // SOF0 to SOF15 are frames, but for the tables and extensions among them: C4, C8 and CC.
            if (marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC) {
                return Optional.of(
                        new JpegHeader(b.getShort(at + 7) & 0xFFFF, b.getShort(at + 5) & 0xFFFF, jpeg[at + 9] & 0xFF));
            }
            at += 2 + (b.getShort(at + 2) & 0xFFFF);
        }
        return Optional.empty();
    }

    /** The JPEG as PDF/A can hold it: one or three components of a sequential or progressive frame. */
    static Optional<Encoded> asIs(byte[] jpeg, int turn) {
        return of(jpeg).filter(h -> h.components == 1 || h.components == 3)
                .map(h -> new Encoded(Encoded.Kind.JPEG, jpeg, h.width, h.height, turn, h.components == 1));
    }
}
