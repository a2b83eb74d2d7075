package jalon.core.split;

import jalon.core.evidence.Evidence;
import java.util.List;

/**
 * A document begins here.
 *
 * @param page the page it stands before; if that page is set aside, the document begins with the next one kept
 * @param certainty 0..1
 */
public record Stake(int page, double certainty, List<Evidence> evidence) {}
