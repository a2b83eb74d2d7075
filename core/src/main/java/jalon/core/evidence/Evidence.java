package jalon.core.evidence;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.page.Box;

/**
 * Why something was decided.
 *
 * @param rule the rule that spoke, or {@code person}
 * @param page page number in the batch, 0 where no page is meant
 * @param box where on the page, or null
 * @param text what was seen there, or what is to be said about it, in the operator's words
 * @param score certainty 0..1 that this piece gives
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Evidence(String rule, int page, Box box, String text, double score) {}
