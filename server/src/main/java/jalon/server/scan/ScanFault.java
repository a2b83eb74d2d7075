package jalon.server.scan;

import jalon.server.NotPossible;

/** Why scanning stopped. */
final class ScanFault extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient NotPossible what;

    ScanFault(NotPossible what) {
        super(what.getMessage(), what);
        this.what = what;
    }

    NotPossible what() {
        return what;
    }
}
