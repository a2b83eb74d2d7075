package jalon.core.sort;

import jalon.core.evidence.Evidence;
import java.util.List;

/** @param type name of the document type */
public record Sorted(String type, double certainty, List<Evidence> evidence) {}
