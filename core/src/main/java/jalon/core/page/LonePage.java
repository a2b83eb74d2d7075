package jalon.core.page;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import javax.imageio.stream.ImageInputStreamImpl;

/**
 * A TIFF file as if it had one page: the head points to that page's directory, and that one to none. Image readers walk
 * along all directories before the one they are asked for, again for each page, and some of them for ever where the list
 * leads back into itself.
 */
final class LonePage extends ImageInputStreamImpl {
    private final FileChannel file;
    private final Patch head;
    private final Patch next;
    private final ByteBuffer one = ByteBuffer.allocate(1);

    /** Bytes that are seen instead of those in the file. */
    private record Patch(long at, byte[] bytes) {
        void over(byte[] seen, int from, int length, long position) {
            for (int i = 0; i < bytes.length; i++) {
                long where = at + i - position;
                if (where >= 0 && where < length) {
                    seen[from + (int) where] = bytes[i];
                }
            }
        }
    }

    /**
     * @param at where the page's directory is
     * @param nextAt where it says which comes next
     * @param big whether the file is a BigTIFF
     */
    LonePage(FileChannel file, long at, long nextAt, boolean big) throws IOException {
        this.file = file;
        ByteBuffer mark = ByteBuffer.allocate(1);
        file.read(mark, 0);
        ByteOrder order = mark.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
        head = big
                ? new Patch(8, ByteBuffer.allocate(8).order(order).putLong(at).array())
                : new Patch(
                        4, ByteBuffer.allocate(4).order(order).putInt((int) at).array());
        next = new Patch(nextAt, new byte[big ? 8 : 4]);
    }

    @Override
    public int read() throws IOException {
        return read(one.array(), 0, 1) < 0 ? -1 : one.get(0) & 0xFF;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        bitOffset = 0;
        int n = file.read(ByteBuffer.wrap(into, from, length), streamPos);
        if (n > 0) {
            head.over(into, from, n, streamPos);
            next.over(into, from, n, streamPos);
            streamPos += n;
        }
        return n;
    }

    @Override
    public long length() {
        try {
            return file.size();
        } catch (IOException e) {
            return -1;
        }
    }
}
