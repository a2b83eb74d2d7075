package jalon.core.image;

import jalon.core.page.Box;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A little print between two dashes, as page numbers are set: "– 2 –". Engines that read lines as a whole take the three for
 * one odd letter; without its dashes the number is read.
 *
 * @param number the line with nothing but what stands between the dashes
 * @param signs how many letters or digits that is
 */
public record BetweenDashes(GrayPlane number, int signs) {
    /** A dash is flat: so much of the height of what it stands beside at most. */
    private static final double FLAT = 0.35;

    /** And as long as this share of it at least. */
    private static final double LONG = 0.25;

    /** Its middle lies in the middle of the print, up to so much of its height off. */
    private static final double OFF_MIDDLE = 0.25;

    private static final double SPECK_MM = 0.3;

    /** More than half of such a cut is paper. */
    private static final double PAPER = 0.6;

    /** Three digits are wide as this, in heights. */
    private static final double WIDEST = 3;

    /**
     * @param cut a line of print and the paper around it, straight
     * @return empty where there are no two dashes with a little print between them
     */
    public static Optional<BetweenDashes> in(GrayPlane cut) {
        int threshold = Threshold.of(cut);
        boolean[] ink = new boolean[cut.width() * cut.height()];
        for (int i = 0; i < ink.length; i++) {
            ink[i] = (cut.pixels()[i] & 0xFF) < threshold;
        }
        List<Box> print = print(new Blobs(ink, cut.width(), cut.height()), cut);
        if (print.size() < 3) {
            return Optional.empty();
        }
        Box first = print.get(0);
        Box last = print.get(print.size() - 1);
        Box number =
                print.subList(1, print.size() - 1).stream().reduce(Box::union).orElseThrow();
        boolean apart = first.right() < number.x() && number.right() < last.x();
        boolean few = number.width() <= WIDEST * number.height();
        return apart && few && isDash(first, number) && isDash(last, number)
                ? Optional.of(new BetweenDashes(only(number, cut), print.size() - 2))
                : Optional.empty();
    }

    private static GrayPlane only(Box number, GrayPlane cut) {
        byte[] out = new byte[cut.pixels().length];
        Arrays.fill(out, (byte) cut.percentile(0, 0, cut.width(), cut.height(), 1, PAPER));
        int from = (int) cut.inPixels(number.x() - SPECK_MM);
        int to = (int) cut.inPixels(number.right() + SPECK_MM);
        for (int y = 0; y < cut.height(); y++) {
            System.arraycopy(cut.pixels(), y * cut.width() + from, out, y * cut.width() + from, to - from);
        }
        return new GrayPlane(cut.width(), cut.height(), out, cut.dpi());
    }

    /** From left to right, without specks and what reaches the sides. */
    private static List<Box> print(Blobs blobs, GrayPlane cut) {
        List<Box> found = new ArrayList<>();
        double mm = 1 / cut.inPixels(1);
        for (int b = 0; b < blobs.count; b++) {
            var box = new Box(blobs.left[b] * mm, blobs.top[b] * mm, blobs.width(b) * mm, blobs.height(b) * mm);
            boolean atSide = blobs.left[b] == 0
                    || blobs.top[b] == 0
                    || blobs.right[b] == cut.width() - 1
                    || blobs.bottom[b] == cut.height() - 1;
            if (!atSide && Math.max(box.width(), box.height()) > SPECK_MM) {
                found.add(box);
            }
        }
        found.sort(Comparator.comparingDouble(Box::x));
        return found;
    }

    private static boolean isDash(Box box, Box beside) {
        double height = beside.height();
        return box.height() <= FLAT * height
                && box.width() >= Math.max(LONG * height, 1.5 * box.height())
                && Math.abs(box.centreY() - beside.centreY()) <= OFF_MIDDLE * height;
    }
}
