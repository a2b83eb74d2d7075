package jalon.server.intake;

import jalon.server.NotPossible;

/** Why a channel could not be looked at. */
final class ChannelProblem extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient NotPossible what;

    ChannelProblem(NotPossible what) {
        this(what, what);
    }

    ChannelProblem(NotPossible what, Throwable cause) {
        super(what.getMessage(), cause);
        this.what = what;
    }

    NotPossible what() {
        return what;
    }
}
