package jalon.core.read;

import jalon.core.image.ColourDrop;
import jalon.core.image.GrayPlane;
import jalon.core.image.PrintAlone;
import jalon.core.page.Box;
import jalon.core.page.Millimetres;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The part of a page around a zone: whatever is done to it costs as much as it is large.
 *
 * @param picture as it was received
 * @param at its place on the upright page
 * @param rotation that makes it upright
 * @param skew of its print then, degrees clockwise
 */
record PagePart(BufferedImage picture, double dpi, Box at, int rotation, double skew) {
    private static final double PAPER_AROUND_MM = 1.2;

    /** Above this height a zone holds more than one line. */
    private static final double ONE_LINE_MM = 9;

    /** Enough for the ink of a stamp to be told, and for a long zone to lean. */
    private static final double AROUND_MM = 10;

    private static final double STRAIGHT_DEGREES = 0.1;

    static PagePart around(BufferedImage all, double dpi, PageFacts page, Box zone) {
        return around(all, dpi, page, zone, AROUND_MM);
    }

    static PagePart around(BufferedImage all, double dpi, PageFacts page, Box zone, double aroundMm) {
        var image = page.image();
        Box there = zone.grown(aroundMm).turned(-image.rotation(), image.widthMm(), image.heightMm());
        double perMm = Millimetres.pixels(1, dpi);
        int left = (int) Math.max(0, Math.min(all.getWidth() - 1, there.x() * perMm));
        int top = (int) Math.max(0, Math.min(all.getHeight() - 1, there.y() * perMm));
        int right = (int) Math.max(left + 1, Math.min(all.getWidth(), there.right() * perMm));
        int bottom = (int) Math.max(top + 1, Math.min(all.getHeight(), there.bottom() * perMm));
        Box received = new Box(left / perMm, top / perMm, (right - left) / perMm, (bottom - top) / perMm);
        Box at = received.turned(image.rotation(), all.getWidth() / perMm, all.getHeight() / perMm);
        BufferedImage cut = all.getSubimage(left, top, right - left, bottom - top);
        return new PagePart(cut, dpi, at, image.rotation(), image.skewDegrees());
    }

    /** @param worth of a reading: the ink is taken off as glass and as cover, and the better reading counts */
    List<Word> under(List<ColourDrop.Ink> inks, Box zone, TextReader reader, ToDoubleFunction<List<Word>> worth) {
        List<Word> under = List.of();
        for (ColourDrop.Lies lies : ColourDrop.Lies.values()) {
            List<Word> words = read(ColourDrop.without(picture, inks, lies), zone, reader);
            under = worth.applyAsDouble(words) > worth.applyAsDouble(under) ? words : under;
        }
        return under;
    }

    /**
     * A zone cut out straight.
     *
     * @param plane null where the zone lies beside the page
     * @param tilt of the part
     * @param corner of the plane on the straight part, its size without meaning
     */
    record Cut(GrayPlane plane, PageTilt tilt, Box corner, Box part) {
        /** @param onCut its sides along the print */
        Box onPage(Box onCut) {
            Box box = tilt.fromStraight(
                    new Box(onCut.x() + corner.x(), onCut.y() + corner.y(), onCut.width(), onCut.height()));
            return new Box(box.x() + part.x(), box.y() + part.y(), box.width(), box.height());
        }

        Cut part(PrintAlone print) {
            var moved =
                    new Box(corner.x() + print.at().x(), corner.y() + print.at().y(), 0, 0);
            return new Cut(print.plane(), tilt, moved, part);
        }

        Box of(Box zone) {
            Box straight =
                    tilt.toStraight(new Box(zone.x() - part.x(), zone.y() - part.y(), zone.width(), zone.height()));
            return new Box(straight.x() - corner.x(), straight.y() - corner.y(), straight.width(), straight.height());
        }
    }

    /**
     * @param seen the picture of this part, or what was made of it
     * @param zone on the upright page, its sides along the print
     * @param aroundMm paper around it
     */
    Cut straight(BufferedImage seen, Box zone, double aroundMm) {
        GrayPlane upright = GrayPlane.of(seen, dpi).turned(rotation);
        var tilt = new PageTilt(skew, upright.widthMm(), upright.heightMm());
        Box own = new Box(zone.x() - at.x(), zone.y() - at.y(), zone.width(), zone.height());
        Box straight = tilt.toStraight(own).grown(aroundMm);
        double perMm = upright.inPixels(1);
        int left = (int) Math.max(0, Math.floor(straight.x() * perMm));
        int top = (int) Math.max(0, Math.floor(straight.y() * perMm));
        int right = (int) Math.min(upright.width(), Math.ceil(straight.right() * perMm));
        int bottom = (int) Math.min(upright.height(), Math.ceil(straight.bottom() * perMm));
        Box corner = new Box(left / perMm, top / perMm, 0, 0);
        if (right - left < 2 || bottom - top < 2) {
            return new Cut(null, tilt, corner, at);
        }
        GrayPlane cut = Math.abs(skew) < STRAIGHT_DEGREES
                ? upright.cut(left, top, right - left, bottom - top)
                : upright.rotated(-skew, left, top, right - left, bottom - top);
        return new Cut(cut, tilt, corner, at);
    }

    /**
     * @param seen the picture of this part, or what was made of it
     * @return of one line also what no word was read from, see {@link Word#isUnread}
     */
    List<Word> read(BufferedImage seen, Box zone, TextReader reader) {
        Cut cut = straight(seen, zone, PAPER_AROUND_MM);
        if (cut.plane() == null) {
            return List.of();
        }
        if (!isLine(zone)) {
            return words(cut, reader.read(cut.plane(), TextReader.Layout.BLOCK));
        }
        PrintAlone print = PrintAlone.on(cut.plane());
        List<Word> words = new ArrayList<>(reader.read(print.plane(), TextReader.Layout.LINE));
        print.leftBy(words.stream().map(Word::box).toList())
                .forEach(left -> words.add(new Word(Word.UNREAD, left, 0, 0)));
        return words(cut.part(print), words).stream()
                .filter(w -> !w.isUnread() || zone.holdsCentreOf(w.box()))
                .toList();
    }

    static boolean isLine(Box zone) {
        return zone.height() <= ONE_LINE_MM;
    }

    private static List<Word> words(Cut cut, List<Word> onCut) {
        return onCut.stream()
                .map(w -> new Word(w.text(), cut.onPage(w.box()), w.certainty(), w.line()))
                .toList();
    }
}
