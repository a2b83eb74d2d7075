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

/**
 * Reads zones of a page by themselves, cut from the upright, straight image with a little paper around them, through the
 * same repairs as the page. The repairs are made once: they take longer than reading a zone.
 */
public final class ReadZone {
    /** A reading without the stamp is taken from this certainty on, however well the stamp itself reads. */
    private static final double LEAST_UNDER = 0.3;

    private final Scan scan;
    private final PageFacts page;
    private final BufferedImage picture;

    public ReadZone(Scan scan, PageFacts page) {
        this.scan = scan;
        this.page = page;
        this.picture = Repaired.of(scan.image(), scan.dpi(), page.image().readThrough(), 0)
                .image();
    }

    /** Whether this reads zones as they were read on a page of the same picture, if that was seen so. */
    public boolean isFor(PageFacts facts) {
        return page.image().equals(facts.image());
    }

    /**
     * @param zone on the upright page, its sides along the print
     * @return the words, boxes on the upright page; of one line also what no word was read from, see {@link Word#isUnread}
     */
    public List<Word> read(Box zone, TextReader reader) {
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
