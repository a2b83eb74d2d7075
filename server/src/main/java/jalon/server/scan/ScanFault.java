package jalon.server.scan;

/** Why scanning stopped, in the operator's words. */
final class ScanFault extends Exception {
    private static final long serialVersionUID = 1L;

    enum Kind {
        GONE,
        DEVICE,
        CUT_SHORT,
        STOPPED
    }

    private final Kind kind;

    ScanFault(Kind kind, String message) {
        super(message);
        this.kind = kind;
    }

    Kind kind() {
        return kind;
    }
}
