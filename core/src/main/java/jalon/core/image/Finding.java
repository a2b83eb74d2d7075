package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.page.Box;

/**
 * A figure of a page on the wrong side of its limit.
 *
 * @param where the part of the upright page it speaks of, or null for all of it
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Finding(Measure kind, double figure, double limit, Box where) {}
