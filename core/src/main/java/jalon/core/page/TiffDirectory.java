package jalon.core.page;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The directory of one page of a TIFF file (TIFF 6.0, section 2; BigTIFF with 64-bit offsets).
 *
 * <p>The chain of directories is followed by ourselves before any image reader sees the file, since those follow one
 * that runs in a circle for ever, and return a page whose data is cut short as if it were whole.
 *
 * @param at where in the file it is
 * @param nextAt where in the file it says which directory comes next
 * @param big whether the file is a BigTIFF
 * @param loss null; or why there is no directory here and what comes after is lost
 */
record TiffDirectory(TiffTags tags, long at, long nextAt, boolean big, Unread loss) {

    /** Whether every strip or tile lies inside the file. */
    boolean wholeIn(long fileLength) {
        boolean tiles = tags.has(TiffTags.TILE_OFFSETS);
        long[] offsets = tags.values(tiles ? TiffTags.TILE_OFFSETS : TiffTags.STRIP_OFFSETS);
        long[] counts = tags.values(tiles ? TiffTags.TILE_BYTE_COUNTS : TiffTags.STRIP_BYTE_COUNTS);
        if (offsets.length == 0) {
            return false;
        }
        for (int i = 0; i < offsets.length; i++) {
            long count = i < counts.length ? counts[i] : 0;
            if (offsets[i] <= 0 || count < 0 || offsets[i] + count > fileLength) {
                return false;
            }
        }
        return true;
    }

    static List<TiffDirectory> readAll(FileChannel file) throws IOException, UnreadableFile {
        var reader = new Reader(file);
        List<TiffDirectory> pages = new ArrayList<>();
        Set<Long> seen = new HashSet<>();
        long at = reader.firstDirectory();
        while (at != 0) {
            if (!seen.add(at)) {
                pages.add(lost(Unread.Code.TIFF_CIRCLE.with(pages.size())));
                return pages;
            }
            if (pages.size() >= PageSize.MOST_PAGES) {
                throw new UnreadableFile(Unread.Code.TOO_MANY_PAGES.with(PageSize.MOST_PAGES));
            }
            try {
                TiffDirectory page = reader.directory(at);
                at = reader.next(page);
                pages.add(page);
            } catch (IOException e) {
                if (pages.isEmpty()) {
                    throw e;
                }
                pages.add(lost(Unread.Code.TIFF_CUT_SHORT_AFTER.with(pages.size())));
                return pages;
            }
        }
        return pages;
    }

    /** What came whole is kept; one page stands for the loss, so that it is told and counted. */
    private static TiffDirectory lost(Unread what) {
        return new TiffDirectory(TiffTags.NONE, 0, 0, false, what);
    }

    private static final class Reader {
        private final FileChannel file;
        private final ByteOrder order;
        private final boolean big;

        Reader(FileChannel file) throws IOException {
            this.file = file;
            byte[] mark = bytes(0, 2).array();
            order = mark[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
            big = bytes(2, 2).getShort() == 43;
        }

        long firstDirectory() throws IOException {
            return big ? bytes(8, 8).getLong() : bytes(4, 4).getInt() & 0xFFFFFFFFL;
        }

        /** Where the directory after this one is, 0 for none. */
        long next(TiffDirectory page) throws IOException {
            return big ? bytes(page.nextAt, 8).getLong() : bytes(page.nextAt, 4).getInt() & 0xFFFFFFFFL;
        }

        TiffDirectory directory(long at) throws IOException {
            long count = big ? bytes(at, 8).getLong() : bytes(at, 2).getShort() & 0xFFFF;
            if (count < 0 || count > 4096) {
                throw new IOException("a directory of " + count + " entries");
            }
            long nextAt = at + (big ? 8 + 20 * count : 2 + 12 * count);
            try (var alone = new LonePage(file, at, nextAt, big)) {
                return new TiffDirectory(TiffTags.of(alone), at, nextAt, big, null);
            }
        }

        private ByteBuffer bytes(long at, int length) throws IOException {
            if (at < 0 || at + length > file.size()) {
                throw new IOException("points beyond the end of the file");
            }
            ByteBuffer b = ByteBuffer.allocate(length).order(order == null ? ByteOrder.BIG_ENDIAN : order);
            while (b.hasRemaining()) {
                if (file.read(b, at + b.position()) < 0) {
                    throw new IOException("ends early");
                }
            }
            return b.flip();
        }
    }
}
