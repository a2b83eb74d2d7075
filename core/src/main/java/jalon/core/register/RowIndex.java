package jalon.core.register;

import java.util.Arrays;
import java.util.List;

/**
 * Which rows have a key: pairs of a key's hash and a row, sorted. A million rows take some hundred megabytes; a key that shares
 * its hash with another brings a few rows too many, which are compared like all others.
 */
final class RowIndex {
    private final long[] pairs;

    private RowIndex(long[] pairs) {
        this.pairs = pairs;
    }

    /** Pairs in the order in which they come. */
    static final class Pairs {
        private long[] pairs = new long[1024];
        private int size;

        void add(String key, int row) {
            if (size == pairs.length) {
                pairs = Arrays.copyOf(pairs, size + size / 2);
            }
            pairs[size++] = start(key) | row;
        }
    }

    static RowIndex of(List<Pairs> parts) {
        long[] all = new long[parts.stream().mapToInt(p -> p.size).sum()];
        int at = 0;
        for (Pairs part : parts) {
            System.arraycopy(part.pairs, 0, all, at, part.size);
            at += part.size;
        }
        Arrays.parallelSort(all);
        int kept = 0;
        for (int i = 0; i < all.length; i++) {
            if (i == 0 || all[i] != all[i - 1]) {
                all[kept++] = all[i];
            }
        }
        return new RowIndex(Arrays.copyOf(all, kept));
    }

    private static long start(String key) {
        // FNV-1a: the hash of strings keeps the letters of short keys apart too little.
        int hash = 0x811c9dc5;
        for (int i = 0; i < key.length(); i++) {
            hash = (hash ^ key.charAt(i)) * 0x01000193;
        }
        hash ^= hash >>> 15;
        return (long) (hash & 0x7fffffff) << 32;
    }

    private int from(long pair) {
        int at = Arrays.binarySearch(pairs, pair);
        return at < 0 ? -at - 1 : at;
    }

    int count(String key) {
        long start = start(key);
        return from(start + (1L << 32)) - from(start);
    }

    /** The rows that have a key, none where there are more than so many. */
    int[] rows(String key, int most) {
        long start = start(key);
        int from = from(start);
        int to = from(start + (1L << 32));
        if (to - from > most) {
            return new int[0];
        }
        int[] rows = new int[to - from];
        for (int i = from; i < to; i++) {
            rows[i - from] = (int) pairs[i];
        }
        return rows;
    }
}
