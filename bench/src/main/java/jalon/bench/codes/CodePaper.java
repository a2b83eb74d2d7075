package jalon.bench.codes;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.MultiFormatWriter;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import jalon.bench.Jpegs;
import jalon.bench.paper.Leaf;
import jalon.core.image.GrayPlane;
import jalon.demo.Pen;
import jalon.demo.Scanner;
import jalon.demo.Wear;
import java.awt.Font;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Pages with codes on them, as scanners and cameras give them. */
final class CodePaper {
    enum Wearing {
        CLEAN,
        WORN,
        CAMERA,
        CLOSE
    }

    /** @param value with start and stop letters, where the kind has them */
    record Printed(CodeKind kind, String value) {}

    /** @param dpi as a reader is told */
    record Page(BufferedImage image, int dpi, Wearing wearing, List<Printed> codes) {}

    /** Rows run into each other on paper, mm. */
    private static final double JOINED = 0.04;

    private static final int[] RESOLUTIONS = {150, 200, 240, 300, 400};
    private static final String[] FACES = {"Liberation Sans", "DejaVu Serif", "Liberation Serif", "Carlito"};

    private final Random r;
    private final List<Rectangle2D> taken = new ArrayList<>();

    private CodePaper(Random r) {
        this.r = r;
    }

    static Page page(Wearing wearing, Random r) {
        return new CodePaper(r).made(wearing);
    }

    private Page made(Wearing wearing) {
        int dpi = wearing == Wearing.CAMERA
                ? 220
                : wearing == Wearing.CLOSE ? 400 : RESOLUTIONS[r.nextInt(RESOLUTIONS.length)];
        var leaf = new Leaf(new Font(FACES[r.nextInt(FACES.length)], Font.PLAIN, 12));
        List<Printed> codes = new ArrayList<>();
        int wanted = wearing == Wearing.CLOSE ? 1 : 1 + r.nextInt(4);
        for (int i = 0; i < wanted; i++) {
            CodeKind kind = CodeKind.values()[r.nextInt(CodeKind.values().length)];
            String value = kind.value(r);
            if (placed(leaf, kind, value, dpi)) {
                codes.add(new Printed(kind, value));
            }
        }
        lines(leaf);
        boolean photographed = wearing == Wearing.CAMERA || wearing == Wearing.CLOSE;
        boolean bitonal = !photographed && r.nextInt(3) == 0;
        double skew = (wearing == Wearing.CLEAN ? 2 : wearing == Wearing.WORN ? 16 : 6) * (r.nextDouble() - 0.5);
        var setting = new Scanner.Setting(
                bitonal ? Scanner.Mode.BITONAL : Scanner.Mode.GREY,
                dpi,
                skew,
                0,
                0,
                r.nextInt(4) == 0,
                r.nextInt(4) == 0);
        BufferedImage image = Scanner.scan(leaf, setting, r);
        if (wearing == Wearing.WORN && !bitonal) {
            image = worn(image, dpi);
        }
        if (wearing == Wearing.CLOSE) {
            image = close(image, dpi);
        }
        if (photographed) {
            image = Camera.taken(image, r);
            dpi = (int) Math.round(Math.max(image.getHeight(), image.getWidth()) / 11.69);
        }
        return new Page(turned(image, 90 * r.nextInt(4)), dpi, wearing, codes);
    }

    /** The part of the sheet around its code. */
    private BufferedImage close(BufferedImage image, int dpi) {
        double pixels = dpi / 25.4;
        double around = 4 + 30 * r.nextDouble();
        Rectangle2D code = taken.get(0);
        var part = new Rectangle2D.Double(
                        (code.getX() - around) * pixels,
                        (code.getY() - around) * pixels,
                        (code.getWidth() + 2 * around) * pixels,
                        (code.getHeight() + 2 * around) * pixels)
                .createIntersection(new Rectangle2D.Double(0, 0, image.getWidth(), image.getHeight()));
        return image(GrayPlane.of(image, dpi)
                .cut((int) part.getX(), (int) part.getY(), (int) part.getWidth(), (int) part.getHeight()));
    }

    private BufferedImage worn(BufferedImage image, int dpi) {
        return switch (r.nextInt(5)) {
            case 0 -> Wear.faded(image, 0.3 + 0.3 * r.nextDouble());
            case 1 -> Wear.blurred(image, dpi, 0.05 + 0.06 * r.nextDouble());
            case 2 -> Wear.shaded(image, 0.25 + 0.25 * r.nextDouble());
            case 3 -> Wear.draw(image, dpi, g -> Wear.specks(g, 4 + 6 * r.nextDouble(), 210, 297, r));
            default -> Jpegs.through(image, 0.3 + 0.4 * r.nextDouble());
        };
    }

