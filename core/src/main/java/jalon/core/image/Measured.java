package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.page.Box;

/**
 * One figure of a page's fitness.
 *
 * @param where the part of the upright page it speaks of, or null for all of it
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Measured(Measure what, double figure, Box where) {}
