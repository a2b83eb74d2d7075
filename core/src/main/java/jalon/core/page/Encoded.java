package jalon.core.page;

/**
 * The page image as it lay in the received file, where that can go into a PDF untouched.
 *
 * @param width columns of the encoded image
 * @param height rows of the encoded image
 * @param turn degrees clockwise, a multiple of 90, by which the file asks the image to be shown
 * @param grey for a JPEG, whether it has one component
 */
public record Encoded(Kind kind, byte[] bytes, int width, int height, int turn, boolean grey) {
    /** {@code G4}: one strip of T.6 data in the polarity of PDF's BlackIs1=false. */
    public enum Kind {
        JPEG,
        G4
    }
}
