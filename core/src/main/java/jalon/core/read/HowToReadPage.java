package jalon.core.read;

import jalon.core.image.Repair;
import jalon.core.stream.PageRules;
import java.util.List;

/**
 * What is said of how a page is read.
 *
 * @param turn the clockwise turn that makes the page upright, as a person said, or null to find out
 * @param recipe repairs to read through; the figures are always those of the received image
 * @param barcodes which are looked for
 */
public record HowToReadPage(Integer turn, List<Repair> recipe, PageRules.Barcodes barcodes) {
    public static final HowToReadPage USUAL = new HowToReadPage(null, null, null);

    public HowToReadPage {
        recipe = recipe == null ? List.of() : List.copyOf(recipe);
        barcodes = barcodes == null ? PageRules.Barcodes.ALL : barcodes;
    }
}
