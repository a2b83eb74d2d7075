package jalon.core.index;

import jalon.core.read.PageFacts;
import java.util.List;
import java.util.Optional;

/**
 * What the finders may look at.
 *
 * @param pages in order, at least one
 * @param separator the dropped sheet before them, if there was one
 */
public record Document(List<PageFacts> pages, Optional<PageFacts> separator) {}
