package jalon.core.sort;

import jalon.core.evidence.Evidence;
import java.util.List;

/**
 * What a page may be.
 *
 * @param type name of the document type; null for none of those that have samples
 * @param variant the layout that it is like, or null
 * @param certainty 0..1; those of all guesses of a page add up to 1
 * @param evidence why
 */
public record Guess(String type, String variant, double certainty, List<Evidence> evidence) {}
