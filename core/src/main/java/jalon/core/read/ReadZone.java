package jalon.core.read;

import jalon.core.image.Colour;
import jalon.core.image.ColourDrop;
import jalon.core.image.Repaired;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Reads one zone of a page by itself, cut from the upright, straight image with a little paper around it, through
 * the same repairs as the page. */
public final class ReadZone {
    /** A reading without the stamp is taken from this certainty on, however well the stamp itself reads. */
    private static final double LEAST_UNDER = 0.3;

    private ReadZone() {}

    /**
     * @param zone on the upright page, its sides along the print
     * @return the words, boxes on the upright page; of one line also what no word was read from, see {@link Word#isUnread}
     */
    public static List<Word> read(Scan scan, PageFacts page, Box zone, TextReader reader) {
        BufferedImage picture = Repaired.of(
                        scan.image(), scan.dpi(), page.image().readThrough(), 0)
                .image();
        PagePart part = PagePart.around(picture, scan.dpi(), page, zone);
        List<Word> asItIs = part.read(part.picture(), zone, reader);
        List<ColourDrop.Ink> inks = page.image().coloured().stream().anyMatch(zone::overlaps)
                ? ColourDrop.inksOf(part.picture(), Colour.ANY)
                : List.of();
        if (inks.isEmpty()) {
            return asItIs;
        }
        ToDoubleFunction<List<Word>> worth = PagePart.isLine(zone) ? Line::certaintyOfValue : Line::meanOf;
        List<Word> under = part.under(inks, zone, reader, worth);
        // A value written in the coloured ink itself is gone with it; then it stands in the other reading.
        double certainty = worth.applyAsDouble(under);
        return certainty >= LEAST_UNDER || certainty >= worth.applyAsDouble(asItIs) ? under : asItIs;
    }

    /**
     * The words of a zone as they are without the coloured ink that lies there; none where there is no ink.
     *
     * @param zone on the upright page
     */
    static List<Word> withoutInk(Scan scan, PageFacts page, Box zone, TextReader reader) {
        PagePart part = PagePart.around(scan.image(), scan.dpi(), page, zone);
        List<ColourDrop.Ink> inks = ColourDrop.inksOf(part.picture(), Colour.ANY);
        return inks.isEmpty() ? List.of() : part.under(inks, zone, reader, Line::meanOf);
    }
}
