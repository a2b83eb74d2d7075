package jalon.core.sort;

import jalon.core.evidence.Evidence;
import java.util.List;

/**
 * What a document is.
 *
 * @param type name of the document type
 * @param variant the layout of the type that its first page has, or null where none is known
 * @param certainty 0..1
 * @param guesses types it may be, the most likely first; the type taken need not be the first of them where the stream has a
 *     default
 */
public record Sorted(String type, String variant, double certainty, List<Evidence> evidence, List<Guess> guesses) {}
