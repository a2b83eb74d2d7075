package jalon.server;

/** A reason that a person has to give, fit to be kept. */
public final class SaidWhy {
    private static final int LONGEST = 400;

    private SaidWhy() {}

    /** @throws NotPossible where nothing is said, or too much */
    public static String of(String why) {
        String reason = why == null ? "" : why.strip();
        if (reason.isEmpty() || reason.length() > LONGEST) {
            throw Problem.SAY_WHY.with(LONGEST);
        }
        return reason;
    }
}
