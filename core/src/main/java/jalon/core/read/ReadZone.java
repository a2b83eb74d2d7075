package jalon.core.read;

import jalon.core.image.Colour;
import jalon.core.image.ColourDrop;
import jalon.core.image.GrayPlane;
import jalon.core.image.Repaired;
import jalon.core.image.RuledLines;
import jalon.core.page.Box;
import jalon.core.page.Millimetres;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Reads one zone of a page by itself, cut from the upright, straight image with a little paper around it, through
 * the same repairs as the page. */
public final class ReadZone {
    private static final double PAPER_AROUND_MM = 1.2;

    /** Above this height a zone holds more than one line. */
    private static final double ONE_LINE_MM = 9;

    /** A reading without the stamp is taken from this certainty on, however well the stamp itself reads. */
    private static final double LEAST_UNDER = 0.3;

    private ReadZone() {}

    /**
     * @param zone on the upright page, its sides along the print
     * @return the words, boxes on the upright page
     */
    public static List<Word> read(Scan scan, PageFacts page, Box zone, TextReader reader) {
        BufferedImage picture = Repaired.of(
                        scan.image(), scan.dpi(), page.image().readThrough(), 0)
                .image();
        List<Word> asItIs = read(GrayPlane.of(picture, scan.dpi()), page, zone, reader);
        if (page.image().coloured().stream().noneMatch(zone::overlaps)) {
            return asItIs;
        }
        ColourDrop.Ink ink = ColourDrop.inkOf(around(picture, scan.dpi(), page, zone), Colour.ANY);
        if (ink == null) {
            return asItIs;
        }
        List<Word> under = under(picture, scan.dpi(), page, zone, ink, reader, Line::certaintyOf);
        // A value written in the coloured ink itself is gone with it; then it stands in the other reading.
        return Line.certaintyOf(under) >= LEAST_UNDER || Line.certaintyOf(under) >= Line.certaintyOf(asItIs)
                ? under
                : asItIs;
    }

    /**
     * The words of a zone as they are without the coloured ink that lies there; none where there is no ink.
     *
     * @param zone on the upright page
     */
    static List<Word> withoutInk(Scan scan, PageFacts page, Box zone, TextReader reader) {
        ColourDrop.Ink ink = ColourDrop.inkOf(around(scan.image(), scan.dpi(), page, zone), Colour.ANY);
        return ink == null
                ? List.of()
                : under(
                        scan.image(),
                        scan.dpi(),
                        page,
                        zone,
                        ink,
                        reader,
                        words -> words.stream()
                                .mapToDouble(Word::certainty)
                                .average()
                                .orElse(0));
    }

    /** @param worth of a reading: the ink is taken off as glass and as cover, and the better reading counts */
    private static List<Word> under(
            BufferedImage picture,
            double dpi,
            PageFacts page,
            Box zone,
            ColourDrop.Ink ink,
            TextReader reader,
            ToDoubleFunction<List<Word>> worth) {
        List<Word> under = List.of();
        for (ColourDrop.Lies lies : ColourDrop.Lies.values()) {
            GrayPlane blackOnly = GrayPlane.of(ColourDrop.without(picture, ink, lies), dpi);
            List<Word> words = read(blackOnly, page, zone, reader);
            under = worth.applyAsDouble(words) > worth.applyAsDouble(under) ? words : under;
        }
        return under;
    }

    /** The part of the image around a zone, where the ink of a stamp is looked for. */
    private static BufferedImage around(BufferedImage all, double dpi, PageFacts page, Box zone) {
        var image = page.image();
        Box there = zone.grown(10).turned(-image.rotation(), image.widthMm(), image.heightMm());
        double perMm = Millimetres.pixels(1, dpi);
        int left = (int) Math.max(0, Math.min(all.getWidth() - 1, there.x() * perMm));
        int top = (int) Math.max(0, Math.min(all.getHeight() - 1, there.y() * perMm));
        int right = (int) Math.max(left + 1, Math.min(all.getWidth(), there.right() * perMm));
        int bottom = (int) Math.max(top + 1, Math.min(all.getHeight(), there.bottom() * perMm));
        return all.getSubimage(left, top, right - left, bottom - top);
    }

    private static List<Word> read(GrayPlane received, PageFacts page, Box zone, TextReader reader) {
        var image = page.image();
        GrayPlane upright = received.turned(image.rotation());
        var tilt = new PageTilt(image.skewDegrees(), image.widthMm(), image.heightMm());
        Box straight = tilt.toStraight(zone).grown(PAPER_AROUND_MM);
        double perMm = received.inPixels(1);
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
        return reader.read(layout == TextReader.Layout.LINE ? RuledLines.without(cut) : cut, layout).stream()
                .map(w -> new Word(
                        w.text(),
                        tilt.fromStraight(new Box(
                                w.box().x() + left / perMm,
                                w.box().y() + top / perMm,
                                w.box().width(),
                                w.box().height())),
                        w.certainty(),
                        w.line()))
                .toList();
    }
}
