package jalon.server;

/**
 * The database holds something that this version does not know, since a newer one wrote it. Nothing is changed and nothing
 * guessed; whoever asks is told to start the newer version.
 */
public final class NewerData extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param what such as {@code the stage "weighed"} */
    public NewerData(String what) {
        this(what, null);
    }

    public NewerData(String what, Throwable cause) {
        super(
                "The database holds " + what
                        + ", which this version of Jalon does not know. A newer one wrote it; start"
                        + " that one. Nothing was changed.",
                cause);
    }
}
