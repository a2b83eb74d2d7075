package jalon.core.run;

/**
 * The account of every page. Always balanced: received = filed + blank + separator + setAside + open.
 *
 * @param open in a document that is not filed yet
 */
public record Ledger(int received, int filed, int blank, int separator, int setAside, int open) {
    public Ledger {
        if (received != filed + blank + separator + setAside + open) {
            throw new IllegalStateException("the page ledger does not balance: " + received + " received, but " + filed
                    + " filed, " + blank + " blank, " + separator + " separators, " + setAside + " set aside and "
                    + open
                    + " open");
        }
    }
}
