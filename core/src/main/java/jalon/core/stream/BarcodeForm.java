package jalon.core.stream;

import jalon.core.page.Box;

/**
 * Which barcodes are meant, by rules and finders alike.
 *
 * @param kind any kind when null
 * @param like a {@linkplain Shape shape} the whole value must have, or null
 * @param pattern a regular expression (RE2) the whole value must match, or null
 * @param where the part of the page its middle must lie in, or null
 * @param hit which of those on a page that are as said, from the top, from 1; negative counts from the last; null for any
 * @param quality the least share of the looks across it that must have read the same, 0..1, or null
 */
public record BarcodeForm(String kind, String like, String pattern, Box where, Integer hit, Double quality) {}
