package jalon.core.page;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * The directory of one page of a TIFF file (TIFF 6.0, section 2; BigTIFF with 64-bit offsets).
 *
 * <p>Read by ourselves before any image reader sees the file, since those follow a chain of directories that runs in a
 * circle for ever, and return a page whose data is cut short as if it were whole.
 *
 * @param at where in the file it is
 * @param nextAt where in the file it says which directory comes next
 * @param big whether the file is a BigTIFF
 * @param loss null; or why there is no directory here and what comes after is lost, in the operator's words
 */
record TiffDirectory(Map<Integer, long[]> tags, long at, long nextAt, boolean big, String loss) {
    static final int WIDTH = 256;
    static final int HEIGHT = 257;
    static final int BITS_PER_SAMPLE = 258;
    static final int COMPRESSION = 259;
    static final int PHOTOMETRIC = 262;
    static final int FILL_ORDER = 266;
    static final int STRIP_OFFSETS = 273;
    static final int ORIENTATION = 274;
    static final int SAMPLES_PER_PIXEL = 277;
    static final int STRIP_BYTE_COUNTS = 279;
    static final int X_RESOLUTION = 282;
    static final int Y_RESOLUTION = 283;
    static final int T6_OPTIONS = 293;
    static final int RESOLUTION_UNIT = 296;
    static final int TILE_OFFSETS = 324;
    static final int TILE_BYTE_COUNTS = 325;

    /** Strips of a 60,000-row page with one row each; longer arrays are not read. */
    private static final long LONGEST_ARRAY = 70_000;

    long value(int tag, long otherwise) {
        long[] values = tags.get(tag);
        return values == null || values.length == 0 ? otherwise : values[0];
    }

    long[] values(int tag) {
        return tags.getOrDefault(tag, new long[0]);
    }

    /** Fractions are kept as thousandths: resolution is all that needs them. */
    double perInch(int tag) {
        double perUnit = value(tag, 0) / 1000.0;
        return switch ((int) value(RESOLUTION_UNIT, 2)) {
            case 2 -> perUnit;
            case 3 -> perUnit * 2.54;
            default -> 0;
        };
    }

    /** Whether every strip or tile lies inside the file. */
    boolean wholeIn(long fileLength) {
        long[] offsets = tags.containsKey(TILE_OFFSETS) ? values(TILE_OFFSETS) : values(STRIP_OFFSETS);
        long[] counts = tags.containsKey(TILE_BYTE_COUNTS) ? values(TILE_BYTE_COUNTS) : values(STRIP_BYTE_COUNTS);
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
                pages.add(lost("the TIFF file's list of pages runs in a circle after page " + pages.size()));
                return pages;
            }
            if (pages.size() >= PageSize.MOST_PAGES) {
                throw new UnreadableFile(
                        "the file has more than " + PageSize.MOST_PAGES + " pages; split it and send it again");
            }
            try {
                TiffDirectory page = reader.directory(at);
                at = reader.next(page);
                pages.add(page);
            } catch (IOException e) {
                if (pages.isEmpty()) {
                    throw e;
                }
                pages.add(lost("the TIFF file is cut short after page " + pages.size()));
                return pages;
            }
        }
        return pages;
    }

    /** What came whole is kept; one page stands for the loss, so that it is told and counted. */
    private static TiffDirectory lost(String what) {
        return new TiffDirectory(
                Map.of(), 0, 0, false, what + "; the pages before were taken, send or scan the rest again");
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

        /** A tag whose values lie beyond the file is left out: the pages after this one may still be good. */
        TiffDirectory directory(long at) throws IOException {
            Map<Integer, long[]> tags = new TreeMap<>();
            long count = big ? bytes(at, 8).getLong() : bytes(at, 2).getShort() & 0xFFFF;
            if (count < 0 || count > 4096) {
                throw new IOException("a directory of " + count + " entries");
            }
            int entrySize = big ? 20 : 12;
            int head = big ? 8 : 2;
            ByteBuffer entries = bytes(at + head, (int) count * entrySize);
            for (int i = 0; i < count; i++) {
                int e = i * entrySize;
                int tag = entries.getShort(e) & 0xFFFF;
                int type = entries.getShort(e + 2) & 0xFFFF;
                long n = big ? entries.getLong(e + 4) : entries.getInt(e + 4) & 0xFFFFFFFFL;
                int size = sizeOf(type);
                if (size == 0 || n < 0 || n > LONGEST_ARRAY || tag > TILE_BYTE_COUNTS) {
                    continue;
                }
                int valueAt = e + (big ? 12 : 8);
                long room = big ? 8 : 4;
                long elsewhere = big ? entries.getLong(valueAt) : entries.getInt(valueAt) & 0xFFFFFFFFL;
                if (n * size <= room) {
                    tags.put(tag, numbers(entries.slice(valueAt, (int) room).order(order), type, (int) n));
                } else if (elsewhere >= 0 && elsewhere + n * size <= file.size()) {
                    tags.put(tag, numbers(bytes(elsewhere, (int) n * size), type, (int) n));
                }
            }
            return new TiffDirectory(tags, at, at + head + count * entrySize, big, null);
        }

        private static int sizeOf(int type) {
            return switch (type) {
                case 1, 2, 6, 7 -> 1;
                case 3, 8 -> 2;
                case 4, 9, 13 -> 4;
                case 5, 10, 16, 17, 18 -> 8;
                default -> 0;
            };
        }

        private static long[] numbers(ByteBuffer b, int type, int n) {
            long[] out = new long[n];
            for (int i = 0; i < n; i++) {
                out[i] = switch (type) {
                    case 3, 8 -> b.getShort(2 * i) & 0xFFFF;
                    case 4, 9, 13 -> b.getInt(4 * i) & 0xFFFFFFFFL;
                    case 5, 10 -> {
                        long numerator = b.getInt(8 * i) & 0xFFFFFFFFL;
                        long denominator = b.getInt(8 * i + 4) & 0xFFFFFFFFL;
                        yield denominator == 0 ? 0 : numerator * 1000 / denominator;
                    }
                    case 16, 17, 18 -> b.getLong(8 * i);
                    default -> b.get(i) & 0xFF;
                };
            }
            return out;
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
