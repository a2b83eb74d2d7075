package jalon.core.image;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.Stream;

/**
 * A page's image after a recipe.
 *
 * @param straightened degrees clockwise that the print leaned and no longer does; 0 when it was left as it was
 */
public record Repaired(BufferedImage image, double straightened) {

    /**
     * @param received the image, which is not changed
     * @param skewDegrees measured lean of the print, clockwise
     */
    public static Repaired of(BufferedImage received, double dpi, List<Repair> recipe, double skewDegrees) {
        var repairing = new Repairing(received, dpi);
        double straightened = 0;
        // Scan edges and corners run along the scanner: once the page is turned they are not found any more.
        List<Repair> inOrder = Stream.concat(
                        recipe.stream().filter(Repair.WhitenEdges.class::isInstance),
                        recipe.stream().filter(step -> !(step instanceof Repair.WhitenEdges)))
                .toList();
        for (Repair step : inOrder) {
            if (step instanceof Repair.Straighten) {
                repairing.turn(-skewDegrees);
                straightened += skewDegrees;
            } else {
                repairing.step(step);
            }
        }
        return new Repaired(repairing.image(), straightened);
    }
}
