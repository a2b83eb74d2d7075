package jalon.server.scan;

/** Why scanning stopped, in the operator's words. */
final class ScanFault extends Exception {
    private static final long serialVersionUID = 1L;

    ScanFault(String message) {
        super(message);
    }
}
