package jalon.bench.values;

import com.google.zxing.BarcodeFormat;
import java.util.List;

/** Slips with one barcode; some are torn off or covered at one end, so that what is left may read as something shorter. */
final class Coded {
    private final Worlds world;

    Coded(Worlds world) {
        this.world = world;
    }

    Made make(Hand hand) {
        Ground page = new Ground(hand.any(world.faces()));
        var truth = new Made.Truths();
        BarcodeFormat kind = hand.any(List.of(
                BarcodeFormat.CODE_128,
                BarcodeFormat.CODE_39,
                BarcodeFormat.ITF,
                BarcodeFormat.CODABAR,
                BarcodeFormat.EAN_13,
                BarcodeFormat.QR_CODE,
                BarcodeFormat.DATA_MATRIX));
        String value = switch (kind) {
            case CODE_128, QR_CODE, DATA_MATRIX -> hand.like("AA9999999");
            case CODE_39 -> hand.like("AA99999");
            case ITF -> hand.like("9999999999");
            case CODABAR -> hand.like("99999999");
            default -> ean(hand.like("999999999999"));
        };
        boolean matrix = kind == BarcodeFormat.QR_CODE || kind == BarcodeFormat.DATA_MATRIX;
        double x = hand.between(20, 80);
        double y = hand.between(40, 200);
        double wide = matrix ? 24 : hand.between(50, 90);
        page.text(20, 25, 14, "Delivery slip");
        page.text(20, 32, 10, "Halden Stores, gate " + hand.upTo(9));
        page.draw(pen -> pen.barcode(
                kind, x, y, wide, matrix ? 24 : 14, kind == BarcodeFormat.CODABAR ? "A" + value + "B" : value));
        for (int i = 0; i < 8; i++) {
            page.text(
                    20,
                    (y > 110 ? 45 : 225) + 6 * i,
                    10,
                    Tongue.ALL.get(0).prose().get(i % 5));
        }
        // With a leading 0 it is a UPC-A (ISO/IEC 15420), and this stream asks for no kind.
        truth.put("code", kind == BarcodeFormat.EAN_13 ? value.replaceFirst("^0", "") : value);
        if (!matrix && hand.oneIn(4)) {
            double cover = wide * hand.between(0.08, 0.5);
            double from = hand.oneIn(2) ? x : x + wide - cover;
            page.draw(pen ->
                    pen.ink(java.awt.Color.WHITE).fill(from, y - 1, cover, 27).ink(java.awt.Color.BLACK));
            truth.lost("code");
        }
        return new Made("slip", List.of(page), truth.map(), false);
    }

    private static String ean(String twelve) {
        int sum = 0;
        for (int i = 0; i < 12; i++) {
            sum += (twelve.charAt(i) - '0') * (i % 2 == 0 ? 1 : 3);
        }
        return twelve + (10 - sum % 10) % 10;
    }
}
