package jalon.core.index;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.text.Model;
import java.util.List;

/** Reads a part of a page once more from its image. */
@FunctionalInterface
public interface ZoneReader {
    /**
     * @param zone on the upright page, its sides along the print
     * @return the words there, boxes on the upright page; empty when there are none
     */
    List<Word> read(PageFacts page, Box zone, Model model);

    /** For when there is no image at hand: what was read the first time has to do. */
    ZoneReader NONE = (page, zone, model) -> List.of();
}
