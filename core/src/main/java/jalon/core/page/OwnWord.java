package jalon.core.page;

/**
 * A word that came with a page of a file, and is seen on it.
 *
 * @param word its box on the page as the file shows it, in mm; its certainty is 1
 * @param direction the clockwise turn of that page, a multiple of 90 degrees, that makes the word upright
 * @param font which of the page's fonts it is written in, by number
 * @param meant whether the font says what its letters mean; otherwise the text is only a guess
 */
public record OwnWord(Word word, int direction, int font, boolean meant) {}
