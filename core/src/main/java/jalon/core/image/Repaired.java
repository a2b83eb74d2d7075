package jalon.core.image;

import java.awt.image.BufferedImage;
import java.util.Comparator;
import java.util.List;

/**
 * A page's image after a recipe.
 *
 * @param straightened degrees clockwise that the print leaned and no longer does; 0 when it was left as it was
 */
public record Repaired(BufferedImage image, double straightened) {

    /**
     * @param received the image, which is not changed
     * @param skewDegrees measured skew of the print, clockwise
     */
    public static Repaired of(BufferedImage received, double dpi, List<Repair> recipe, double skewDegrees) {
        var page = new PageUnderRepair(received, dpi, skewDegrees);
        // Scan edges and corners run along the scanner: once the page is turned they are not found any more.
        recipe.stream()
                .sorted(Comparator.comparing(step -> !(step instanceof Repair.WhitenEdges)))
                .forEach(step -> RepairStep.of(step).on(page));
        return new Repaired(page.image(), Repair.straightens(recipe) ? skewDegrees : 0);
    }
}
