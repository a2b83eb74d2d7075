package jalon.core.index;

/**
 * A date or amount found in a text.
 *
 * @param mended letters stood where digits belong, or something else had to be made good; what it means is a good guess
 * @param from where in the text it begins
 * @param to where it ends, exclusive
 */
record Spelled<T>(T value, boolean mended, int from, int to) {}
