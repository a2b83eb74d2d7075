package jalon.demo;

import java.util.List;
import java.util.Map;

/**
 * A document of the harbour, its truth known.
 *
 * @param before sheets in front of it that are not part of it (separators)
 * @param pages its sides; {@link Sheet#BLANK} ones are to be set aside
 * @param fields what a perfect reading would give
 */
public record PaperDocument(String type, List<Sheet> before, List<Sheet> pages, Map<String, String> fields) {}