    /** Whether there was room for it. */
    private boolean placed(Leaf leaf, CodeKind kind, String value, int dpi) {
        BitMatrix bars = bars(kind, value);
        // Two pixels a cell are the least that a scanner can keep apart.
        double cell = Math.max(kind.leastMm, 2.0 * 25.4 / dpi) * (1 + 0.5 * r.nextDouble());
        boolean tall = kind.matrix() || kind == CodeKind.PDF_417;
        double w = bars.getWidth() * cell;

        double h = tall ? bars.getHeight() * cell : 7 + 9 * r.nextDouble();
        boolean standing = r.nextInt(5) == 0;
        double quiet = kind.matrix() ? 4 * cell : 10 * cell;
        double outerW = (standing ? h : w) + 2 * quiet;
        double outerH = (standing ? w : h) + 2 * quiet;
        for (int tries = 0; tries < 40; tries++) {
            double x = 8 + (194 - outerW) * r.nextDouble();
            double y = 12 + (270 - outerH) * r.nextDouble();
            var box = new Rectangle2D.Double(x, y, outerW, outerH);
            if (outerW > 194 || outerH > 270 || taken.stream().anyMatch(box::intersects)) {
                continue;
            }
            taken.add(box);
            leaf.draw(pen -> draw(pen, bars, x + quiet, y + quiet, cell, tall ? cell : h, standing));
            return true;
        }
        return false;
    }

    private static BitMatrix bars(CodeKind kind, String value) {
        Map<EncodeHintType, Object> hints = new EnumMap<>(EncodeHintType.class);
        hints.put(EncodeHintType.MARGIN, 0);
        try {
            BitMatrix made = new MultiFormatWriter().encode(value, kind.format, 0, 0, hints);
            return kind.format == BarcodeFormat.PDF_417 && made.getHeight() > made.getWidth() ? turned(made) : made;
        } catch (WriterException e) {
            throw new IllegalArgumentException("no " + kind + " for " + value, e);
        }
    }

    private static BitMatrix turned(BitMatrix m) {
        m.rotate(90);
        return m;
    }

    /** @param rowMm height of a row of cells: of all the bars where there is one row */
    private static void draw(Pen pen, BitMatrix bars, double x, double y, double cell, double rowMm, boolean standing) {
        for (int row = 0; row < bars.getHeight(); row++) {
            for (int from = 0; from < bars.getWidth(); from++) {
                int to = from;
                while (to < bars.getWidth() && bars.get(to, row)) {
                    to++;
                }
                if (to > from && standing) {
                    pen.fill(
                            x + (bars.getHeight() - 1 - row) * rowMm,
                            y + from * cell,
                            rowMm + JOINED,
                            (to - from) * cell);
                } else if (to > from) {
                    pen.fill(x + from * cell, y + row * rowMm, (to - from) * cell, rowMm + JOINED);
                }
                from = Math.max(from, to);
            }
        }
    }

    private void lines(Leaf leaf) {
        for (double y = 20; y < 280; y += 5 + 4 * r.nextDouble()) {
            double x = 15 + 20 * r.nextDouble();
            String text = words();
            double w = Leaf.width(leaf.face(), 10, text);
            var box = new Rectangle2D.Double(x, y - 4, w, 5);
            if (taken.stream().noneMatch(box::intersects) && x + w < 200) {
                leaf.text(x, y, 10, text);
            }
        }
    }

    private String words() {
        var text = new StringBuilder();
        for (int i = 0; i < 3 + r.nextInt(8); i++) {
            r.ints(2 + r.nextInt(8), 'a', 'z' + 1).forEach(text::appendCodePoint);
            text.append(r.nextInt(5) == 0 ? " " + r.nextInt(10_000) + " " : " ");
        }
        return text.toString();
    }

    private static BufferedImage turned(BufferedImage image, int degrees) {
        return image(GrayPlane.of(image, 100).turned(degrees));
    }

    private static BufferedImage image(GrayPlane plane) {
        var image = new BufferedImage(plane.width(), plane.height(), BufferedImage.TYPE_BYTE_GRAY);
        byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        System.arraycopy(plane.pixels(), 0, to, 0, to.length);
        return image;
    }
}
