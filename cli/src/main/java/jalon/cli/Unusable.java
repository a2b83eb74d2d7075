package jalon.cli;

/** What a command was given cannot be used, in words for people. */
final class Unusable extends Exception {
    private static final long serialVersionUID = 1L;

    Unusable(String words) {
        super(words);
    }
}
