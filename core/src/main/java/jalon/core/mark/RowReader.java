package jalon.core.mark;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.DecodeHintType;
import com.google.zxing.ReaderException;
import com.google.zxing.Result;
import com.google.zxing.common.BitArray;
import com.google.zxing.oned.CodaBarReader;
import com.google.zxing.oned.Code128Reader;
import com.google.zxing.oned.Code39Reader;
import com.google.zxing.oned.Code93Reader;
import com.google.zxing.oned.EAN13Reader;
import com.google.zxing.oned.EAN8Reader;
import com.google.zxing.oned.ITFReader;
import com.google.zxing.oned.OneDReader;
import com.google.zxing.oned.UPCEReader;
import jalon.core.image.GrayPlane;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads codes made of bars on a place where the bars stand upright. The place is made straight by its own edges; bands
 * across it are each averaged along the bars, which takes grain and specks out, made finer and turned to black and white by
 * what is near; what bands agree on is read. A value seen by one band only, or one whose bars go on beyond its end, is none:
 * half of a code without a check digit looks like a whole one.
 */
final class RowReader {
    /**
     * A code, and where on the straightened place it stands: pixels, from 0 to 1 of its height.
     *
     * @param agreement the share of the bands looked at along it that read it
     */
    record Code(
            BarcodeFormat format,
            String value,
            double left,
            double right,
            double top,
            double bottom,
            double agreement) {}

    /** Windows for the threshold, mm: about three fine cells, and a wide one for soft light on plain bars. */
    private static final double[] WINDOWS_MM = {1.4, 4.5};

    private static final int ENOUGH_VOTES = 4;
    private static final int LEAST_VOTES = 2;

    private static final int SHORTEST_UNCHECKED = 6;

    /** No check digit: bars of anything can pass for a short one, so that the ends must be ends and more bands agree. */
    private static final Set<BarcodeFormat> UNCHECKED = Set.of(BarcodeFormat.ITF, BarcodeFormat.CODABAR);

    private static final double STACKED_WINDOW_MM = 3;

    private static final Map<DecodeHintType, Object> HINTS = hints();

    private RowReader() {}

    private static Map<DecodeHintType, Object> hints() {
        Map<DecodeHintType, Object> hints = new EnumMap<>(DecodeHintType.class);
        hints.put(DecodeHintType.TRY_HARDER, Boolean.TRUE);
        hints.put(DecodeHintType.RETURN_CODABAR_START_END, Boolean.TRUE);
        return Map.copyOf(hints);
    }

    /** Readers keep what they read in themselves: each look has its own. */
    private static List<OneDReader> readers(BarcodesWanted wanted) {
        Map<BarcodeFormat, OneDReader> all = new LinkedHashMap<>();
        all.put(BarcodeFormat.CODE_128, new Code128Reader());
        all.put(BarcodeFormat.EAN_13, new EAN13Reader());
        all.put(BarcodeFormat.CODE_39, new Code39Reader());
        all.put(BarcodeFormat.CODE_93, new Code93Reader());
        all.put(BarcodeFormat.EAN_8, new EAN8Reader());
        all.put(BarcodeFormat.UPC_E, new UPCEReader());
        all.put(BarcodeFormat.ITF, new ITFReader());
        all.put(BarcodeFormat.CODABAR, new CodaBarReader());
        all.keySet().removeIf(k -> !wanted.kind(k));
        return List.copyOf(all.values());
    }

    /**
     * What was read.
     *
     * @param turned degrees by which the place leaned
     * @param stacked the place made straight, where nothing was read and the bars at an end are those of PDF417; else null
     */
    record Found(List<Code> codes, double turned, GrayPlane stacked) {}

    static Found read(GrayPlane place, BarcodesWanted wanted) {
        double tilt = Tilt.of(place);
        GrayPlane straight = tilt == 0 ? place : place.rotated(-tilt);
        List<BarBand> bands = BarBand.across(straight);
        List<Code> codes = bands.size() < LEAST_VOTES ? List.of() : codes(bands, place, readers(wanted));
        boolean stacked = codes.isEmpty()
                && bands.stream().anyMatch(b -> StackedStart.isIn(b.black((int) place.inPixels(STACKED_WINDOW_MM))));
        return new Found(codes, tilt, stacked ? straight : null);
    }

    private static final class Vote {
        final Result result;
        final double left;
        final double right;
        double top = 1;
        double bottom;
        final BitSet bands = new BitSet();

        Vote(Result result, double left, double right) {
            this.result = result;
            this.left = left;
            this.right = right;
        }

        boolean unchecked() {
            return UNCHECKED.contains(result.getBarcodeFormat());
        }

