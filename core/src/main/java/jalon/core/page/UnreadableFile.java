package jalon.core.page;

/** A received file, or a page of it, that cannot be read, however often it is tried. */
public final class UnreadableFile extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Unread why;

    public UnreadableFile(Unread why) {
        this(why, null);
    }

    public UnreadableFile(Unread why, Throwable cause) {
        super(why.words(), cause);
        this.why = why;
    }

    public Unread why() {
        return why;
    }
}
