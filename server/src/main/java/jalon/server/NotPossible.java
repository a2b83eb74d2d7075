package jalon.server;

import org.springframework.http.HttpStatus;

/** Something asked for that cannot be done; the message says what and what to do, in the operator's words. */
public final class NotPossible extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;

    private NotPossible(HttpStatus status, String message) {
        super(message);
        this.status = status;
    }

    public static NotPossible missing(String what) {
        return new NotPossible(HttpStatus.NOT_FOUND, what);
    }

    public static NotPossible forbidden(String why) {
        return new NotPossible(HttpStatus.FORBIDDEN, why);
    }

    public static NotPossible now(String why) {
        return new NotPossible(HttpStatus.CONFLICT, why);
    }

    /** Something of the machine is in the way, whoever asks and for what. */
    public static NotPossible machine(String why) {
        return new NotPossible(HttpStatus.INSUFFICIENT_STORAGE, why);
    }

    public static NotPossible input(String why) {
        return new NotPossible(HttpStatus.UNPROCESSABLE_CONTENT, why);
    }

    /** Whether it is the machine that is in the way, and not what was asked for. */
    public boolean isMachine() {
        return status == HttpStatus.INSUFFICIENT_STORAGE;
    }

    public HttpStatus status() {
        return status;
    }
}