        double agreement() {
            return (double) bands.cardinality() / (bands.length() - bands.nextSetBit(0));
        }

        boolean holds() {
            return bands.cardinality() >= (unchecked() ? LEAST_VOTES + 1 : LEAST_VOTES);
        }
    }

    private static List<Code> codes(List<BarBand> bands, GrayPlane p, List<OneDReader> readers) {
        Map<String, Vote> votes = new LinkedHashMap<>();
        for (double window : WINDOWS_MM) {
            for (int i = 0; i < bands.size(); i++) {
                BarBand band = bands.get(i);
                look(band.black((int) p.inPixels(window)), readers, band, i, votes);
                if (settled(votes, i)) {
                    break;
                }
            }
            if (votes.values().stream().anyMatch(Vote::holds)) {
                break;
            }
        }
        return chosen(votes);
    }

    /** Codes one above the other need all bands; one that all bands saw alike does not. */
    private static boolean settled(Map<String, Vote> votes, int upTo) {
        return votes.size() == 1
                && votes.values().iterator().next().bands.cardinality() > Math.max(ENOUGH_VOTES, upTo / 2);
    }

    /** Of values that stand in the same place, the one that most bands saw; of equally many, the longer one. */
    private static List<Code> chosen(Map<String, Vote> votes) {
        List<Vote> held =
                new ArrayList<>(votes.values().stream().filter(Vote::holds).toList());
        held.sort(Comparator.comparingInt((Vote v) -> v.bands.cardinality())
                .thenComparingInt(v -> v.result.getText().length())
                .reversed());
        List<Vote> kept = new ArrayList<>();
        for (Vote v : held) {
            boolean taken = kept.stream()
                    .anyMatch(k -> v.left < k.right && k.left < v.right && v.top < k.bottom && k.top < v.bottom);
            if (!taken) {
                kept.add(v);
            }
        }
        return kept.stream()
                .map(v -> new Code(
                        v.result.getBarcodeFormat(),
                        v.result.getText(),
                        v.left,
                        v.right,
                        v.top,
                        v.bottom,
                        v.agreement()))
                .toList();
    }

    private static void look(BitArray row, List<OneDReader> readers, BarBand band, int no, Map<String, Vote> votes) {
        var turned = new BitArray(row.getSize());
        for (int i = 0; i < row.getSize(); i++) {
            if (row.get(i)) {
                turned.set(row.getSize() - 1 - i);
            }
        }
        for (boolean back : new boolean[] {false, true}) {
            BitArray bits = back ? turned : row;
            for (OneDReader reader : readers) {
                // What stands beside the first code is found behind it.
                int from = 0;
                while (from >= 0) {
                    from = one(bits, from, back, reader, band, no, votes);
                }
            }
        }
    }

    /** @return where the rest of the row begins, or -1 when nothing more was read */
    private static int one(
            BitArray bits, int from, boolean back, OneDReader reader, BarBand band, int no, Map<String, Vote> votes) {
        BitArray rest = from == 0 ? bits : behind(bits, from);
        try {
            Result r = reader.decodeRow(0, rest, HINTS);
            Optional<RowEnds> ends = RowEnds.of(rest, r);
            if (ends.isEmpty() || !PrintedWidths.are(rest, ends.get(), r)) {
                return -1;
            }
            double left = from + ends.get().left();
            double right = from + ends.get().right();
            double size = bits.getSize();
            double a = (back ? size - right : left) / BarBand.FINER;
            double b = (back ? size - left : right) / BarBand.FINER;
            if (r.getText().length() >= (UNCHECKED.contains(r.getBarcodeFormat()) ? SHORTEST_UNCHECKED : 1)) {
                // The same value twice on a line are two codes.
                String key = r.getBarcodeFormat() + " " + r.getText();
                Vote vote = votes.computeIfAbsent(key, k -> new Vote(r, a, b));
                vote.top = Math.min(vote.top, band.top());
                vote.bottom = Math.max(vote.bottom, band.bottom());
                vote.bands.set(no);
            }
            return (int) right + 1 < bits.getSize() - BarBand.LEAST_EDGES ? (int) right + 1 : -1;
        } catch (ReaderException | ArrayIndexOutOfBoundsException | IllegalArgumentException e) {
            // The decoders meet arbitrary bars here and not all of them check their bounds; nothing was read.
            return -1;
        }
    }

    private static BitArray behind(BitArray bits, int from) {
        var rest = new BitArray(bits.getSize() - from);
        for (int i = from; i < bits.getSize(); i++) {
            if (bits.get(i)) {
                rest.set(i - from);
            }
        }
        return rest;
    }
}
