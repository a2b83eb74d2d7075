package jalon.places;

import java.io.IOException;

/** Why nothing could be filed in a remote place: what whoever looks after it can do something about. */
public final class PlaceTrouble extends IOException {
    private static final long serialVersionUID = 1;

    public enum Why {
        /** Nothing answers there: a wrong address, a machine that is off, a network that is down. */
        NOT_REACHED,
        /** No host key was said that it should have; the text is the one it has. */
        HOST_KEY_NOT_SAID,
        /** It has another host key than was said; the text is that one. */
        OTHER_HOST_KEY,
        /** Its certificate is not one that this machine trusts; the text is its name. */
        NOT_TRUSTED,
        /** It does not know the user, or the password or key is wrong or has run out. */
        NOT_LET_IN,
        /** The private key cannot be read. */
        BAD_KEY,
        /** There is no secret to sign with what is sent to it. */
        NO_SECRET,
        /** The folder that all is to lie below is not there: perhaps it is not mounted there. It is not made. */
        NO_FOLDER,
        /** Something may not be read or written there. */
        NOT_ALLOWED,
        /** It has no room left. */
        FULL,
        /** It does not refuse a name that is taken: what lies there could be lost. */
        WRITES_OVER,
        /** Too large to be sent; the text says how large it may be. */
        TOO_LARGE,
        /** A document lacks what the place must be told; the text says what. */
        LACKS,
        /** What was written is not what is read back. */
        NOT_THE_SAME,
        /** Anything else; the text is what it answered. */
        REFUSED
    }

    private final Why why;

    public PlaceTrouble(Why why, String text) {
        super(text);
        this.why = why;
    }

    public PlaceTrouble(Why why, String text, Throwable cause) {
        super(text, cause);
        this.why = why;
    }

    public Why why() {
        return why;
    }
}
