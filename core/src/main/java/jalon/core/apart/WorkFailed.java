package jalon.core.apart;

import jalon.core.page.Unread;
import java.io.IOException;

/** A piece of work was ended, or came to nothing, before it was done. */
public final class WorkFailed extends IOException {
    private static final long serialVersionUID = 1L;

    /** What ended it. */
    public enum Why {
        /** It took more time than it may. */
        TIME,
        /** It took more memory than it may. */
        MEMORY,
        /** It is nested too deeply. */
        DEPTH,
        /** The process died under it: a fault in native code, or the machine ran out of memory. */
        DIED,
        /** Something was thrown that no code expects. */
        UNEXPECTED,
        /** A disk did not give what is on it, or did not take what was to be written. */
        DISK,
        /** Something that reading needs is not installed. */
        NOT_INSTALLED,
        /** The other process could not be started. The work is not to blame. */
        NOT_STARTED,
        /** Nobody wants it any more: this program is being stopped. The work is not to blame. */
        STOPPED
    }

    private final Why why;
    private final transient Unread reason;
    private final boolean decoded;

    WorkFailed(Why why, Unread reason) {
        this(why, reason, false);
    }

    private WorkFailed(Why why, Unread reason, boolean decoded) {
        super(reason.words());
        this.why = why;
        this.reason = reason;
        this.decoded = decoded;
    }

    /** What happened, with its values. */
    public Unread reason() {
        return reason;
    }

    WorkFailed afterDecoding() {
        return new WorkFailed(why, reason, true);
    }

    /** Whether the page could be decoded, and only the reading engine did not come to an end with it. */
    public boolean lostInReading() {
        return decoded && counts() && why != Why.NOT_INSTALLED && why != Why.DISK;
    }

    public Why why() {
        return why;
    }

    /** Whether it says anything about the work itself; else the attempt does not count. */
    public boolean counts() {
        return why != Why.STOPPED && why != Why.NOT_STARTED;
    }
}
