package jalon.core.page;

/** A received file, or a page of it, that cannot be read. The message is for the operator: what and what to do. */
public final class UnreadableFile extends Exception {
    private static final long serialVersionUID = 1L;

    public UnreadableFile(String reason) {
        super(reason);
    }

    public UnreadableFile(String reason, Throwable cause) {
        super(reason, cause);
    }
}
