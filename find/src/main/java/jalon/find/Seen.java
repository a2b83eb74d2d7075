package jalon.find;

/** What somebody may see of filed documents. */
public interface Seen {
    /** All there is. */
    Seen ALL = (stream, type) -> How.WHOLE;

    enum How {
        NOT,
        /** Without what is confidential. */
        OPEN,
        WHOLE
    }

    /** How documents of a kind may be seen. */
    How of(String stream, String type);
}
