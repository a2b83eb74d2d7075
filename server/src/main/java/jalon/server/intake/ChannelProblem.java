package jalon.server.intake;

/** Why a channel could not be looked at, in the words of who has to mend it, with what to do. */
final class ChannelProblem extends Exception {
    private static final long serialVersionUID = 1L;

    ChannelProblem(String message, Throwable cause) {
        super(message, cause);
    }

    ChannelProblem(String message) {
        super(message);
    }
}
