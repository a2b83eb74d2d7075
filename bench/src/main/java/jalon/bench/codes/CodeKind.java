package jalon.bench.codes;

import com.google.zxing.BarcodeFormat;
import java.util.Random;

/** The kinds of code, each with what may stand in it and how small its cells are printed. */
enum CodeKind {
    CODE_128(BarcodeFormat.CODE_128, 0.25),
    CODE_39(BarcodeFormat.CODE_39, 0.25),
    CODE_93(BarcodeFormat.CODE_93, 0.25),
    ITF(BarcodeFormat.ITF, 0.27),
    CODABAR(BarcodeFormat.CODABAR, 0.27),
    EAN_13(BarcodeFormat.EAN_13, 0.28),
    EAN_8(BarcodeFormat.EAN_8, 0.28),
    UPC_A(BarcodeFormat.UPC_A, 0.28),
    UPC_E(BarcodeFormat.UPC_E, 0.28),
    QR_CODE(BarcodeFormat.QR_CODE, 0.45),
    DATA_MATRIX(BarcodeFormat.DATA_MATRIX, 0.45),
    AZTEC(BarcodeFormat.AZTEC, 0.5),
    PDF_417(BarcodeFormat.PDF_417, 0.28);

    final BarcodeFormat format;
    final double leastMm;

    CodeKind(BarcodeFormat format, double leastMm) {
        this.format = format;
        this.leastMm = leastMm;
    }

    boolean matrix() {
        return this == QR_CODE || this == DATA_MATRIX || this == AZTEC;
    }

    /** What stands in it, check digits and, for Codabar, start and stop among it. */
    String value(Random r) {
        return switch (this) {
            case CODE_128 ->
                r.nextBoolean() ? letters(r, 2) + "-" + digits(r, 5 + r.nextInt(6)) : digits(r, 8 + 2 * r.nextInt(5));
            case CODE_39, CODE_93 -> letters(r, 1 + r.nextInt(3)) + digits(r, 4 + r.nextInt(5));
            case ITF -> digits(r, 6 + 2 * r.nextInt(5));
            case CODABAR -> "ABCD".charAt(r.nextInt(4)) + digits(r, 6 + r.nextInt(6)) + "ABCD".charAt(r.nextInt(4));
            case EAN_13 -> checked((1 + r.nextInt(9)) + digits(r, 11));
            case EAN_8 -> checked(digits(r, 7));
            case UPC_A -> checked(digits(r, 11));
            case UPC_E -> upcE(r);
            case QR_CODE, DATA_MATRIX, AZTEC -> letters(r, 2) + digits(r, 4 + r.nextInt(14)) + letters(r, r.nextInt(9));
            case PDF_417 -> letters(r, 3) + digits(r, 6 + r.nextInt(20));
        };
    }

    private static String letters(Random r, int n) {
        return r.ints(n, 'A', 'Z' + 1)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    private static String digits(Random r, int n) {
        return r.ints(n, '0', '9' + 1)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    /** With the check digit of the goods numbers: weights 3 and 1 from the right (ISO/IEC 15420). */
    private static String checked(String digits) {
        int sum = 0;
        for (int i = 0; i < digits.length(); i++) {
            sum += (digits.charAt(digits.length() - 1 - i) - '0') * (i % 2 == 0 ? 3 : 1);
        }
        return digits + (10 - sum % 10) % 10;
    }

    /** A number of system 0 with six digits; its check digit is that of the long number that it stands for. */
    private static String upcE(Random r) {
        String six = digits(r, 5) + r.nextInt(3);
        String made = "0" + six.substring(0, 2) + six.charAt(5) + "0000" + six.substring(2, 5);
        String all = checked(made);
        return "0" + six + all.charAt(all.length() - 1);
    }
}
