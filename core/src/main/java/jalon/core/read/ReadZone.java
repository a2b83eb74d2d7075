package jalon.core.read;

import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.List;

/** Reads one zone of a page by itself, cut from the upright, straight image with a little paper around it. */
public final class ReadZone {
    private static final double PAPER_AROUND_MM = 1.2;

    /** Above this height a zone holds more than one line. */
    private static final double ONE_LINE_MM = 9;

    private ReadZone() {}

    /**
     * @param zone on the upright page, its sides along the print
     * @return the words, boxes on the upright page
     */
    public static List<Word> read(Scan scan, PageFacts page, Box zone, TextReader reader) {
        var image = page.image();
        GrayPlane upright = GrayPlane.of(scan.image()).turned(image.rotation());
        var lean = new Lean(image.skewDegrees(), image.widthMm(), image.heightMm());
        Box straight = lean.toStraight(zone).grown(PAPER_AROUND_MM);
        double perMm = scan.dpi() / 25.4;
        int left = (int) Math.max(0, Math.floor(straight.x() * perMm));
        int top = (int) Math.max(0, Math.floor(straight.y() * perMm));
        int right = (int) Math.min(upright.width(), Math.ceil(straight.right() * perMm));
        int bottom = (int) Math.min(upright.height(), Math.ceil(straight.bottom() * perMm));
        if (right - left < 2 || bottom - top < 2) {
            return List.of();
        }
        GrayPlane cut = Math.abs(image.skewDegrees()) < 0.1
                ? upright.cut(left, top, right - left, bottom - top)
                : upright.rotated(-image.skewDegrees(), left, top, right - left, bottom - top);
        var layout = zone.height() > ONE_LINE_MM ? TextReader.Layout.BLOCK : TextReader.Layout.LINE;
        return reader.read(cut, scan.dpi(), layout).stream()
                .map(w -> new Word(
                        w.text(),
                        lean.fromStraight(new Box(
                                w.box().x() + left / perMm,
                                w.box().y() + top / perMm,
                                w.box().width(),
                                w.box().height())),
                        w.certainty(),
                        w.line()))
                .toList();
    }
}
