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

    /** Enough for the ink of a stamp to be told, and for a long zone to lean. */
    private static final double AROUND_MM = 10;

    private static final double STRAIGHT_DEGREES = 0.1;

    private ReadZone() {}

    /**
     * @param zone on the upright page, its sides along the print
     * @return the words, boxes on the upright page
     */
    public static List<Word> read(Scan scan, PageFacts page, Box zone, TextReader reader) {
        BufferedImage picture = Repaired.of(
                        scan.image(), scan.dpi(), page.image().readThrough(), 0)
                .image();
        Part part = Part.around(picture, scan.dpi(), page, zone);
        List<Word> asItIs = part.read(part.picture(), zone, reader);
        ColourDrop.Ink ink = page.image().coloured().stream().anyMatch(zone::overlaps)
                ? ColourDrop.inkOf(part.picture(), Colour.ANY)
                : null;
        if (ink == null) {
            return asItIs;
        }
        List<Word> under = part.under(ink, zone, reader, Line::certaintyOf);
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
        Part part = Part.around(scan.image(), scan.dpi(), page, zone);
        ColourDrop.Ink ink = ColourDrop.inkOf(part.picture(), Colour.ANY);
        return ink == null
                ? List.of()
                : part.under(
                        ink,
                        zone,
                        reader,
                        words -> words.stream()
                                .mapToDouble(Word::certainty)
                                .average()
                                .orElse(0));
    }

    /**
     * The part of a page around a zone: whatever is done to it costs as much as it is large.
     *
     * @param picture as it was received
     * @param at its place on the upright page
     * @param rotation that makes it upright
     * @param skew of its print then, degrees clockwise
     */
    private record Part(BufferedImage picture, double dpi, Box at, int rotation, double skew) {

        static Part around(BufferedImage all, double dpi, PageFacts page, Box zone) {
            var image = page.image();
            Box there = zone.grown(AROUND_MM).turned(-image.rotation(), image.widthMm(), image.heightMm());
            double perMm = Millimetres.pixels(1, dpi);
            int left = (int) Math.max(0, Math.min(all.getWidth() - 1, there.x() * perMm));
            int top = (int) Math.max(0, Math.min(all.getHeight() - 1, there.y() * perMm));
            int right = (int) Math.max(left + 1, Math.min(all.getWidth(), there.right() * perMm));
            int bottom = (int) Math.max(top + 1, Math.min(all.getHeight(), there.bottom() * perMm));
            Box received = new Box(left / perMm, top / perMm, (right - left) / perMm, (bottom - top) / perMm);
            Box at = received.turned(image.rotation(), all.getWidth() / perMm, all.getHeight() / perMm);
            BufferedImage cut = all.getSubimage(left, top, right - left, bottom - top);
            return new Part(cut, dpi, at, image.rotation(), image.skewDegrees());
        }

        /** @param worth of a reading: the ink is taken off as glass and as cover, and the better reading counts */
        List<Word> under(ColourDrop.Ink ink, Box zone, TextReader reader, ToDoubleFunction<List<Word>> worth) {
            List<Word> under = List.of();
            for (ColourDrop.Lies lies : ColourDrop.Lies.values()) {
                List<Word> words = read(ColourDrop.without(picture, ink, lies), zone, reader);
                under = worth.applyAsDouble(words) > worth.applyAsDouble(under) ? words : under;
            }
            return under;
        }

        /** @param seen the picture of this part, or what was made of it */
        List<Word> read(BufferedImage seen, Box zone, TextReader reader) {
            GrayPlane upright = GrayPlane.of(seen, dpi).turned(rotation);
            var tilt = new PageTilt(skew, upright.widthMm(), upright.heightMm());
            Box own = new Box(zone.x() - at.x(), zone.y() - at.y(), zone.width(), zone.height());
            Box straight = tilt.toStraight(own).grown(PAPER_AROUND_MM);
            double perMm = upright.inPixels(1);
            int left = (int) Math.max(0, Math.floor(straight.x() * perMm));
            int top = (int) Math.max(0, Math.floor(straight.y() * perMm));
            int right = (int) Math.min(upright.width(), Math.ceil(straight.right() * perMm));
            int bottom = (int) Math.min(upright.height(), Math.ceil(straight.bottom() * perMm));
            if (right - left < 2 || bottom - top < 2) {
                return List.of();
            }
            GrayPlane cut = Math.abs(skew) < STRAIGHT_DEGREES
                    ? upright.cut(left, top, right - left, bottom - top)
                    : upright.rotated(-skew, left, top, right - left, bottom - top);
            boolean line = zone.height() <= ONE_LINE_MM;
            var layout = line ? TextReader.Layout.LINE : TextReader.Layout.BLOCK;
            return reader.read(line ? RuledLines.without(cut) : cut, layout).stream()
                    .map(w -> {
                        Box box = tilt.fromStraight(new Box(
                                w.box().x() + left / perMm,
                                w.box().y() + top / perMm,
                                w.box().width(),
                                w.box().height()));
                        Box onPage = new Box(box.x() + at.x(), box.y() + at.y(), box.width(), box.height());
                        return new Word(w.text(), onPage, w.certainty(), w.line());
                    })
                    .toList();
        }
    }
}
