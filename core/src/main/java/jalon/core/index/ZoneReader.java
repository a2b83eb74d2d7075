package jalon.core.index;

import jalon.core.image.Ticked;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.SeeTicks;
import jalon.core.text.Model;
import java.util.List;

/** Looks at a part of a page once more on its image. */
@FunctionalInterface
public interface ZoneReader {
    /**
     * @param zone on the upright page, its sides along the print
     * @return the words there, boxes on the upright page; empty when there are none
     */
    List<Word> read(PageFacts page, Box zone, Model model);

    /**
     * Looks at boxes to tick.
     *
     * @return as many, in this order, null for one that does not lie on the page; empty when there is no image at hand
     */
    default List<Ticked> ticks(PageFacts page, List<SeeTicks.Place> places) {
        return List.of();
    }

    /** For when there is no image at hand: what was read the first time has to do. */
    ZoneReader NONE = (page, zone, model) -> List.of();
}
